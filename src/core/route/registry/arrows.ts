import type { SetupValue } from '../types';

const AT_COUNTER = { kind: 'check', tolerance: 0, stage: 'bench', part: 'arrow' } as const;

/** Arrows put together here, in the order of the hands. */
export const ARROWS: readonly SetupValue[] = [
  {
    ...AT_COUNTER,
    key: 'arrowsCut',
    name: 'Shafts cut',
    short: 'cut',
    dependsOn: ['part:arrows'],
    how: 'Every shaft to the length of the build, ends square and free of dust',
    tool: 'arrow saw, squaring tool',
    changed: 'the shafts were cut',
  },
  {
    ...AT_COUNTER,
    key: 'arrowsGlued',
    name: 'Inserts glued',
    short: 'glued',
    dependsOn: ['arrowsCut'],
    how: 'Shaft cleaned inside, insert turned in glue, point screwed in so that it sits straight',
    tool: 'glue, alcohol',
    changed: 'the inserts were glued',
  },
  {
    ...AT_COUNTER,
    key: 'arrowsFletched',
    name: 'Vanes on',
    short: 'vanes',
    dependsOn: ['part:arrows'],
    how: 'Every vane at the same place and angle, ends glued down',
    tool: 'fletching jig',
    changed: 'the vanes were put on',
  },
  {
    ...AT_COUNTER,
    key: 'arrowsSpun',
    name: 'Arrows spun',
    short: 'spun',
    dependsOn: ['arrowsGlued'],
    how: 'On the spinner the point stands still; one that wobbles is put aside',
    tool: 'arrow spinner',
    changed: 'the arrows were spun',
  },
  {
    ...AT_COUNTER,
    key: 'setWeighed',
    name: 'Set weighed',
    short: 'set weighed',
    dependsOn: ['arrowsGlued', 'arrowsFletched'],
    how: 'Every finished arrow on the scale; those far off the set are put aside',
    tool: 'arrow scale',
    changed: 'the set was weighed',
  },
];
