import { everyView } from './every-view';

/** Views from the bench to the sheet. */
everyView([
  ['bench', 'Ilse', 'bench', 'The way from here'],
  ['a choice at the bench', 'Ilse', 'bench?step=loop&value=loopPlace', 'both knots under'],
  ['a school at the bench', 'Ilse', 'bench?step=centreShot', 'by a second arrow'],
  ['calendar', null, '/calendar', 'Visits of this day'],
  ['steps of the bench', null, '/shop/steps', 'Weigh a finished arrow'],
  ['paper', 'Teodor', 'lane?part=paper', 'Papers so far'],
  ['speed', 'Teodor', 'lane?part=speed', 'Three shots, a metre in front'],
  ['first distance', 'Teodor', 'lane?part=first', 'Tap each hit'],
  ['marks', 'Aino', 'lane?part=marks', 'Pin below 18 m'],
  ['bare shafts', 'Teodor', 'lane?part=paper&check=bare', 'Note the pair'],
  ['walk-back', 'Teodor', 'lane?part=paper&check=walk', 'Hang a plumb line'],
  ['chronograph', 'Aino', 'lane?part=speed', 'Shots of this speed'],
  ['distances', 'Aino', 'lane?part=first', 'Confirmed distances'],
  ['tape', 'Aino', 'lane?part=marks&view=tape', 'lines on'],
  ['field card', 'Aino', 'lane?part=marks&view=field', 'Shoot as level distance'],
  ['sight for good', 'Aino', 'lane?part=sight', 'Done again'],
  ['hang test', 'Aino', 'steady?part=weigh&value=hangThread', 'the other way up'],
  ['reaction', 'Aino', 'steady?part=reaction', 'Every try'],
  ['bars', 'Aino', 'steady?part=bars', 'Lightest that is quiet'],
  ['aim', 'Aino', 'steady?part=aim', 'No shot yet'],
  ['handover', 'Aino', 'handover', 'Revision 1'],
  ['sheet', 'Aino', 'sheet/1', 'Settings as measured'],
]);
