/** Words of a bow made like another. */
export const like = {
  part: 'Alike',
  none: 'to none',
  lead: 'Take a bow as the model: its draw length and weight become the goals here, what is the archer’s own is taken over, and what differs is worked off in the order in which one moves the other.',
  here: 'From this shop',
  own: (revision: number) => `This bow as it left, sheet ${revision}`,
  earlier: (bow: string, number: number, revision: number) =>
    `${bow}, ticket ${number}, sheet ${revision}`,
  find: 'Another bow of the shop, by archer, ticket or its number',
  noSheet: 'No bow with a sheet answers to it.',
  elsewhere: 'From elsewhere',
  file: 'Build sheet as a file',
  fileHint: 'The JSON another shop of this program gave along; a megabyte at most',
  tooLarge: 'The file is larger than any build sheet: a megabyte is read at most.',
  notJson: 'The file is no build sheet: it cannot be read as JSON.',
  code: 'Text of a card’s code',
  codeHint: 'Read by the camera on its own page, or pasted here',
  camera: 'Read a card',
  takeCode: 'Take this code',
  old: 'The old bow as it was measured in the fit',
  measureOld: 'Measure the old bow',
  take: 'Take as the model',
  model: 'The model',
  letGo: 'Let the model go',
  count: (same: number, all: number) => `${same} of ${all}`,
  nothingTold: 'The model tells nothing that can be taken over.',
  press: (visits: number) =>
    visits === 0
      ? 'Nothing wants the press.'
      : visits === 1
        ? 'One visit to the press: everything marked so is done in it.'
        : `${visits} visits to the press by the plan; what is marked so belongs together.`,
  order: 'In this order',
  inPress: 'press',
  states: { same: 'alike', off: 'not alike', open: 'to do' },
  besides: (what: string) => `Besides: ${what}.`,
  again: (what: string) => `Then read again: ${what}.`,
  do: 'To its step',
  beside: 'Side by side',
  heads: ['Setting', 'Here', 'Model', 'Differs', 'State'],
  unequal: 'Cannot be made equal',
  unequalSides: (here: string, there: string) => `${here} here, ${there} there`,
  marks: (first: string) => `Marks below ${first}`,
  marksHeads: ['Distance', 'Here', 'Model', 'From'],
  shot: 'shot',
  predicted: 'prediction until shot',
  outOfReach: 'out of reach',
  page: 'Both bows on one page',
  back: 'Back to the bow',
  besideBow: (bow: string) => `Beside ${bow}`,
  noBow:
    'Choose the bow first; the model’s length and weight are already the goals it is judged by.',
  because: {
    order:
      'Draw length moves the peep, weight moves the speed, the peep moves every pin: so they are done in this order, and what an earlier one moved is read again before it is set.',
    same: 'On the same kind of bow its settings are taken over too; on another kind only what is the archer’s own.',
    marks:
      'Marks come from the flight model with this bow’s own speed and sight. Until they are shot they are predictions.',
  },
  watch: {
    draws:
      'The archer draws the finished bow and says so: two bows with equal numbers are not always felt as equal.',
  },
} as const;
