import { LEAN_IN_MM, TIMING_IN_MM } from '../../bow';
import { itemOf } from '../../kit';
import { latest } from '../../setup';
import { FASTEN } from './fasten';
import { always, fixed, has, PRESS } from './shared';
import type { StepTemplate } from './types';

/** Only where the draw board saw one cam ahead of the other, or the cable was twisted for it. */
const camsApart: StepTemplate['applies'] = ({ bow, history }) =>
  bow !== null &&
  bow.camSystem !== 'single' &&
  (latest(history, 'cableTwists') !== null ||
    Math.abs(latest(history, 'timing')?.si ?? 0) > TIMING_IN_MM);

/** Only where an arrow against a cam pointed beside the string, or something was done about it. */
const camsLean: StepTemplate['applies'] = ({ bow, history }) =>
  bow !== null &&
  (['Upper', 'Lower'] as const).some(
    (cam) =>
      latest(history, `leanFix${cam}`) !== null ||
      Math.abs(latest(history, `camLean${cam}`)?.si ?? 0) > LEAN_IN_MM,
  );

/** What needs the press and the draw board. */
export const PRESS_AND_BOARD: readonly StepTemplate[] = [
  {
    id: 'twists',
    title: 'Twist the string for the rest of the draw length',
    say: fixed(
      'Count full twists. Put in (+) shortens the draw, take out (−) lengthens it. Nothing to do still means: enter 0.',
    ),
    stage: 'bench',
    station: 'press',
    archer: false,
    tool: 'press',
    minutes: 6,
    reads: ['stringTwists'],
    needs: ['modules', 'limbBolts'],
    applies: always,
    watch: [PRESS],
  },
  {
    id: 'peepIn',
    title: 'Put the peep in the string',
    say: fixed('Same number of strands each side. Slide to the start height; no tying in yet.'),
    stage: 'bench',
    station: 'press',
    archer: false,
    tool: 'press, string separator',
    minutes: 6,
    reads: ['peepHeight'],
    needs: ['twists', 'loop'],
    applies: always,
    uses: ['peep'],
    watch: [PRESS],
  },
  {
    id: 'stringDampeners',
    title: 'Put the dampeners in the string',
    say: ({ kit }) =>
      itemOf(kit, 'dampeners')?.attrs.place === 'cable'
        ? 'Between the strands of both cables, the same distance from the axles; tied above and below.'
        : 'Between the strands, the same distance from both axles; tied above and below. They cost a little speed: before the chronograph, never after.',
    stage: 'bench',
    station: 'press',
    archer: false,
    tool: 'press, string separator',
    minutes: 5,
    reads: ['dampenersFitted'],
    needs: ['twists'],
    applies: ({ kit }) => has(kit, 'dampeners') && itemOf(kit, 'dampeners')?.attrs.place !== 'limb',
    uses: ['dampeners'],
    watch: [PRESS],
  },
  {
    id: 'tracks',
    title: 'String and cables in their tracks',
    say: fixed(
      'Before the press is let go: look along both cams and every cable end. Let down slowly and look again.',
    ),
    stage: 'bench',
    station: 'press',
    archer: false,
    tool: 'eyes',
    minutes: 1,
    reads: ['inTracks'],
    needs: ['twists', 'peepIn', 'stringDampeners'],
    applies: always,
    watch: [PRESS],
  },
  {
    id: 'brace',
    title: 'Measure brace height and axles',
    say: fixed(
      'Bow at rest: throat of the grip to the string, then the middle of one axle to the middle of the other.',
    ),
    stage: 'bench',
    station: 'drawBoard',
    archer: false,
    tool: 'bow square, tape',
    minutes: 2,
    reads: ['braceHeight', 'axleToAxle'],
    needs: ['tracks'],
    applies: always,
  },
  {
    id: 'board',
    title: 'Draw length, timing and lean on the draw board',
    say: fixed(
      'Draw slowly to the wall. Read nock groove to plunger hole, as it is, and which cam touches first. Then an arrow laid flat against each cam: how far its end stands beside the string.',
    ),
    stage: 'bench',
    station: 'drawBoard',
    archer: false,
    tool: 'draw board, tape, arrow',
    minutes: 7,
    reads: ['drawLength', 'timing', 'camLeanUpper', 'camLeanLower'],
    needs: ['tracks', 'stops'],
    applies: always,
    watch: ['Hands clear of the string while the board is under load.'],
  },
  {
    id: 'timeCams',
    title: 'Twist the cable until the cams run together',
    say: fixed(
      'A half or a full twist at a time, then look again on the draw board. Which cable and how many stands with the target.',
    ),
    stage: 'bench',
    station: 'press',
    archer: false,
    tool: 'press',
    minutes: 6,
    reads: ['cableTwists'],
    needs: ['board'],
    applies: camsApart,
    watch: [PRESS],
  },
  {
    id: 'straightenCams',
    title: 'Straighten the cams',
    say: ({ bow }) =>
      `${bow?.yokes === 'both' || bow?.yokes === 'top' ? 'A half or full twist in one leg of the yoke' : 'One shim step at a time, from one side of the cam to the other'}, towards the side the arrow’s end stood on; then look again on the draw board. How much stands with the target. When the cam is off its axle, every shim and clip goes back where the manual shows it.`,
    stage: 'bench',
    station: 'press',
    archer: false,
    tool: 'press',
    minutes: 8,
    reads: ['leanFixUpper', 'leanFixLower'],
    needs: ['board'],
    applies: camsLean,
    watch: [PRESS],
  },
  {
    id: 'weights',
    title: 'Holding weight at the wall',
    say: fixed('Bow scale on the draw board, read at full draw against the wall.'),
    stage: 'bench',
    station: 'drawBoard',
    archer: false,
    tool: 'bow scale',
    minutes: 2,
    reads: ['holdingWeight'],
    needs: ['board', 'timeCams'],
    applies: always,
  },
  {
    id: 'trueHeights',
    title: 'Peep above the arrow, peep to pin',
    say: fixed(
      'At full draw: middle of the shaft to the middle of the peep, upright; then peep to pin.',
    ),
    stage: 'bench',
    station: 'drawBoard',
    archer: false,
    tool: 'draw board, rule',
    minutes: 3,
    reads: ['peepTrueHeight', 'peepToPin'],
    needs: ['board', 'timeCams', 'straightenCams', 'peepIn', 'sight'],
    applies: always,
  },
  {
    id: 'stringStop',
    title: 'Set the string stop',
    say: fixed(
      'Bow at rest: the rubber just short of the string, 2 to 4 mm. Touching it costs speed and sound; further off it does nothing.',
    ),
    stage: 'bench',
    station: 'drawBoard',
    archer: false,
    tool: 'rule, hex key',
    minutes: 2,
    reads: ['stringStop'],
    needs: ['brace'],
    applies: ({ bow, kit }) => has(kit, 'stringStop') || bow?.stringStop === 'fitted',
    fasten: FASTEN.stringStop,
    uses: ['stringStop'],
  },
];
