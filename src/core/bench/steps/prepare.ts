import { itemOf } from '../../kit';
import { FASTEN } from './fasten';
import { always, centreShotSay, fixed, has } from './shared';
import type { StepTemplate } from './types';

/** What every step at the vice without the archer has in common. */
const AT_VICE = { stage: 'bench', station: 'vice', archer: false } as const;

/** Bow and arrow's way: prepared before the bow goes in the press. */
export const PREPARE: readonly StepTemplate[] = [
  {
    id: 'arrowMass',
    title: 'Weigh a finished arrow',
    say: fixed('Point, insert, vanes and nock on. Weigh three and enter the middle one.'),
    stage: 'bench',
    station: 'counter',
    archer: false,
    tool: 'arrow scale',
    minutes: 3,
    reads: ['arrowMass'],
    needs: ['weighSet'],
    applies: always,
    uses: ['arrows'],
  },
  {
    ...AT_VICE,
    id: 'stops',
    title: 'Set the draw stops',
    say: ({ bow }) =>
      `${bow?.stops === 'both' ? 'A limb stop and a cable stop' : 'A limb stop on every cam'}: each into the position of its module, the same on both cams, then tight. A stop left behind changes let-off and wall.`,
    tool: 'hex key',
    minutes: 4,
    reads: ['stops'],
    needs: ['modules'],
    applies: ({ bow }) => bow?.stops === 'limb' || bow?.stops === 'both',
    fasten: FASTEN.module,
  },
  {
    ...AT_VICE,
    id: 'rest',
    title: 'Mount the rest',
    say: fixed(
      'Bracket square against the riser’s flat or machined line. Start both screws, then tighten. Then its height: the shaft’s middle at the plunger hole’s middle.',
    ),
    tool: 'hex key, rule',
    minutes: 9,
    reads: ['restFitted', 'restHeight'],
    needs: ['asItCame'],
    applies: always,
    fasten: FASTEN.rest,
    uses: ['rest'],
  },
  {
    ...AT_VICE,
    id: 'nockHeight',
    title: 'Find the nock height',
    say: ({ schools }) =>
      `Bow square clipped on the string, arrow on the rest: shaft at 90° to the string, its middle at the plunger hole${schools.nockHeight === 'high' ? ', the nock a touch high to begin with' : ', the nock level'}. A broadhead must clear the shelf.`,
    tool: 'bow square',
    minutes: 4,
    reads: ['nockHeight'],
    needs: ['rest'],
    applies: always,
    school: 'nockHeight',
  },
  {
    ...AT_VICE,
    id: 'centreShot',
    title: 'Set the centre shot',
    say: centreShotSay,
    tool: 'rule, hex key',
    minutes: 4,
    reads: ['centreShot'],
    needs: ['rest'],
    applies: always,
    school: 'centreShot',
    fasten: FASTEN.restSmall,
  },
  {
    ...AT_VICE,
    id: 'silence',
    title: 'Silence the rest',
    say: ({ schools }) =>
      schools.silencing === 'tube'
        ? 'Shrink tube over the arms, warmed until it grips, then the edge cut clean. Slide an arrow over it: nothing clicks.'
        : 'Felt only where the arrow slides, pressed on clean metal, edges cut flush so that no vane catches. Slide an arrow over it: nothing clicks.',
    tool: 'felt or shrink tube, scissors',
    minutes: 4,
    reads: ['silencing'],
    needs: ['rest'],
    applies: ({ kit, schools }) => has(kit, 'rest') && schools.silencing !== 'none',
    school: 'silencing',
    watch: ['Warm shrink tube away from string, cables and limbs.'],
  },
  {
    ...AT_VICE,
    id: 'cage',
    title: 'Trim the cage',
    say: fixed(
      'Cut the front of the ring away, no further than the arrow still cannot fall out sideways; file the cut round. It cannot be put back: leave it on when in doubt.',
    ),
    tool: 'side cutter, file',
    minutes: 5,
    reads: ['cage'],
    needs: ['rest', 'centreShot'],
    applies: ({ kit, schools }) =>
      itemOf(kit, 'rest')?.attrs.drive === 'containment' && schools.cage === 'trimmed',
    school: 'cage',
    watch: [
      'Eyes covered: cut plastic flies. The maker may not stand for a rest that was cut; the archer is told.',
    ],
  },
  {
    ...AT_VICE,
    id: 'nockPoint',
    title: 'Fix the nocking point',
    say: ({ kit }) =>
      itemOf(kit, 'nockingPoint')?.attrs.kind === 'clamp'
        ? 'Closed with nock pliers above the nock, just tight; the nock still turns on the string.'
        : 'Tied above the nock with serving thread, ten turns, pulled in; the nock still turns on the string.',
    tool: 'nock pliers or thread',
    minutes: 3,
    reads: ['nockPoint'],
    needs: ['nockHeight'],
    applies: ({ kit }) =>
      has(kit, 'nockingPoint') && itemOf(kit, 'nockingPoint')?.attrs.kind !== 'kisser',
    uses: ['nockingPoint'],
  },
  {
    ...AT_VICE,
    id: 'loop',
    title: 'Tie the loop',
    say: fixed(
      'Nock height is settled: tie on above and below the nock, stretch with pliers, measure to the inside.',
    ),
    tool: 'pliers, lighter',
    minutes: 5,
    reads: ['loop', 'loopPlace'],
    needs: ['nockHeight', 'nockPoint'],
    applies: always,
    uses: ['loop'],
    watch: ['Moving a tight loop damages the serving. Keep the flame off the string.'],
  },
];
