/** Words of the stage Steady. */
const nmm = (value: number) => `${Math.abs(Math.round(value / 10) * 10)} N·mm`;

/** Which way a torque over what is neutral takes the bow. */
export const tipWords = (overNmm: number, quietNmm: number) =>
  Math.abs(overNmm) <= quietNmm ? 'stays' : `${overNmm > 0 ? 'tips right' : 'tips left'}`;
export const rollWords = (overNmm: number, quietNmm: number) =>
  Math.abs(overNmm) <= quietNmm ? 'stays' : `${overNmm > 0 ? 'rolls forward' : 'kicks back'}`;

const centreFrom = {
  hung: 'hung here',
  measured: 'measured in this shop before',
  given: 'as the maker gives it',
  estimated: 'not known: what bows are like',
} as const;

export const steady = {
  title: 'Steady',
  parts: { weigh: 'Weigh and hang', reaction: 'Reaction', bars: 'Bars', aim: 'Aim' },
  nothing: 'nothing yet',
  tries: (n: number) => (n === 1 ? 'one try' : `${n} tries`),
  settled: (n: number) => `settled in ${n}`,
  notMounted: 'none noted',
  quiet: 'quiet',
  likely: (words: string) => `likely ${words}`,
  notShot: 'not shot yet',
  shootFirst:
    'Nothing is learned of this bow in these hands yet: shoot it without bars. Until then neutral is what most bows are like.',
  toReaction: 'Shoot it bare',
  values: {
    bowMass: 'Mass',
    hangAxle: 'Axle',
    hangThread: 'Thread',
    hangThird: 'Third point',
    hangBehind: 'Behind',
  },
  mass: 'Mass, ready to shoot',
  lean: 'Lean of the string',
  ahead: 'Ahead of the throat',
  above: 'Above the throat',
  hangSay: {
    hangAxle:
      'Cord round the top axle. Let it come to rest and read the string against the plumb line.',
    hangThread:
      'A bolt in the front thread, the cord on it close to the riser. It comes to rest the other way up.',
    hangThird:
      'Any other point that holds the bow, the sight’s mount say. Measure it from the throat of the grip.',
    hangBehind: 'From the top axle again, looked at along the arrow.',
  },
  signUp: '+ when the top leans forward, to the target.',
  signDown: '+ when the cam that is up leans to the string’s side: compare with the drawing.',
  signBehind: '+ when the top leans to the archer’s right.',
  hangBare: 'On the bow while it hangs',
  bareChoices: [
    { id: 'bare', name: 'nothing' },
    { id: 'asItIs', name: 'everything chosen' },
  ],
  centre: 'Centre of the bare bow',
  centreAt: (forward: string, up: string, right: string) =>
    `${forward} forward, ${up}, ${right} of the throat`,
  up: (mm: string) => `${mm} up`,
  downBy: (mm: string) => `${mm} down`,
  rightBy: (mm: string) => `${mm} right`,
  leftBy: (mm: string) => `${mm} left`,
  inPlane: 'in the plane',
  from: centreFrom,
  sigma: (forward: string, up: string) => `± ${forward} forward, ± ${up} up`,
  oneMore: 'Hang it from a second point: one hang gives a line, not a point.',
  leftOut: (names: string) =>
    `Not counted, since other parts were on the bow then: ${names}. Hang it again as the others were.`,
  scale: (sum: string) => `on the scale; bow and parts add up to ${sum}.`,
  scaleAgrees: 'They agree.',
  scaleMore: (gap: string) =>
    `${gap} more than is listed: what hangs on it that is not in the kit?`,
  scaleLess: (gap: string) => `${gap} less than is listed: what of the kit is not on it?`,
  scaleUnknown: (names: string) => `Not weighed: ${names}.`,
  noMass: 'Hang the whole bow on the scale, as it is shot and without an arrow on the string.',
  assumed: (names: string) =>
    `Where the mass of ${names} sits is a usual place, not this part’s own.`,
  threadsAssumed:
    'Its data sheet names no thread for bars: the front one is where the drawing has it.',
  inertia: {
    measured: 'Inertia of the bare bow: measured in this shop.',
    given: 'Inertia of the bare bow: as the maker gives it.',
    estimated: 'Inertia of the bare bow is not known: taken as of a bow of its mass and length.',
  },
  reactionSay:
    'Bars off, sling on, hand loose. Three arrows at a near butt, then tap what the bow did as it left the hand: further out is clearer.',
  reactionWith: 'On the bow',
  bars: { none: 'no bars', asNoted: 'bars as noted' },
  quiver: 'Quiver',
  pick: 'Tap what it did',
  note: (name: string) => `Note: ${name}`,
  triesTitle: 'Every try',
  tryRow: (bars: boolean) => (bars ? 'with bars' : 'no bars'),
  torque: (roll: string, pitch: string) => `${roll}, ${pitch}`,
  noTries:
    'No try yet. Until one is seen, neutral is what most bows are like, and little is known.',
  neutral: 'Neutral, where it would stay',
  tip: 'Tip',
  roll: 'Roll',
  neutralSettled: 'Settled: bars can be chosen for it.',
  disagree:
    'The tries do not agree with one another: another grip, or something hung on the bow that is not listed. Shoot it once more.',
  neutralMissing: (n: number) =>
    n === 1
      ? 'One more try with another weight would settle it.'
      : `${n} more tries with another weight would settle it.`,
  weightHow: 'Put a disc on, or take one off, between two tries: tries alike teach less.',
  barsTitle: 'Three ways to mount it',
  offers: { lightest: 'Lightest that is quiet', usual: 'The shop’s usual', steadiest: 'Steadiest' },
  noBar: (side: 'front' | 'rear') => (side === 'front' ? 'no front bar' : 'no rear bar'),
  discs: (n: number) => (n === 0 ? 'no disc' : n === 1 ? '1 disc' : `${n} discs`),
  times: (n: number) => `${n.toFixed(2)}×`,
  steadiness: 'Steadiness',
  steadinessHow: 'turning inertia, times the bow without bars',
  total: 'Mass',
  price: 'More to pay',
  offerDoes: (tip: string, roll: string) => `tip ${tip}, roll ${roll} off neutral`,
  longest: (length: string, limit: string | null) =>
    limit === null ? `longest bar ${length}` : `longest bar ${length}, ${limit} allowed`,
  over: (value: number) => `${nmm(value)} over`,
  look: 'Look at it',
  shown: 'on the drawing',
  choosing: 'Looking through everything in stock …',
  counted: (n: string, limit: string, named: boolean) =>
    `${n} combinations of what is in stock, all of them, under ${limit} with the bow${named ? '' : ', a usual limit: name the archer’s own below'}.`,
  frontier: 'Mass against steadiness',
  frontierHow: 'Each point is the steadiest quiet way for its mass. Tap one to see it.',
  chartMass: 'mass, ready to shoot, g',
  limits: 'What may be carried',
  massLimit: 'Most mass, bow and all',
  barLimit: 'Longest bar allowed',
  noLimit: 'no limit',
  limitHow:
    'A class may limit the length of bars: the rules of the archer’s own competition decide.',
  own: 'Bars the archer brings',
  ownAdd: 'Add a bar',
  ownName: 'What it is',
  ownLength: 'Length',
  ownMass: 'Mass',
  ownSide: 'Where',
  ownSides: [
    { id: 'front', name: 'in front' },
    { id: 'rear', name: 'at the back' },
  ],
  ownRemove: 'Leave it out',
  state: 'Look at it with',
  sightOut: [
    { id: 'in', name: 'as it stands' },
    { id: 'out', name: 'dialled out' },
  ],
  sight: 'Sight',
  moved: (what: string, mm: string, roll: string, pitch: string) =>
    `${what}: the centre moves ${mm}, tip ${roll}, roll ${pitch}.`,
  quiverFull: 'Quiver full instead of off',
  quiverEmpty: 'Quiver emptied',
  sightDialled: 'Sight dialled out',
  levers: 'What each part adds',
  leverHeads: ['No.', 'Part', 'Mass', 'Tip', 'Roll'],
  isMounted: 'As mounted',
  isTried: 'Tried on the drawing, not mounted',
  mount: 'It is mounted so',
  back: 'Back to what is mounted',
  todo: 'From what is mounted',
  teeth: 'Let the teeth go before turning a bar in its mount: forced over, they round off.',
  moves: 'One move at a time',
  movesHow: 'What helps most stands first.',
  noneHelps: 'None of them brings it nearer to quiet; what does least harm stands first.',
  moveDoes: (roll: string, pitch: string, mass: string) => `tip ${roll}, roll ${pitch}, ${mass}`,
  helps: (value: number) => (value >= 0 ? `${nmm(value)} nearer` : `${nmm(value)} away`),
  tryIt: 'Try it',
  noMoves: 'Nothing is mounted yet: take one of the ways above.',
  more: 'More mass, same manner',
  moreHow: 'Discs and notches so that tip and roll stay what they are.',
  moreBy: (g: number) => `${g > 0 ? '+' : '−'}${Math.abs(g)} g`,
  moreNotQuiet: 'With these bars and discs it does not stay quiet: another bar is needed.',
  moreSame: 'Nothing there is nearer to that mass.',
  hint: 'Take a bar by its end and swing it, or by its foot and slide it where its mount slides; or press arrow keys, Page up and down on it, + and − for discs.',
  hintStraight: 'A bar straight in its thread does not swing: a mount with teeth turns it.',
  bareBow: 'Bare bow',
  discMore: (side: 'front' | 'rear') =>
    `A disc more ${side === 'front' ? 'in front' : 'at the back'}`,
  discLess: (side: 'front' | 'rear') =>
    `A disc less ${side === 'front' ? 'in front' : 'at the back'}`,
  sides: { front: 'front', rear: 'back' },
  needsSets: (n: number) => `needs ${n} sets of discs: lay them ready`,
  notInKit: 'The kit takes what is not in it yet, at its price.',
  because: {
    centre:
      'A bow hung by a cord comes to rest with its centre under the point it hangs from; two points give two lines, and they cross in the centre.',
    sum: 'Every part adds its mass times its lever: to the side it tips, forward it rolls. A quiver and a sight pull to their side.',
    neutral:
      'What stays has the neutral torque, within 40 N·mm; slight is about 60 away from it, clear about 180. Shop rules, and every try counts.',
    choice:
      'Every front bar, notch and disc there is with every rear one: what is quiet and steadiest, by the sum of turning inertia.',
    far: 'What counts is the distance twice: a light disc far out steadies more than a heavy one near the hand.',
    ratio: 'More mass keeps tip and roll as they are: that is what keeping the ratio means.',
  },
  watch: {
    noise: 'Differences between set-ups are often smaller than the noise of a few shots.',
    sling: 'Sling on, grip loose: do not catch the bow.',
    target: 'Shoot at a near butt with a safe backstop; nobody draws without an arrow.',
    hang: 'A cord that holds three times the bow, an open floor under it, no arrow in the quiver unless it belongs to the test.',
    carry: 'Mass at arm’s length tires: who still grows or learns carries less.',
  },
} as const;

/** Words of its drawings. */
export const steadyDrawing = {
  label: 'The bow from the side and from behind, with what hangs on it',
  side: 'from the side',
  behind: 'from behind',
  bar: (bar: 'front' | 'rear', view: 'side' | 'behind') =>
    `${bar === 'front' ? 'Front' : 'Rear'} bar, ${view === 'side' ? 'from the side' : 'from behind'}`,
  stands: (angles: string, discs: number) =>
    `${angles || 'straight'}, ${discs === 1 ? '1 disc' : `${discs} discs`}`,
  reaction: 'What the bow did',
  forward: 'rolls forward',
  back: 'kicks back',
  left: 'left',
  right: 'right',
  plumb: 'plumb line',
  hangs: (lean: number, upsideDown: boolean) =>
    `The bow hangs ${upsideDown ? 'upside down, ' : ''}its string ${lean}° off the plumb line`,
} as const;
