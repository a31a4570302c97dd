import type { BuildContext } from '../build-context';
import { fixed } from './shared';
import type { StepTemplate } from './types';

const AT_COUNTER = { stage: 'bench', station: 'counter', archer: false } as const;
/** Only for a set that is put together here. */
const built = ({ kit }: BuildContext) => kit.arrows?.built === true;
const EYES = 'Eyes covered and dust drawn off: cut carbon is not to be breathed.';

/** Arrows built here, up to the set on the scale. */
export const ARROW_STEPS: readonly StepTemplate[] = [
  {
    ...AT_COUNTER,
    id: 'cutArrows',
    title: 'Cut the shafts',
    say: fixed(
      'All to the length of the build, measured from the same end; square the cut, wipe the dust out. One too many is cheaper than one too few.',
    ),
    tool: 'arrow saw, squaring tool',
    minutes: 15,
    reads: ['arrowsCut'],
    needs: [],
    applies: built,
    uses: ['arrows'],
    watch: [EYES],
  },
  {
    ...AT_COUNTER,
    id: 'glueArrows',
    title: 'Glue the inserts',
    say: fixed(
      'Clean the shaft inside, turn the insert in with glue all round, the point screwed in so that it sits straight. Stand them on their points and leave them.',
    ),
    tool: 'glue, alcohol, cloth',
    minutes: 15,
    reads: ['arrowsGlued'],
    needs: ['cutArrows'],
    applies: built,
    dryMinutes: 240,
  },
  {
    ...AT_COUNTER,
    id: 'fletchArrows',
    title: 'Put the vanes on',
    say: fixed(
      'Shaft wiped, jig set once for all; every vane at the same place, ends touched with glue.',
    ),
    tool: 'fletching jig, glue',
    minutes: 30,
    reads: ['arrowsFletched'],
    needs: ['cutArrows'],
    applies: built,
    dryMinutes: 60,
  },
  {
    ...AT_COUNTER,
    id: 'spinArrows',
    title: 'Spin the arrows',
    say: fixed(
      'On the spinner: the point stands still, the nock runs true. Turn an insert or put the arrow aside where it wobbles.',
    ),
    tool: 'arrow spinner',
    minutes: 8,
    reads: ['arrowsSpun'],
    needs: ['glueArrows'],
    applies: built,
  },
  {
    ...AT_COUNTER,
    id: 'weighSet',
    title: 'Weigh the whole set',
    say: fixed(
      'Every finished arrow on the scale (Kit has the list); those far off the others are put aside or matched.',
    ),
    tool: 'arrow scale',
    minutes: 8,
    reads: ['setWeighed'],
    needs: ['glueArrows', 'fletchArrows', 'spinArrows'],
    applies: built,
  },
];
