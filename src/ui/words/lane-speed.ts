/** Words of Speed. */
export const speedWords = {
  shots: 'Shots of this speed',
  none: 'No shot yet. Type the first, or listen to the chronograph.',
  mean: (n: number) => (n === 1 ? 'one shot' : `middle of ${n} shots`),
  scatter: (scatter: string) => `scatter ${scatter}`,
  oneMore: 'One shot says little: three make a speed.',
  ask: (speed: string) =>
    `${speed} does not go with the others. Did the gate see the vanes, or was it another arrow? Leave it out with a reason, or shoot one more.`,
  again: 'Something was changed since these were shot: the next shot begins a new speed.',
  fresh: 'Begin a new speed',
  carries: 'What the arrow carries',
  energy: 'Energy',
  momentum: 'Momentum',
  grPerLb: 'Mass for the weight',
  light: (least: string) => `Under ${least}: near the limit. Look at the bow maker’s least arrow.`,
  model: 'This bow, corrected',
  efficiency: 'Efficiency',
  rated: (pct: string) => `by its rating ${pct}`,
  virtual: 'Moves with the arrow',
  usualVirtual: 'usual figure; a second arrow at least 3 g apart would measure it',
  fittedVirtual: 'from two arrows',
  others: 'Other arrows from this bow',
  otherArrow: 'Another arrow on the string',
  otherMass: 'Its mass',
  otherHint: 'Weigh it first. At least 3 g lighter or heavier than the job’s own.',
  ownArrow: 'Back to the job’s arrow',
  because: {
    mean: 'The middle of all shots that count. A shot is never left out by itself: only with a reason.',
    sigma: (sigma: string) => `The speed is known to ± ${sigma}; the marks carry it on.`,
    model:
      'Half of mass times speed squared, of arrow and what moves with it, is efficiency times the energy stored.',
  },
} as const;
