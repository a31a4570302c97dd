import { itemOf } from '../kit';
import type { BuildContext } from './context';
import type { SetupKey, Stage } from './types';

export type Station = 'counter' | 'vice' | 'press' | 'drawBoard' | 'lane';

export const STATIONS: readonly {
  readonly id: Station;
  readonly name: string;
  readonly changeCost: number;
}[] = [
  { id: 'counter', name: 'Counter', changeCost: 2 },
  { id: 'vice', name: 'Vice', changeCost: 2 },
  { id: 'press', name: 'Press', changeCost: 6 },
  { id: 'drawBoard', name: 'Draw board', changeCost: 4 },
  { id: 'lane', name: 'Lane', changeCost: 5 },
];
export const ARCHER_CALL_COST = 8;

/** A piece of work at one station; done when its readings exist, hold and are in tolerance. */
export interface StepTemplate {
  readonly id: string;
  readonly title: string;
  /** What to do, in the order of the hands. */
  readonly say: (context: BuildContext) => string;
  readonly stage: Extract<Stage, 'bow' | 'bench' | 'lane' | 'handover'>;
  readonly station: Station;
  readonly archer: boolean;
  readonly tool: string;
  readonly minutes: number;
  readonly reads: readonly SetupKey[];
  /** Steps that must be done before, where they belong to the job. */
  readonly needs: readonly string[];
  readonly applies: (context: BuildContext) => boolean;
  readonly watch?: readonly string[];
}

const always = () => true;
const drive = (context: BuildContext) => itemOf(context.kit, 'rest')?.attrs.drive;
const fixed = (text: string) => () => text;

const DRAW_SAFELY = 'Only with a release, an arrow on the string and a safe target in front.';
const PRESS = 'Press: both limbs seated in their fingers, eyes away from the string line.';

const SET_THE_BOW: readonly StepTemplate[] = [
  {
    id: 'modules',
    title: 'Set the module on every cam that has one',
    say: ({ bow }) =>
      bow && bow.moduleCams.length > 1
        ? 'Two modules on this bow: move both to the same position, then read both.'
        : 'Move the module to its position and read it.',
    stage: 'bow',
    station: 'vice',
    archer: false,
    tool: 'hex key, snug',
    minutes: 6,
    reads: ['moduleTop', 'moduleBottom'],
    needs: [],
    applies: ({ bow }) => (bow?.modules.length ?? 0) > 0,
    watch: ['A module moved on one cam only throws the timing out and can derail the string.'],
  },
  {
    id: 'limbBolts',
    title: 'Turn the limb bolts and weigh',
    say: fixed(
      'The same turns on both bolts, two at most before changing over. Weigh, and go on from what the scale says.',
    ),
    stage: 'bow',
    station: 'vice',
    archer: false,
    tool: 'hex key with a long arm, bow scale',
    minutes: 12,
    reads: ['limbTurnsUpper', 'limbTurnsLower', 'peakWeight'],
    needs: ['modules'],
    applies: ({ bow }) => bow !== null,
    watch: [
      'Never past the bow’s limit of turns: the limb can leave its pocket under load.',
      DRAW_SAFELY,
    ],
  },
];

const PREPARE: readonly StepTemplate[] = [
  {
    id: 'arrowMass',
    title: 'Weigh a finished arrow',
    say: fixed('Point, insert, vanes and nock on. Weigh three and enter the middle one.'),
    stage: 'bench',
    station: 'counter',
    archer: false,
    tool: 'grain scale',
    minutes: 3,
    reads: ['arrowMass'],
    needs: [],
    applies: always,
  },
  {
    id: 'rest',
    title: 'Mount the rest',
    say: fixed(
      'Bracket square against the riser’s flat or machined line. Start both screws, then tighten; secondary set screws too.',
    ),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'hex key, tight',
    minutes: 8,
    reads: ['restFitted'],
    needs: [],
    applies: always,
  },
  {
    id: 'nockHeight',
    title: 'Find the nock height',
    say: fixed(
      'Bow square clipped on the string, arrow on the rest: shaft at 90° to the string, its middle at the plunger hole.',
    ),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'bow square',
    minutes: 4,
    reads: ['nockHeight'],
    needs: ['rest'],
    applies: always,
  },
  {
    id: 'centreShot',
    title: 'Set the centre shot',
    say: fixed(
      'Move the rest in or out until the middle of the shaft stands at the figure, measured from the riser.',
    ),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'rule, hex key',
    minutes: 4,
    reads: ['centreShot'],
    needs: ['rest'],
    applies: always,
  },
  {
    id: 'loop',
    title: 'Tie the loop',
    say: fixed(
      'Nock height is settled: tie on above and below the nock, stretch with pliers, measure to the inside.',
    ),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'pliers, lighter',
    minutes: 5,
    reads: ['loop'],
    needs: ['nockHeight'],
    applies: always,
    watch: ['Moving a tight loop damages the serving. Keep the flame off the string.'],
  },
  {
    id: 'sight',
    title: 'Mount the sight',
    say: fixed('Start both screws before tightening either. Note which hole the base stands in.'),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'hex key, tight',
    minutes: 5,
    reads: ['sightFitted', 'sightBase'],
    needs: [],
    applies: always,
  },
  {
    id: 'levels',
    title: 'Level rail and bubble',
    say: fixed(
      'Bow plumb in the vice. Rail against the string first, then the bubble to the middle.',
    ),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'level',
    minutes: 6,
    reads: ['firstAxis', 'secondAxis'],
    needs: ['sight'],
    applies: always,
  },
  {
    id: 'thirdAxis',
    title: 'Set the third axis',
    say: fixed('Tip the bow 30° up and down: the bubble stays. Turn the housing until it does.'),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'level, hex key',
    minutes: 6,
    reads: ['thirdAxis'],
    needs: ['levels'],
    applies: ({ kit }) => itemOf(kit, 'sight')?.attrs.thirdAxis === true,
  },
  {
    id: 'quiver',
    title: 'Mount the quiver',
    say: fixed(
      'Start both screws before tightening either. Clips on the shaft, nothing near string or cable.',
    ),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'hex key, snug',
    minutes: 4,
    reads: ['quiverFitted'],
    needs: ['sight'],
    applies: ({ kit }) => kit.quiver !== undefined,
  },
  {
    id: 'stabiliser',
    title: 'Mount the stabiliser',
    say: fixed('Hand tight, then a quarter turn.'),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'spanner',
    minutes: 2,
    reads: ['stabiliserFitted'],
    needs: [],
    applies: ({ kit }) => kit.stabiliser !== undefined,
  },
];

