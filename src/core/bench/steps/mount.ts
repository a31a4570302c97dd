import { itemOf } from '../../kit';
import { FASTEN } from './fasten';
import { always, fixed, has } from './shared';
import type { StepTemplate } from './types';

const AT_VICE = { stage: 'bench', station: 'vice', archer: false } as const;

/** Sight, quiver, bars and what hangs on the riser. */
export const MOUNT: readonly StepTemplate[] = [
  {
    ...AT_VICE,
    id: 'sight',
    title: 'Mount the sight',
    say: ({ kit }) =>
      `Start both screws before tightening either. ${itemOf(kit, 'sight')?.attrs.slides ? 'Rail at the level that leaves the most travel below; note' : 'Note'} which hole the base stands in, and where the housing stands on its rail. When travel runs out later, the base is moved: then the rail alone is levelled again.`,
    tool: 'hex key, rule',
    minutes: 6,
    reads: ['sightFitted', 'sightBase', 'housingHeight', 'housingWindage'],
    needs: [],
    applies: always,
    fasten: FASTEN.sight,
    uses: ['sight'],
  },
  {
    ...AT_VICE,
    id: 'levels',
    title: 'Level rail and bubble',
    say: fixed(
      'Bow plumb in the vice. Rail against the string first, then the bubble to the middle.',
    ),
    tool: 'level',
    minutes: 6,
    reads: ['firstAxis', 'secondAxis'],
    needs: ['sight'],
    applies: always,
    fasten: FASTEN.sightSmall,
  },
  {
    ...AT_VICE,
    id: 'thirdAxis',
    title: 'Set the third axis',
    say: fixed('Tip the bow 30° up and down: the bubble stays. Turn the housing until it does.'),
    tool: 'level, hex key',
    minutes: 6,
    reads: ['thirdAxis'],
    needs: ['levels'],
    applies: ({ kit, schools }) =>
      itemOf(kit, 'sight')?.attrs.thirdAxis === true && schools.thirdAxis === 'bench',
    school: 'thirdAxis',
    fasten: FASTEN.sightSmall,
  },
  {
    ...AT_VICE,
    id: 'light',
    title: 'Fit the sight’s light',
    say: fixed('Screw or clip it on by hand; it lights the pins from the front, not the eye.'),
    tool: 'fingers',
    minutes: 2,
    reads: ['lightFitted'],
    needs: ['sight'],
    applies: ({ kit }) => has(kit, 'light'),
    fasten: { ...FASTEN.bar, plastic: true },
    uses: ['light'],
    watch: ['Electronics on the bow are forbidden in some places: the archer’s rules decide.'],
  },
  {
    ...AT_VICE,
    id: 'quiver',
    title: 'Mount the quiver',
    say: ({ kit }) =>
      itemOf(kit, 'quiver')?.attrs.pieces === 2
        ? 'Two pieces: hood and gripper each with their own two screws, started before any is tightened. Lay an arrow in: straight, its nock clear of the lower limb and cam, nothing near string or cable.'
        : 'Start both screws before tightening either. Clips on the shaft, nothing near string or cable; it comes off and on without a rattle.',
    tool: 'hex key',
    minutes: 4,
    reads: ['quiverFitted'],
    needs: ['sight'],
    applies: ({ kit }) => has(kit, 'quiver'),
    fasten: FASTEN.quiver,
    uses: ['quiver'],
  },
  {
    ...AT_VICE,
    id: 'sling',
    title: 'Fit the sling',
    say: ({ kit }) =>
      itemOf(kit, 'sling')?.attrs.mount === 'hole'
        ? 'Through its own hole, plate flat on the riser; open enough for a loose hand.'
        : 'Its plate goes between riser and bar, so it comes before the bar; open enough for a loose hand.',
    tool: 'fingers',
    minutes: 2,
    reads: ['slingFitted'],
    needs: [],
    applies: ({ kit }) => has(kit, 'sling'),
    uses: ['sling'],
  },
  {
    ...AT_VICE,
    id: 'stabiliser',
    title: 'Mount bars and weights',
    say: ({ kit }) =>
      `${has(kit, 'barMount') ? 'Mount first, low on the riser, then the bars. ' : ''}Hand tight, then a quarter turn; weights ${has(kit, 'weights') ? 'on the ends, ' : ''}the same way.`,
    tool: 'spanner',
    minutes: 3,
    reads: ['stabiliserFitted'],
    needs: ['sling'],
    applies: ({ kit }) => has(kit, 'stabiliser') || has(kit, 'rearBar'),
    fasten: FASTEN.bar,
    uses: ['stabiliser', 'rearBar', 'barMount', 'weights'],
  },
  {
    ...AT_VICE,
    id: 'limbDampeners',
    title: 'Fit the dampeners',
    say: fixed('Clean the limbs, press them on, the same place on both.'),
    tool: 'cloth',
    minutes: 3,
    reads: ['dampenersFitted'],
    needs: [],
    applies: ({ kit }) => has(kit, 'dampeners') && itemOf(kit, 'dampeners')?.attrs.place === 'limb',
    uses: ['dampeners'],
  },
];
