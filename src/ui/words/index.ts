/**
 * What the screens say, by area. What the trade says (what to do, why, cautions, refusals of a rule) stands
 * with its rule in core; refusals of commands stand with the command, labels of the sheet in core/sheet.
 */
export { frame } from './frame';
export { broken } from './broken';
export { today } from './today';
export { fields } from './fields';
export { meet } from './meet';
export { fit } from './fit';
export { bow } from './bow';
export { kit } from './kit';
export { bench } from './bench';
export { calendarWords } from './calendar';
export { lane } from './lane';
export { paperWords } from './lane-paper';
export { marksWords } from './lane-marks';
export { speedWords } from './lane-speed';
export { devices } from './devices';
export { handover } from './handover';
export { steady, steadyDrawing, tipWords, rollWords } from './steady';
export { aimWords } from './aim';
export { sheet } from './sheet';
export { cards, codeWords } from './cards';
export { photoWords } from './photos';
export { delivery } from './delivery';
export { visit } from './visit';
export { closingWords } from './closing';
export { shopWords } from './shop';
export { drawOff } from './draw-off';
export { twists } from './twists';
export { bowStock, recordForm, singleBows } from './bow-stock';
export { arrowWords } from './arrow';
export { changeList, fileText, partStock } from './part-stock';
export { orderFate, orderWords, quoteWords } from './quote';
export { kitPackages } from './kit-packages';
export { stepWords } from './steps';
export { deliveredWords } from './delivered';
export { doorWords } from './door';
export { archerWords } from './archers';
export { waitingWords } from './waiting';
export { openWords } from './open';
export { firstWords } from './first';
export { doneWords, peopleWords } from './people';
export { backupWords } from './backup';
export { like } from './like';
export { elsewhere } from './elsewhere';
