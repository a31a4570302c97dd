import { tensionFor, itemOf } from '../../kit';
import { MM_PER_INCH, spoken } from '../../units';
import type { CamSystem } from '../../bow';
import { FASTEN } from './fasten';
import { drive, fixed, DRAW_SAFELY } from './shared';
import type { StepTemplate } from './types';

/** Which cable is expected to go down, by the cams: the one the bottom cam takes up. */
const DOWN_CABLE: Record<CamSystem, string> = {
  single: 'On a single cam the buss cable, from the cam to the top limb’s axle, goes down.',
  hybrid: 'On hybrid cams the buss cable, from the bottom cam to the top limb, goes down.',
  camAndAHalf:
    'On a cam and a half the buss cable, from the bottom cam to the top limb, goes down.',
  twoCam: 'On two cams the cable that the bottom cam takes up goes down, the other one up.',
};

/** Work that one kind of rest brings along and the others do not. */
export const REST_STEPS: readonly StepTemplate[] = [
  {
    id: 'launcher',
    title: 'Choose the launcher’s tension',
    say: ({ kit }) => {
      const arrows = itemOf(kit, 'arrows');
      return arrows
        ? `An arrow of ${arrows.massG.toFixed(1)} g wants the ${tensionFor(arrows.massG)} launcher or spring: it lifts without bouncing.`
        : 'Weigh the arrow first: a heavier one wants a stiffer launcher, one that lifts without bouncing.';
    },
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'small hex key',
    fasten: FASTEN.launcher,
    minutes: 3,
    reads: ['launcherSet'],
    needs: ['rest', 'arrowMass'],
    applies: ({ kit }) => (itemOf(kit, 'rest')?.attrs.tensions.length ?? 0) > 0,
  },
  {
    id: 'downCable',
    title: 'Find the cable that goes down',
    say: ({ bow, shop }) =>
      `${bow ? DOWN_CABLE[bow.camSystem] : 'One cable goes down as the bow is drawn.'} Bows differ: draw ${spoken(50, 'length', shop, 'an inch or two')} on the draw board, watch both, and mark the one that moves down.`,
    stage: 'bench',
    station: 'drawBoard',
    archer: false,
    tool: 'draw board, tape',
    minutes: 2,
    reads: ['downCableFound'],
    needs: ['tracks'],
    applies: (context) => drive(context) === 'cableDriven',
    watch: [
      'A cord on the wrong cable pulls the launcher the wrong way; it never goes on bare strands.',
    ],
  },
  {
    id: 'cockVane',
    title: 'Turn the nocks: cock vane down',
    say: fixed(
      'In a ring the cock vane goes down, between the two lower supports. Turn every nock of the set alike; lay a second arrow on the riser and look whether they run side by side.',
    ),
    stage: 'bench',
    station: 'counter',
    archer: false,
    tool: 'nock turner',
    minutes: 4,
    reads: ['cockVaneDown'],
    needs: ['arrowMass'],
    applies: (context) => drive(context) === 'containment',
  },
  {
    id: 'cordAgain',
    title: 'Set the cord again after the first shots',
    say: fixed(
      'New cord stretches and the knot draws tight. Look whether the launcher lies fully down at rest and stands up in time; take up the slack, tighten the clamp.',
    ),
    stage: 'lane',
    station: 'lane',
    archer: false,
    tool: 'hex key',
    fasten: FASTEN.restSmall,
    minutes: 3,
    reads: ['cordSettled'],
    needs: ['paper'],
    applies: (context) => drive(context) === 'limbDriven',
    watch: [DRAW_SAFELY],
  },
  {
    id: 'cordTie',
    title: 'Second knot, cut and melt the cord',
    say: ({ shop }) =>
      `Paper is done: the marks meet in the last ${spoken(MM_PER_INCH, 'length', shop, 'inch')}. Second knot against the first, cut to a finger’s width, melt the end to a bead.`,
    stage: 'lane',
    station: 'lane',
    archer: false,
    tool: 'scissors, lighter',
    minutes: 3,
    reads: ['cordTied'],
    needs: ['paper'],
    applies: (context) => drive(context) === 'cableDriven',
    watch: [
      'Keep the flame off string and cables. A cord cut before paper is done is cut too early.',
    ],
  },
  {
    id: 'leadCord',
    title: 'Lead the cord through the riser',
    say: fixed(
      'Through the riser’s own way before it is tied: no kink, nothing rubs, the cord runs free when it is pulled.',
    ),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'hook or thin wire',
    minutes: 3,
    reads: ['cordLed'],
    needs: ['rest'],
    applies: (context) =>
      context.bow?.cordWay === true &&
      drive(context) !== undefined &&
      drive(context) !== 'containment',
  },
  {
    id: 'launcherWay',
    title: 'Launcher just off shelf and riser',
    say: fixed(
      'Move the launcher by hand from lying to standing: just off shelf and riser all the way. Where it touches it clicks at the shot, and a finger on the shelf is hit.',
    ),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'fingers, hex key',
    minutes: 2,
    reads: ['launcherClear'],
    needs: ['rest', 'centreShot', 'launcher'],
    applies: (context) => drive(context) !== undefined && drive(context) !== 'containment',
    watch: ['Fingers off the shelf when the bow is shot: the launcher comes down fast.'],
  },
];
