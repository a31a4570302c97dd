/** Words of the shop's parts. */
export const partStock = {
  title: 'Parts of the shop',
  search: 'Find a part by any word',
  kinds: 'Kinds of parts',
  allKinds: 'All',
  add: (kind: string) => `New: ${kind.toLowerCase()}`,
  addAny: 'New: pick a kind',
  fromFile: 'Read a file',
  toFile: 'Save as a file',
  supplierList: 'Supplier’s list',
  back: 'Shop settings',
  none: 'No part of that kind or word.',
  name: 'Part',
  save: 'Save the part',
  failed: 'The parts could not be fetched.',
  again: 'Try again',
  cellFault: (name: string, message: string) => `${name}: ${message}. Nothing was saved.`,
  fileHow:
    'One file for each slot, one row a part, one header line. A row with a known id changes that part; parts not named stay as they are. Nothing is taken before you say so.',
  chooseFile: 'Choose a file',
  reading: (done: number, total: number) => `Reading … ${done} of ${total} rows`,
  sending: (done: number, total: number) => `Looking at it … ${done} of ${total} parts`,
  readingBar: 'Rows read',
  sendingBar: 'Parts looked at',
  notRead: 'The file could not be read to its end. Nothing was taken.',
  looked: (kind: string, added: number, changed: number, same: number) =>
    `${kind}: ${added} new, ${changed} changed, ${same} as they are. Nothing is saved yet.`,
  faulty: (good: number, faults: number) =>
    `${faults} ${faults === 1 ? 'fault' : 'faults'}; ${good} good ${good === 1 ? 'row' : 'rows'}. Nothing is saved yet.`,
  takeAll: (n: number) => `Take all ${n}`,
  keepGood: (n: number) => `Look at the ${n} good ${n === 1 ? 'row' : 'rows'}`,
  refuseAll: 'Refuse the whole file',
  stop: 'Stop',
  listHow:
    'Fetches the supplier’s newest list and shows what differs from what stands here. Stock counts are not touched. The lists are made up by a stand-in until a supplier is connected.',
  listSays: (added: number, changed: number, same: number) =>
    `${added} new, ${changed} changed, ${same} as they are.`,
  differences: 'What differs',
  differenceHeads: ['Take', 'Part', 'What', 'Here', 'List'],
  isNew: 'new, price €',
  takeOne: (part: string) => `Take ${part}`,
  takeWanted: (n: number) => `Take ${n} ${n === 1 ? 'part' : 'parts'}`,
} as const;
