import type { SetupKey, SetupValue } from '../types';

const LEAN_MOVES: readonly SetupKey[] = [
  'newString',
  'stringTwists',
  'cableTwists',
  'limbTurnsUpper',
  'limbTurnsLower',
  'cableGuard',
];

const lean = (
  key: 'camLeanUpper' | 'camLeanLower',
  which: 'upper' | 'lower',
  fix: 'leanFixUpper' | 'leanFixLower',
): SetupValue => ({
  key,
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
});

const leanFix = (key: 'leanFixUpper' | 'leanFixLower', which: 'upper' | 'lower'): SetupValue => ({
  key,
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
});

/** How the cams stand, and what hangs on the string and behind it. */
export const CAMS: readonly SetupValue[] = [
  lean('camLeanUpper', 'upper', 'leanFixUpper'),
  lean('camLeanLower', 'lower', 'leanFixLower'),
  leanFix('leanFixUpper', 'upper'),
  leanFix('leanFixLower', 'lower'),
  {
    key: 'dampenersFitted',
    name: 'Dampeners fitted',
    short: 'dampeners',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['part:dampeners', 'newString'],
    stage: 'bench',
    part: 'string',
    how: 'The same distance from both axles, tight on the string or limb',
    tool: 'serving thread',
    changed: 'the dampeners were moved',
  },
  {
    key: 'stringStop',
    name: 'String stop',
    short: 'string stop',
    kind: 'length',
    tolerance: 1,
    min: 0,
    max: 20,
    bareUnit: 'mm',
    dependsOn: ['braceHeight', 'part:stringStop'],
    over: { braceHeight: 1 },
    stage: 'bench',
    part: 'string',
    how: 'Gap between the stop’s rubber and the string, bow at rest',
    tool: 'rule, hex key',
    changed: 'the string stop was moved',
  },
];
