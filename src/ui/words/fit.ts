/** Words of Fit. */
export const fit = {
  length: 'Draw length',
  weight: 'Draw weight',
  parts: {
    length: 'Draw length',
    posture: 'Full draw',
    weight: 'Draw weight',
    eye: 'Eye',
    release: 'Release',
    old: 'Old bow',
  },
  none: 'not yet',
  noTrial: 'no trial',
  postureShort: {
    nothing: 'not looked',
    right: 'looks right',
    shorter: 'too long',
    longer: 'too short',
    mixed: 'both ways',
    contradiction: 'contradicts',
  },
  eyeOpen: 'not known',
  eyeShort: { right: 'right', left: 'left' },
  oldNone: 'none',
  oldCount: (n: number, all: number) => `${n} of ${all}`,
  bowInHand: 'Bow in hand',
  bowInHandField: 'Draw length of the bow in hand',
  newLook: 'Another bow, a new look',
  lookFirst: 'The eye judges the bow in hand, so note its draw length first.',
  lookSteps: [
    'Arrow on, safe target in front, release on the wrist or in the hand.',
    'Let them draw twice to get used to it; look at the third.',
    'Stand to the side, then behind. One look at a time, let down in between.',
  ],
  lookNow: 'Tap the drawing that looks like the archer.',
  places: 'Where to look',
  notLooked: 'look',
  allLooked: 'Every place is looked at. Tap one to look again.',
  seen: { right: 'right', tooLong: 'too long', tooShort: 'too short' },
  signs: (long: number, short: number, right: number) =>
    [
      long > 0 ? `${long} too long` : '',
      short > 0 ? `${short} too short` : '',
      right > 0 ? `${right} right` : '',
    ]
      .filter(Boolean)
      .join(', ') + '.',
  eyeAsks: {
    nothing: 'Not enough seen yet to say more.',
    right: 'The eye is content with this length.',
    shorter: 'The eye asks for a shorter draw.',
    longer: 'The eye asks for a longer draw.',
    mixed: 'The signs point both ways: look again, slowly.',
  },
  eyeHow: 'Three times, like this',
  eyeTry: (n: number, settled: boolean) =>
    settled ? 'Try again, where there is doubt' : `Try ${n}: which eye kept it?`,
  eyeWhich: 'Which eye kept the target',
  eyeSeen: { left: 'left eye', right: 'right eye', unsure: 'not clear' },
  eyeResult: (
    { settled, agree, tries, eye }: { settled: boolean; agree: number; tries: number; eye: string },
    noted: string,
  ) =>
    settled
      ? `${agree} of ${tries}: the ${eye} eye aims.`
      : noted === 'unsure'
        ? 'Two alike settle it.'
        : `Told so far: the ${noted} eye. Two alike settle it.`,
  conflict: (hand: string, eye: string) =>
    `${hand === 'right' ? 'Right' : 'Left'} hand, ${eye} eye: how to go on`,
  handFollows: (hand: string) => `They shoot ${hand}-handed now, as the eye asks.`,
  wallWanted: (wall: 'firm' | 'soft' | null) =>
    wall === null
      ? 'Either wall will do: the bows and what stops them'
      : `A ${wall} wall is wanted`,
  stops: { limb: 'limb stop', cable: 'cable stop', both: 'limb and cable stop' },
  stopsUnknown: 'stops not known',
  walls: { firm: 'firm', soft: 'softer' },
  wallUnknown: 'try it',
  oldLength: 'True draw length',
  oldLengthUse: 'the archer’s draw length, to a few millimetres',
  oldUse: (use: string) => `Used for: ${use}.`,
  oldHeavy: (old: string, start: string) =>
    `The old bow pulls ${old}; today’s trials would start at ${start}. Talk about it before the new one is set as heavy.`,
  sure: (length: string, side: 'short' | 'long', who: 'adult' | 'child') =>
    `That would be a draw length of ${length}, very ${side} for ${who === 'adult' ? 'an adult' : 'a child'}. Look at the tape once more.`,
  sureTitle: 'Is that what the tape says?',
  isRight: 'It is right, take it',
  measureAgain: 'Measure again',
  notTaken: 'Not taken; the number still stands here.',
  retakeTitle: (method: string) => `${method}, read again`,
  retake: (before: readonly string[], now: string, off: string) =>
    `Before: ${before.join(', ')}. Now: ${now}. As a draw length that is ${off} apart, more than this method scatters: one of them was read or noted wrong.`,
  bothCount: 'Both count',
  firstWrong: 'The first was wrong',
  thisWrong: 'This one is wrong',
  older: 'older, the newest counts',
  shopModules: 'What the bows in the shop would be set to',
  shopModulesMore: (n: number) => `and ${n} more`,
  wouldTake: 'nearest',
  thisBow: 'this bow',
  noneLeft: 'nothing left',
  stepLeft: (rest: string, twists: string) => `${rest} left, ${twists}`,
  holdStart: 'Time the hold',
  holdStop: 'Stop',
  holdLabel: 'Held at full draw',
  holdClear: 'Clear',
  otherHand: (hand: string) => `${hand}-handed: does not count`,
  held: (seconds: string) => `held ${seconds} s`,
  stopSigns: 'Stop at once at',
  stopSignList: [
    'pain, a click or a pull in shoulder, elbow or back',
    'shaking before the wall is reached',
    'the bow lifted to the sky to get it back',
    'a locked elbow, leaning back',
    'no slow letting down',
  ],
  legalMark: (weight: string) => `asked for: ${weight}`,
  legalUnder: (weight: string, place: string) =>
    `The archer states a legal least weight of ${weight}${place ? ` (${place})` : ''}. The start weight lies under it: for practice now, not for hunting there. Their authority decides.`,
  legalOver: (weight: string, place: string) =>
    `The archer states a legal least weight of ${weight}${place ? ` (${place})` : ''}; the start weight meets it. Their authority decides.`,
  oneMethod: 'one method; a second would show a slip',
  agree: (n: number) => `${n} methods agree`,
  disagree: 'the methods disagree',
  disagreeText: (method: string) =>
    `The readings are further apart than their own spread explains. ${method} stands furthest out: measure it again, then look at the archer at full draw.`,
  apartText: (method: string) =>
    `${method} contradicts itself: its own readings lie further apart than it scatters. Settle that first: leave one out, or read it once more.`,
  disagreeNobody:
    'The two methods disagree, and two cannot tell which of them is wrong. Measure both again, or a third way; then look at the archer at full draw.',
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
    { id: 'pain', name: 'It hurt', hint: 'pain anywhere, at any weight: stop' },
  ],
  outcomeNames: { smooth: 'smooth', strained: 'strained', failed: 'failed', pain: 'pain' },
  howItWent: 'How it went',
  sayHow: 'Say how it went: smooth, strained, failed, or it hurt.',
  painTitle: 'It hurt: no more trials today.',
  painText: (weight: string) =>
    `Let it heal, and ask for a doctor’s word before the next one. Then go on at ${weight} or lower.`,
  painGoOn: 'A doctor has agreed: go on',
  growth: 'Room to grow',
  holdingNow: (holding: string, peak: string, percent: number) =>
    `At ${peak} they hold ${holding} at the wall, ${percent} % let off.`,
  noRoom: (top: string) => `The limbs end at ${top}: no room above the start.`,
  holdTest: (test: string, top: string, strained: boolean) =>
    `Earliest days, from handover on. Each step only after the hold test: ${test}. ${strained ? `Not past ${top}, where they strained.` : `The limbs go to ${top}.`}`,
  childSlow: (most: string) => `Under 16 at most ${most} a month.`,
  because: {
    evidence:
      'What is seen is evidence for longer or shorter. It stands beside the number and is never mixed into it.',
    signs: 'One sign alone may be a habit; two the same way, and none the other, ask for a change.',
    eye: 'The eye that aims keeps the target when the hands come back to it.',
    eyeTwice: 'Two of three tries alike settle it; a try that is not clear counts for neither.',
    wallThumb: 'A thumb button likes a firm wall, a limb stop, to pull against.',
    wallBack: 'Back tension likes a little give behind the wall, a cable stop.',
    wallOwn: 'What the archer says comes before what the release suggests.',
    old: 'A bow that fits is the best tape: its true draw length weighs most of all methods.',
    oldOrder: 'Draw length first, it moves the peep; then weight, then peep, then sight.',
    weighs: (method: string, sigma: string) =>
      `${method} weighs most: one reading of it is good to about ${sigma}.`,
    school: (on: boolean, own: boolean, other: string) =>
      `Loop counts is ${on ? 'on' : 'off'} (${own ? 'for this job' : 'shop setting'}). ${on ? 'Without' : 'With'} it arm span would say ${other}.`,
    moduleDown: (step: string, rest: string, twists: string) =>
      `Module ${step}: nearest step, too long counting half as much again. ${rest} is left, about ${twists}.`,
    moduleExact: (step: string) => `Module ${step}: the archer stands on it.`,
    noBow:
      'Under the ruler stand the steps of every bow of this hand; the full one is nearest, too long counting half as much again.',
    spread: 'The spread is one standard deviation of the mean, weighed by how good each method is.',
    startWhy: (n: number) =>
      `Start weight: drawn comfortably nine times in ten, from the build and ${n} ${n === 1 ? 'trial' : 'trials'}. Form first, weight later.`,
    prior: (weight: string) =>
      `Before any trial the guess is ${weight} give or take a quarter: a table by age, build and experience, a shop rule.`,
    strained: 'Strained counts as half a no.',
    nextNone: 'The next trial stands in the middle of what is likely.',
    nextStep: (most: string) => `The next trial is at most ${most} above the heaviest smooth one.`,
    nextStrained: 'The next trial stays under the one that strained.',
    nextPain: 'After pain the next trial waits for another day, a fifth under what hurt.',
    nextFailed: 'The next trial stays under the one that failed.',
  },
  watch: {
    lookShort: 'Two or three draws at a time, then rest: a tired archer looks too short.',
    eyeNoBow: 'No bow in the hand for this.',
    eyeGlasses: 'With the glasses they will shoot with.',
    release: 'A release is tried on a loop of cord first, with both hands, never on a drawn bow.',
    oldSafe: 'Look the old bow over before drawing it: limbs, cams, servings, bolts.',
    stretch: (adds: string) => `Arms out but not stretched: a stretched span adds ${adds}.`,
    tooLong: 'Too long is the common fault and shoots worse than too short.',
    safe: 'A bow is drawn only with an arrow on and a safe target in front, and never let go without one.',
    overBowed:
      'Over-bowed archers hurt themselves and learn bad form. A bow can be turned up later.',
  },
} as const;
