/** Words of Fit. */
export const fit = {
  length: 'Draw length',
  weight: 'Draw weight',
  none: 'not measured yet',
  noTrial: 'no trial yet',
  oneMethod: 'one method; a second would show a slip',
  agree: (n: number) => `${n} methods agree`,
  disagree: 'the methods disagree',
  disagreeText: (method: string) =>
    `The readings are further apart than their own spread explains. ${method} stands furthest out: measure it again, then look at the archer at full draw.`,
  emptyRuler: 'The first reading draws its estimate here, with how far it may be off.',
  readings: 'Readings',
  measure: (method: string) => `Measure ${method.toLowerCase()}`,
  school: 'Arm span and the loop, for this job',
  schools: (shop: boolean) =>
    [
      { id: 'shop', name: shop ? 'as the shop: counts' : 'as the shop: span ÷ 2.5' },
      { id: 'own', name: shop ? 'span ÷ 2.5' : 'loop counts' },
    ] as const,
  notYet: 'not yet',
  module: (label: string) => `module ${label}`,
  step: 'step',
  ruler: 'Draw-length estimates on a ruler',
  curve: 'How sure the draw weight is',
  start: 'start weight',
  likely: 'where they can draw half the time',
  trials: 'Trials on a shop bow',
  trialLabel: 'Weight of the trial bow',
  nextTrial: (weight: string) => `next: ${weight}`,
  firstTrial: (weight: string) => `first: about ${weight}`,
  outcomes: [
    { id: 'smooth', name: 'Smooth', hint: 'straight back, held, let down slowly' },
    { id: 'strained', name: 'Strained', hint: 'came back, but with effort' },
    { id: 'failed', name: 'Failed', hint: 'did not come back' },
  ],
  outcomeNames: { smooth: 'smooth', strained: 'strained', failed: 'failed' },
  howItWent: 'How it went',
  sayHow: 'Say how it went: smooth, strained or failed.',
  growth: 'Room to grow',
  holdingNow: (holding: string, peak: string, percent: number) =>
    `At ${peak} they hold ${holding} at the wall, ${percent} % let off.`,
  noRoom: (top: string) => `The limbs end at ${top}: no room above the start.`,
  holdTest: (test: string, top: string) =>
    `Earliest days, from handover on. Each step only after the hold test: ${test}. The limbs go to ${top}.`,
  because: {
    weighs: (method: string, sigma: string) =>
      `${method} weighs most: one reading of it is good to about ${sigma}.`,
    school: (on: boolean, own: boolean, other: string) =>
      `Loop counts is ${on ? 'on' : 'off'} (${own ? 'for this job' : 'shop setting'}). ${on ? 'Without' : 'With'} it arm span would say ${other}.`,
    moduleDown: (step: string, rest: string, twists: string) =>
      `Module ${step}: nearest step, too long counting half as much again. ${rest} is left, about ${twists}.`,
    moduleExact: (step: string) => `Module ${step}: the archer stands on it.`,
    noBow: 'With a bow chosen, its module steps stand under the ruler.',
    spread: 'The spread is one standard deviation of the mean, weighed by how good each method is.',
    startWhy: (n: number) =>
      `Start weight: drawn comfortably nine times in ten, from the build and ${n} ${n === 1 ? 'trial' : 'trials'}. Form first, weight later.`,
    prior: (weight: string) =>
      `Before any trial the guess is ${weight} give or take a quarter: a table by age, build and experience, a shop rule.`,
    strained: 'Strained counts as half a no.',
    nextNone: 'The next trial stands in the middle of what is likely.',
    nextStep: 'The next trial is at most 5 lb above the heaviest smooth one.',
    nextFailed: 'The next trial stays under the one that failed.',
  },
  watch: {
    stretch: 'Arms out but not stretched: a stretched span adds half an inch.',
    tooLong: 'Too long is the common fault and shoots worse than too short.',
    safe: 'A bow is drawn only with an arrow on and a safe target in front, and never let go without one.',
    sky: 'Straight back, not lifted to the sky. Stop at pain, shaking or a locked elbow.',
    overBowed:
      'Over-bowed archers hurt themselves and learn bad form. A bow can be turned up later.',
  },
} as const;