const PRESS_AND_BOARD: readonly StepTemplate[] = [
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

const PROVE: readonly StepTemplate[] = [
  {
    id: 'cord',
    title: 'Set the rest’s cord',
    say: (context) =>
      drive(context) === 'cableDriven'
        ? 'Cord on the down cable, against the serving. Draw: read how far before full draw the two marks meet. One single knot until paper is done.'
        : 'Clamp the cord on the limb and measure from the axle. New cord stretches: look again after the first shots.',
    stage: 'bench',
    station: 'lane',
    archer: false,
    tool: '2 mm hex key, snug',
    minutes: 8,
    reads: ['restCord'],
    needs: ['centreShot', 'nockHeight', 'board'],
    applies: (context) => drive(context) !== undefined && drive(context) !== 'containment',
    watch: [
      DRAW_SAFELY,
      'Never with the fingers: a twist at let-off takes the string off the cam.',
    ],
  },
  {
    id: 'clearance',
    title: 'Vanes clear of everything',
    say: fixed(
      'Draw slowly and let down slowly: vanes clear of cables, guard and launcher. Move the cable guard when they are not.',
    ),
    stage: 'bench',
    station: 'lane',
    archer: false,
    tool: 'eyes',
    minutes: 3,
    reads: ['vaneClearance'],
    needs: ['cord', 'centreShot', 'arrowMass'],
    applies: always,
    watch: [DRAW_SAFELY],
  },
  {
    id: 'peepArcher',
    title: 'Peep square before the archer’s eye',
    say: fixed(
      'The archer draws with eyes shut, anchors, opens them: looks straight through a round hole, or it moves. Then tie it in.',
    ),
    stage: 'bench',
    station: 'lane',
    archer: true,
    tool: 'serving thread',
    minutes: 6,
    reads: ['peepRotation'],
    needs: ['peepIn', 'board', 'clearance'],
    applies: always,
    watch: [DRAW_SAFELY],
  },
  {
    id: 'paper',
    title: 'Shoot through paper',
    say: fixed(
      'Two metres from the frame, arrow level. Read the nock’s hole from the point’s hole, seen from the archer.',
    ),
    stage: 'lane',
    station: 'lane',
    archer: true,
    tool: 'paper frame, target',
    minutes: 10,
    reads: ['paperTear'],
    needs: ['peepArcher', 'clearance', 'weights'],
    applies: always,
    watch: [DRAW_SAFELY],
  },
  {
    id: 'speed',
    title: 'Chronograph',
    say: fixed('Three shots, a metre in front of the bow; enter the middle one.'),
    stage: 'lane',
    station: 'lane',
    archer: true,
    tool: 'chronograph',
    minutes: 4,
    reads: ['arrowSpeed'],
    needs: ['paper', 'arrowMass'],
    applies: always,
    watch: [DRAW_SAFELY],
  },
  {
    id: 'firstMark',
    title: 'Settle the first distance',
    say: fixed('Three arrows or more. The pin goes towards the hit.'),
    stage: 'lane',
    station: 'lane',
    archer: true,
    tool: 'target',
    minutes: 12,
    reads: ['firstMark'],
    needs: ['speed', 'trueHeights', 'levels', 'thirdAxis'],
    applies: always,
    watch: [DRAW_SAFELY],
  },
  {
    id: 'fasteners',
    title: 'Everything tight',
    say: fixed(
      'Every screw by its key: rest, sight, quiver, bar, modules, limb pockets. Plastic parts gently.',
    ),
    stage: 'handover',
    station: 'counter',
    archer: false,
    tool: 'hex keys',
    minutes: 4,
    reads: ['fasteners'],
    needs: ['rest', 'sight', 'quiver', 'stabiliser', 'firstMark', 'centreShot'],
    applies: always,
  },
];

export const STEP_TEMPLATES: readonly StepTemplate[] = [
  ...SET_THE_BOW,
  ...PREPARE,
  ...PRESS_AND_BOARD,
  ...PROVE,
];
