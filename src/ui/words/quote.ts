import { files } from './pages';

/** Words of quotes and orders. */
export const quoteWords = {
  title: 'Quote',
  open: 'Quote',
  back: 'Kit',
  give: 'Give this quote',
  nothing: 'Neither a bow nor a part is chosen yet: there is nothing to quote.',
  heads: ['What', 'Price'],
  moved: 'moves over',
  usually: (money: string) => `instead of ${money}`,
  arrives: (day: string) => `arrives ${day}`,
  labour: (minutes: number) => `Setting up, ${minutes} minutes`,
  steps: (n: number) => `${n} steps`,
  labourFree: 'Setting up is not charged.',
  total: 'Together',
  tax: (pct: number) => `of it ${pct} % tax`,
  deposit: (pct: number) => `Deposit, ${pct} %`,
  validUntil: (day: string) => `valid until ${day}`,
  given: 'Quotes given',
  none: 'None yet. A quote given stays as it is.',
  revision: (n: number) => `Quote ${n}`,
  byOn: (who: string, when: string) => `${who}, ${when}`,
  expired: 'run out',
  holds: 'Nothing has changed since.',
  because: {
    prices: 'Prices hold the tax. A part keeps the price it was chosen at.',
    moved: 'What moves over from the old bow costs nothing.',
    labour: (money: string) => `The bench is charged by its steps, ${money} an hour.`,
    kept: 'A quote given is kept as it was; what changes afterwards makes the next one.',
  },
  watch: {
    changed: (what: string) => `Since the last quote: ${what}.`,
    order: (n: number) =>
      n === 1 ? 'One part has to be ordered.' : `${n} parts have to be ordered.`,
  },
  ticket: (n: number) => `Ticket ${n}`,
  madeBy: (who: string, when: string) => `given by ${who}, ${when}`,
  accepts: 'Accepted, with the day',
  print: 'Print',
  newer: (n: number) => `There is a newer one, quote ${n}.`,
  promised: (day: string) => `Wanted by ${day}`,
} as const;

export const orderWords = {
  title: 'To order',
  link: 'To order from suppliers',
  none: 'Nothing has to be ordered: every bow and part chosen is in the shop.',
  unknown: 'Supplier not known',
  heads: ['Bow or part', 'For', 'Wanted by', 'Comes', 'State'],
  late: 'too late',
  toOrder: 'to order',
  ordered: 'ordered',
  arrived: 'has come',
  markOrdered: 'Ordered',
  markArrived: 'It is here',
  markNot: 'Not ordered',
  toFile: files.save,
  back: 'Today',
  count: (n: number) => (n === 1 ? '1 line' : `${n} lines`),
  times: (n: number) => `${n} ×`,
  forShelf: 'the shelf',
  wasFor: (ticket: number) => `ordered for ticket ${ticket}`,
  calledOff: 'Called off',
  lead: 'What jobs wait for and what comes for the shelf, by supplier. The day it comes counts from the order.',
} as const;

/** Asked when something ordered is given up for another. */
export const orderFate = {
  title: 'What becomes of the order?',
  keep: 'It comes, for the shelf',
  calledOff: 'It was called off',
  stays: 'Nothing was changed.',
} as const;
