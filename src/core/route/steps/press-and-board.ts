import { TIMING_IN_MM } from '../../bow';
import { latest } from '../ripple';
import { always, fixed, PRESS } from './shared';
import type { StepTemplate } from './types';

/** Only where the draw board saw one cam ahead of the other, or the cable was twisted for it. */
const camsApart: StepTemplate['applies'] = ({ bow, history }) =>
  bow !== null &&
  bow.camSystem !== 'single' &&
  (latest(history, 'cableTwists') !== null ||
    Math.abs(latest(history, 'timing')?.si ?? 0) > TIMING_IN_MM);

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
    needs: ['twists', 'peepIn'],
    applies: always,
    watch: [PRESS],
  },
  {
    id: 'brace',
    title: 'Measure the brace height',
    say: fixed('Throat of the grip to the string, bow at rest.'),
    stage: 'bench',
    station: 'drawBoard',
    archer: false,
    tool: 'bow square',
    minutes: 1,
    reads: ['braceHeight'],
    needs: ['tracks'],
    applies: always,
  },
  {
    id: 'board',
    title: 'Draw length and timing on the draw board',
    say: fixed(
      'Draw slowly to the wall. Read nock groove to plunger hole plus 1 3/4 in, and which cam touches first.',
    ),
    stage: 'bench',
    station: 'drawBoard',
    archer: false,
    tool: 'draw board, tape',
    minutes: 6,
    reads: ['drawLength', 'timing'],
    needs: ['tracks'],
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
    id: 'weights',
    title: 'Holding weight at the wall',
    say: fixed('Bow scale on the draw board, read at full draw against the wall.'),
    stage: 'bench',
    station: 'drawBoard',
    archer: false,
    tool: 'bow scale',
    minutes: 2,
    reads: ['holdingWeight'],
    needs: ['board'],
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
    needs: ['board', 'peepIn', 'sight'],
    applies: always,
  },
];
