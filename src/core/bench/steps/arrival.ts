import { fixed } from './shared';
import type { StepTemplate } from './types';

/** Before any work is in the bow: what is wrong goes back. */
export const ARRIVAL_STEPS: readonly StepTemplate[] = [
  {
    id: 'asItCame',
    title: 'The bow as it came',
    say: fixed(
      'Nobody draws it yet. Serial number, where module and bolts stand, brace and axles against the maker’s figures; then string and cables in their tracks, bolts seated, nothing cracked. What is wrong goes back before work is in it.',
    ),
    stage: 'bench',
    station: 'vice',
    archer: false,
    tool: 'good light, tape, bow square',
    minutes: 6,
    reads: ['serialNumber', 'foundModule', 'foundTurns', 'foundBrace', 'foundAxles', 'foundWhole'],
    needs: [],
    applies: ({ bow }) => bow !== null,
    watch: [
      'A bow that was dry-fired looks whole: run a finger and cotton wool along limbs and cams.',
    ],
  },
];
