import { files, pages } from './pages';

/** Words of the shop's parts. */
export const partStock = {
  title: pages.parts,
  search: 'Find a part by any word',
  kinds: 'Kinds of parts',
  allKinds: 'All',
  add: (kind: string) => `New: ${kind.toLowerCase()}`,
  addAny: 'New: pick a kind',
  fromFile: 'Read a file',
  toFile: files.save,
  supplierList: 'Supplier’s list',
  back: pages.shop,
  none: 'No part of that kind or word.',
  name: 'Part',
  save: 'Save the part',
  failed: 'The parts could not be fetched.',
  again: 'Try again',
  cellFault: (name: string, message: string) => `${name}: ${message}. Nothing was saved.`,
  fileHow:
    'One file for each slot, one row a part, one header line. A row with a known id changes that part; parts not named stay as they are. Nothing is taken before you say so.',
  chooseFile: files.choose,
  reading: (done: number, total: number) => `Reading … ${done} of ${total} rows`,
  sending: (done: number, total: number) => `Looking at it … ${done} of ${total} parts`,
  readingBar: 'Rows read',
  sendingBar: 'Parts looked at',
  notRead: 'The file could not be read to its end. Nothing was taken.',
  looked: (kind: string, added: number, changed: number, same: number) =>
    `${kind}: ${added} new, ${changed} changed, ${same} as they are. Nothing is saved yet.`,
  faulty: (good: number, faults: number) =>
    `${faults} ${faults === 1 ? 'fault' : 'faults'}; ${good} good ${good === 1 ? 'row' : 'rows'}. Nothing is saved yet.`,
  takeAll: (n: number) => `Take ${n} ${n === 1 ? 'row' : 'rows'}`,
  keepGood: (n: number) => `Look at the ${n} good ${n === 1 ? 'row' : 'rows'}`,
  refuseAll: files.refuseAll,
  stop: 'Stop',
  listHow:
    'Fetches the supplier’s newest list and shows what differs from what stands here. Stock counts are not touched. The lists are made up by a stand-in until a supplier is connected.',
  listSays: (added: number, changed: number, same: number) =>
    `${added} new, ${changed} changed, ${same} as they are.`,
  takeWanted: 'Take what is ticked',
} as const;

/** Words of what a file or list would change. */
export const changeList = {
  title: 'What differs',
  heads: ['Take', 'Row', 'What stands here → what would'],
  isNew: 'new',
  jump: 'price far apart',
  jumps: (n: number) =>
    `${n === 1 ? 'One price moves' : `${n} prices move`} by more than a third. Look at ${n === 1 ? 'it' : 'each'} and tick what is right; what is not ticked stays as it is.`,
  moreJumps: (n: number) =>
    `and ${n} more prices far apart, which stay as they are: is the file in another currency, or of another list?`,
  take: (name: string) => `Take ${name}`,
  more: (n: number) => `Show the next of ${n} more`,
} as const;

/** Words of how a file is written. */
export const fileText = {
  names: {
    'utf-8': 'UTF-8',
    'utf-16le': 'UTF-16',
    'utf-16be': 'UTF-16',
    'windows-1252': 'Windows, Western',
    'windows-1250': 'Windows, Central European',
    macintosh: 'Macintosh',
  },
  readAs: (name: string) =>
    `The file is not UTF-8 and was read as “${name}”. If the words below look wrong, choose another.`,
  ask: 'The file does not say how it is written. In which line do the words look right?',
  use: 'Read it so',
  useNamed: (name: string) => `Read it as ${name}`,
  tooLarge: (mb: number) => `The file is larger than ${mb} MB. Split it.`,
} as const;
