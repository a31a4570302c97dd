/** Words of the draw-off: bows drawn side by side. */
export const drawOff = {
  choose:
    'Which bows are drawn? Two to five; they are set alike and come in the archer’s own order.',
  howMany: 'Choose two to five bows.',
  start: (n: number) => `Draw ${n} ${n === 1 ? 'bow' : 'bows'}`,
  own: 'Their own bow',
  ownHow: 'as they shoot it; its weights and lengths are measured in Fit',
  asShot: (weight: string | null) =>
    weight === null ? 'As they shoot it; weigh it in Fit.' : `As they shoot it, ${weight}.`,
  letOff: (percent: number) => `${percent} % let-off`,
  letOffUnknown: 'let-off not known',
  axleUnknown: 'length not measured',
  lineUp: 'In this order',
  module: (step: string, label: string | null, topLabel: string | null, cams: number) => {
    const both = cams > 1 ? ' on both cams' : '';
    if (!label) return `Fixed at ${step}.`;
    return topLabel
      ? `Module ${label} below, ${topLabel} above: ${step}.`
      : `Module ${label}${both}: ${step}.`;
  },
  bolts: (turns: string, stock: string | null, predicted: string) =>
    `Bolts ${turns} out${stock ? ` (it comes at ${stock})` : ''}, about ${predicted}; weigh it.`,
  weighOnly: (target: string) =>
    `No limit of turns is known: leave the bolts, weigh it, and look for ${target}.`,
  noLength: 'No draw length yet: measure it in Fit.',
  noWeight: 'No start weight yet: draw a trial in Fit.',
  pairs: 'Against each other',
  pair: (a: number, b: number) => `Bow ${a} against bow ${b}`,
  alike: 'alike',
  ranking: 'What they liked',
  nothingMarked: 'Draw the first two, then ask.',
  sure: {
    clear: (name: string, percent: number) => `${name}, clearly: ${percent} % sure.`,
    leaning: (name: string, percent: number) => `Leaning to ${name}: ${percent} % sure.`,
  },
  open: (pairLeft: boolean) =>
    pairLeft
      ? 'Still open, nobody is ahead: draw another pair.'
      : 'Still open, nobody is ahead: draw the best two once more, or let fit and price decide.',
  liked: (liked: number, of: number) => `liked ${liked} of ${of}`,
  left: (pairs: number, aspects: number) =>
    pairs === 0
      ? 'Every pair was drawn.'
      : `${pairs} ${pairs === 1 ? 'pair is' : 'pairs are'} not drawn against each other yet; ${aspects} short questions each.`,
  speed: 'Does speed count for this archer?',
  speeds: [
    { id: 'no', name: 'no' },
    { id: 'yes', name: 'yes, as one mark more' },
  ],
  change: 'Other bows',
  putAway: 'Put the draw-off away',
  because: {
    order:
      'The order is shuffled for every archer: the last bow in the hand seems the best, and it should not always be the same one.',
    ranking:
      'Strengths by pairs (Bradley and Terry): what was liked more often, and how sure that is. Five marks of one pair hang together and count half each.',
    speed:
      'A fit they can repeat matters more than speed; it takes part only where the archer wants it.',
  },
  watch: {
    safe: 'Arrow on, safe target in front. No bow is let go without an arrow.',
    alike:
      'The same module length and weight on all of them, or it is the setting that is compared.',
    rest: 'Two or three draws each, then a rest: the last bow is not to be judged by tired arms.',
  },
} as const;
