import { LEAN_IN_MM, type BowRecord } from '../../bow';
import { write } from '../../units';
import type { TargetContext } from '../target-context';
import { leanTarget } from '../twist-targets';
import { values, type TargetParts } from '../value-entry';
import { dim, spot } from '../figure';

const modulesOf = (bow: BowRecord | null): readonly string[] =>
  bow?.moduleCams ?? ['top', 'bottom'];

const moduleTarget = ({ moduleStepMm, shop }: TargetContext): TargetParts | null =>
  moduleStepMm === null
    ? null
    : {
        si: moduleStepMm,
        reason: `${write(moduleStepMm, 'length', shop)} is the step chosen for this archer, the same on every cam`,
        source: 'calculation',
      };

const LEAN_MOVES = [
  'newString',
  'newModule',
  'newLimb',
  'stringTwists',
  'cableTwists',
  'limbTurnsUpper',
  'limbTurnsLower',
  'cableGuard',
] as const;

/** How a cam leans, seen along an arrow laid against it. */
const lean = <F extends string>(which: 'upper' | 'lower', fix: F) =>
  ({
    name: `Lean of the ${which} cam`,
    short: `${which} lean`,
    kind: 'length',
    tolerance: 3,
    min: -60,
    max: 60,
    bareUnit: 'mm',
    dependsOn: [fix, ...LEAN_MOVES],
    over: { cableGuard: 2 },
    stage: 'bench',
    part: which === 'upper' ? 'camTop' : 'camBottom',
    how: `At full draw, an arrow laid flat against the ${which} cam: how far its end stands beside the string, + to the archer’s right`,
    tool: 'draw board, arrow, rule',
    changed: `the ${which} cam’s lean changed`,
    backTo: { datum: 'arrow flat on the cam at full draw: its end beside the string, + right' },
    figure: which === 'upper' ? dim('behind', 110, 62, 128, 62) : dim('behind', 110, 96, 128, 96),
    target: () => STRAIGHT,
  }) as const;

const STRAIGHT: TargetParts = {
  si: 0,
  low: -LEAN_IN_MM,
  high: LEAN_IN_MM,
  reason: 'The cam stands in line with the string at full draw',
  source: 'shop rule',
};

/** What was done about it. */
const leanFix = (which: 'upper' | 'lower') =>
  ({
    name: `Lean set at the ${which} cam`,
    short: `${which} shims`,
    kind: 'turns',
    tolerance: 0.24,
    min: -12,
    max: 12,
    fromZero: true,
    dependsOn: [],
    stage: 'bench',
    part: which === 'upper' ? 'camTop' : 'camBottom',
    how: 'Twists in the yoke’s right leg (+) or left leg (−), or shim steps the cam was moved to the right (+) or left (−), since the bow came',
    tool: 'press',
    changed: `the ${which} cam was shimmed or its yoke twisted`,
    backTo: { datum: 'twists of a yoke’s leg or steps of shims since the bow came, + right' },
    figure: which === 'upper' ? spot('behind', 110, 20) : spot('behind', 110, 130),
    target: (context: TargetContext) => leanTarget(which, context),
    paperBand: 2,
    mend: ['into the right leg, or to the right,', 'into the left leg, or to the left,'],
  }) as const;

/** How modules, stops and cams stand. */
export const CAMS = values({
  foundModule: {
    name: 'Module as found',
    short: 'found at',
    kind: 'length',
    tolerance: 0.5,
    min: 400,
    max: 900,
    dependsOn: [],
    stage: 'bench',
    part: 'camBottom',
    how: 'The draw length printed where the module stands as the bow came, the same on every cam',
    tool: 'eyes',
    changed: 'the module as found was noted',
    figure: spot('cam', 128, 58),
    applies: ({ bow }) => bow?.modules.length !== 0,
  },
  newModule: {
    name: 'Other module or cam',
    short: 'other module',
    kind: 'check',
    tolerance: 0,
    optional: true,
    dependsOn: [],
    stage: 'bench',
    part: 'camBottom',
    how: 'A module, its stop or a cam was taken off and another put on',
    tool: 'hex key, press',
    changed: 'a module or cam was exchanged',
    figure: spot('cam', 128, 58),
    startsPapers: true,
  },
  moduleTop: {
    name: 'Top module',
    short: 'top module',
    kind: 'length',
    tolerance: 0.5,
    min: 500,
    max: 900,
    dependsOn: ['newModule'],
    stage: 'bow',
    part: 'camTop',
    how: 'Read the draw length of the position the module is screwed to',
    tool: 'hex key',
    changed: 'the top module was moved',
    carries: 'sameBow',
    backTo: { datum: 'where the top cam’s module is screwed' },
    figure: spot('cam', 128, 58),
    onMap: 1,
    applies: ({ bow }) => modulesOf(bow).includes('top'),
    startsPapers: true,
    target: moduleTarget,
    mend: ['move the module to', 'move the module to'],
  },
  moduleBottom: {
    name: 'Bottom module',
    short: 'module',
    kind: 'length',
    tolerance: 0.5,
    min: 500,
    max: 900,
    dependsOn: ['newModule'],
    stage: 'bow',
    part: 'camBottom',
    how: 'Read the draw length of the position the module is screwed to',
    tool: 'hex key',
    changed: 'the bottom module was moved',
    carries: 'sameBow',
    backTo: { datum: 'where the bottom cam’s module is screwed' },
    figure: spot('cam', 128, 58),
    onMap: 1,
    applies: ({ bow }) => modulesOf(bow).includes('bottom'),
    startsPapers: true,
    target: moduleTarget,
    mend: ['move the module to', 'move the module to'],
  },
  stops: {
    name: 'Draw stops',
    short: 'stops',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['newModule', 'moduleTop', 'moduleBottom'],
    stage: 'bench',
    part: 'camBottom',
    how: 'Every draw stop stands in the position of its module, the same on every cam',
    tool: 'hex key',
    changed: 'the draw stops were moved',
    figure: spot('cam', 150, 96),
  },
  timing: {
    name: 'Cam timing',
    short: 'timing',
    kind: 'length',
    tolerance: 1,
    min: -30,
    max: 30,
    bareUnit: 'mm',
    dependsOn: [
      'newString',
      'newModule',
      'newLimb',
      'moduleTop',
      'moduleBottom',
      'limbTurnsUpper',
      'limbTurnsLower',
      'stringTwists',
      'cableTwists',
      'leanFixUpper',
      'leanFixLower',
      'braceHeight',
    ],
    notice: 1,
    stage: 'bench',
    part: 'camTop',
    how: 'Gap at the second stop when the first touches; + the top leads, 0 both together',
    tool: 'draw board',
    changed: 'the timing changed',
    backTo: { datum: 'gap at the second stop when the first touches, + the top leads' },
    figure: dim('cam', 150, 96, 172, 96),
    onMap: 2,
    startsPapers: true,
    target: () => ({ si: 0, reason: 'Both cams reach their stops together', source: 'shop rule' }),
    mend: ['let the top cam come earlier by', 'hold the top cam back by'],
  },
  camLeanUpper: lean('upper', 'leanFixUpper'),
  camLeanLower: lean('lower', 'leanFixLower'),
  leanFixUpper: leanFix('upper'),
  leanFixLower: leanFix('lower'),
});
