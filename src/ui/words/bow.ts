import { write, type ShopUnits } from '@/core/units';

/** Words of Bow. */
export const bow = {
  atoA: (mm: number, shop: ShopUnits) => `${write(mm, 'length', shop)} axle to axle`,
  brace: (mm: number, shop: ShopUnits) => `${write(mm, 'length', shop)} brace height`,
  noBowYet: 'no bow chosen yet',
  choose: 'Bow',
  module: 'Module',
  drawOff: 'Draw-off',
  drawOffOf: (n: number) => `${n} bows`,
  twistsPart: 'Twists',
  twistsOpen: 'to twist',
  bolts: 'Limb bolts',
  none: 'none yet',
  notSet: 'not set',
  notWeighed: 'not weighed',
  fits: 'fits',
  nearly: 'nearly',
  out: 'does not fit',
  noBows:
    'The shop has no bow of this hand yet. Write some down, read a file, or learn with the sample:',
  countFit: (fit: number, all: number) => `${fit} of ${all} in the shop fit`,
  missingFit:
    'Without a draw length and a trial every bow of the right hand is listed; the fit narrows it down.',
  inStock: (n: number) => (n === 1 ? '1 in stock' : `${n} in stock`),
  days: (n: number) => `${n} days`,
  condition: { new: 'new', used: 'used', loan: 'loan bow' },
  serial: (serial: string) => `No. ${serial}`,
  which: 'Which one',
  anyOfThem: 'any of them',
  single: 'this one',
  toLend: 'to lend',
  free: 'lent',
  lent: 'lent to this archer',
  putAside: 'put aside',
  heldBy: (ticket: number) => `with ticket ${ticket}`,
  handedOver: 'handed over',
  hasCome: 'has come',
  ordered: (day: string) => `ordered, comes ${day}`,
  toOrder: (day: string) => `to order, comes ${day}`,
  take: 'Take this bow',
  taken: 'Taken',
  putBack: 'Put it back',
  takeAnyway: 'Take all the same',
  takeAnywayTitle: (name: string) => `${name} does not cover the fit`,
  takeOther: 'Take this instead',
  settingOf: (step: string, label: string | null) => (label ? `${label} · ${step}` : step),
  setTo: (step: string) => `set to ${step}`,
  twists: (n: number) =>
    n === 0
      ? 'no twists'
      : `${Math.abs(n)} ${Math.abs(n) === 1 ? 'twist' : 'twists'} ${n > 0 ? 'in' : 'out'}`,
  range: (low: string, high: string) => `${low} to ${high}`,
  fixed: 'This bow has one draw length; it was ordered so.',
  cam: { top: 'Top cam', bottom: 'Bottom cam' },
  standsAt: 'stands at',
  setEach: (n: number) =>
    n > 1
      ? 'Two cams carry a module: set both to the same position.'
      : 'One cam carries the module.',
  goal: 'Set it to',
  allPositions: 'All positions',
  fewPositions: 'Only the near ones',
  uneven: 'The two modules stand apart. Both must stand alike before the bow is drawn.',
  otherStep: 'Another step',
  otherWeight: 'Another weight',
  backToFit: 'Back to the fit’s own',
  overruleStep: 'Set another step than the fit’s',
  overruleWeight: 'Set another weight than the fit’s',
  reason: 'Why (it goes on the sheet)',
  overrule: 'Set it so',
  boltsToGo: (turns: string, way: 'out' | 'in') => `${turns} ${way}`,
  boltsThere: 'there',
  moreTurns: 'turns to go',
  weighFirst: 'Weigh the bow as it stands: the plan starts from the scale, not from the catalogue.',
  target: (weight: string) => `target ${weight}`,
  noTarget: 'No target yet: draw a weight trial in Fit, or set a weight here.',
  plan: 'Turning plan',
  planRow: (n: number) => `pause ${n}`,
  upper: 'upper',
  lower: 'lower',
  turnsOut: (t: string) => `${t} out`,
  turnsIn: (t: string) => `${t} in`,
  upperThenLower: 'upper, then lower',
  thenWeigh: 'weigh again',
  planDone: 'On target. Nothing to turn.',
  before: 'before the bow was changed: does not count',
  doubt: {
    gain: (said: readonly string[]) =>
      `Turned out and heavier: ${said.join(' and ')}. One of them was read or noted wrong, or a bolt was turned the other way. Weigh both again, or leave one out below.`,
    apart: (said: readonly string[]) =>
      `These weighings contradict each other: ${said.join(', ')}. Weigh again where the bolts stand now, and leave out what was wrong.`,
    bow: (said: readonly string[]) =>
      `${said.join(', ')} is not what this bow weighs by its figures. Look at the unit, at the scale's hook, and whether it is this bow; leave it out if it was wrong.`,
  },
  planEnd: 'As far as this bow goes.',
  predicted: (weight: string, sigma: string) => `expected ${weight} ± ${sigma}`,
  notReached: (limit: string) =>
    `The target lies past what this bow can be set to. Nearest possible: ${limit}.`,
  limit: (turns: string) => `limit ${turns}`,
  hardStop: (turns: string) =>
    `Hard stop at ${turns} out. Past it the limb can leave its pocket under load.`,
  force: 'Draw force',
  forceMissing:
    'The speed needs a setting, a weight and an arrow: set the module, draw a trial, choose arrows.',
  chartDrawn: (unit: string) => `drawn from the brace, ${unit}`,
  peak: 'Peak weight',
  holdingShort: 'Holding weight',
  letOff: 'Let-off',
  valley: 'Valley',
  curveMissing:
    'The curve needs a setting and a weight: set the module, and draw a trial or set a weight.',
  lineModel: 'by the model',
  lineLogged: 'logged',
  lineOther: (name: string) => `${name}, by the model`,
  lineOtherLogged: (name: string) => `${name}, logged`,
  overlay: 'Laid over it',
  overlayNone: 'no other bow',
  logBoard: 'Log on the draw board',
  readFile: 'Read a logged curve',
  stopLog: 'Stop and forget it',
  keepCurve: 'Keep this curve',
  curveAsk: 'Is this a curve of this bow?',
  curveNot: 'Do not keep it',
  curveKeep: 'It is right, keep it',
  logAgain: 'Draw it again',
  dropLog: 'Forget it',
  logged: (device: string, points: number, leftOut: number) =>
    `${device ? `${device}: ` : ''}${points} points${leftOut > 0 ? `, ${leftOut} ${leftOut === 1 ? 'line' : 'lines'} left out` : ''}`,
  energyModel: 'The energy is the model’s; a curve logged at this setting would replace it.',
  energyLogged: (name: string) => `The energy is that of ${name} as it was logged.`,
  stored: 'Stored energy',
  inArrow: 'In the arrow',
  efficiency: 'Efficiency, by the rating',
  speed: 'Predicted speed',
  moreWeight: (amount: string) => `${amount} more weight`,
  moreDraw: (amount: string) => `${amount} more draw`,
  aGram: 'a gram more arrow',
  noLimit:
    'No turn limit is known for this bow. It is weighed as it is, and its bolts are not turned until the maker’s manual gives the limit.',
  standAt: 'Both bolts stand at',
  less: 'a quarter turn in',
  more: 'a quarter turn out',
  weigh: 'Peak weight on the scale',
  takeWeighing: (weight: string, turns: string) => `Take ${weight} at ${turns}`,
  weighings: 'Weighings',
  at: 'at',
  chart: 'Peak weight over limb-bolt turns',
  chartTurns: 'turns out',
  clocks: 'Limb bolts, turned out so far',
  because: {
    cover:
      'A bow fits when its hand is right, a module step lies within six and a half twists of the archer, and the start weight lies in its range.',
    nearest: (step: string) =>
      `${step} is the nearest step to the archer; too long counts half as much again.`,
    technician: (reason: string) => `Set by the technician: ${reason}.`,
    learned: (n: number, perTurn: string) =>
      `From ${n} ${n === 1 ? 'weighing' : 'weighings'} of this bow: about ${perTurn} a turn here. Half the turns is not half the range.`,
    unlearned: (perTurn: string) =>
      `No weighing yet: the catalogue’s range spread evenly, ${perTurn} a turn, and that is only a first guess.`,
    forceLogged:
      'The whole line is this bow as it was logged; the broken one is the model’s for its cam’s character.',
    force:
      'The curve is the model’s for this cam’s character, not a log of this bow; the draw board is right.',
    rating:
      'Efficiency comes from the bow’s rated speed; the ± is one σ of a speed predicted from a rating alone, 2.5 %, a shop rule.',
    order:
      'Upper, lower, at most two turns before changing over: the limbs stay even, the riser unstrained.',
  },
  watch: {
    limit: (turns: string) =>
      `Never past ${turns} out, printed on the limb or in the manual. If they disagree, the smaller counts.`,
    key: 'Key started at 12 or 6 o’clock, so that the turns are counted right.',
    board:
      'On the draw board: hands clear of the string, crank slowly, crank back before anything is touched.',
    lightArrow: (least: string) =>
      `Speed bought with a light arrow is paid by the limbs: under ${least} it is like a dry fire.`,
    dryFire: 'Weigh slowly through the peak and let down slowly. Never let the string go.',
    unequal: 'Upper and lower bolt stand apart. Bring them to the same turns before anything else.',
    manual: 'The maker’s manual comes before anything said here.',
  },
} as const;
