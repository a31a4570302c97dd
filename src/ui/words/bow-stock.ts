import { files, pages } from './pages';

/** Words of the shop's bows. */
export const bowStock = {
  title: pages.bows,
  add: 'A new bow',
  newBow: 'A new bow',
  fromFile: 'Read a file',
  toFile: files.save,
  back: pages.shop,
  none: 'No bows yet. Read a file, or write one down.',
  heads: ['Bow', 'Hand', 'Cams', 'Draw length', 'Weight', 'Turns', 'Stops', 'Price', 'In stock'],
  range: (low: string, high: string) => `${low} – ${high}`,
  noTurns: 'weigh only',
  stops: { limb: 'limb', cable: 'cable', both: 'both' },
  days: (n: number) => `${n} days`,
  save: 'Save the bow',
  fileHow:
    'One row a bow, one header line. A row with a known id changes that bow; bows not named stay as they are. Inches, pounds and the like, as the column’s name says.',
  chooseFile: files.choose,
  paste: 'or paste its text here',
  looked: (added: number, changed: number, same: number, faults: number) =>
    [
      `${added} new`,
      `${changed} changed`,
      `${same} as they are`,
      faults === 0 ? 'no faults' : `${faults} ${faults === 1 ? 'fault' : 'faults'}`,
    ].join(', ') + '. Nothing is saved yet.',
  faults: 'Faults of the file',
  faultHeads: ['Line', 'Column', 'What is wrong'],
  moreFaults: (n: number) => `and ${n} more`,
  takeAll: (n: number) => `Take ${n} ${n === 1 ? 'row' : 'rows'}`,
  keepGood: (n: number) => `Keep the ${n} good ${n === 1 ? 'row' : 'rows'}`,
  refuseAll: files.refuseAll,
} as const;

/** Words of a form that is read like a row of a file. */
export const recordForm = {
  seeMarked: files.seeMarked,
  foundAgain: 'What was typed here before and not saved stands here again.',
  throwAway: 'Throw it away',
  example: (text: string) => `e.g. ${text}`,
  notKnown: 'not known',
  choose: 'choose',
  first: 'What matters first',
  rest: 'From its data sheet',
} as const;

/** Words of single bows. */
export const singleBows = {
  title: 'Single bows',
  lead: 'Used bows, bows to lend, and new ones told apart by their number. New ones are among the count above; used and loan bows are not.',
  add: 'A single bow',
  whichBow: 'Which bow is it?',
  one: (serial: string) => `Number ${serial}`,
  save: 'Save it',
  heads: ['Number', 'Bow', 'Is', 'Price', 'Note', 'Where'],
  condition: { new: 'new', used: 'used', loan: 'loan bow' },
  lentOnly: 'lent only',
  inShop: 'in the shop',
  putAside: (name: string, ticket: number) => `put aside for ${name}, ticket ${ticket}`,
  lentTo: (name: string, ticket: number) => `lent to ${name}, ticket ${ticket}`,
  back: 'It is back',
  forget: 'Strike it out',
} as const;
