import { ONE_CAM } from '../../bow';
import { FASTEN } from './fasten';
import { DRAW_SAFELY } from './shared';
import type { StepTemplate } from './types';

/** Module and limb bolts. */
export const SET_THE_BOW: readonly StepTemplate[] = [
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
    tool: 'hex key',
    fasten: FASTEN.module,
    minutes: 6,
    reads: ['moduleTop', 'moduleBottom'],
    needs: ['asItCame'],
    applies: ({ bow }) => (bow?.modules.length ?? 0) > 0,
    watch: [ONE_CAM],
  },
  {
    id: 'limbBolts',
    title: 'Turn the limb bolts and weigh',
    say: ({ bow }) =>
      `${bow?.limbLocks ? 'Loosen the lock screws of both pockets first. ' : ''}The same turns on both bolts, two at most before changing over. Weigh, and go on from what the scale says.`,
    stage: 'bow',
    station: 'vice',
    archer: false,
    tool: 'hex key with a long arm, bow scale',
    fasten: FASTEN.limbBolt,
    minutes: 12,
    reads: ['limbTurnsUpper', 'limbTurnsLower', 'peakWeight'],
    needs: ['asItCame', 'modules'],
    applies: ({ bow }) => bow !== null,
    watch: [
      'Never past the bow’s limit of turns: the limb can leave its pocket under load.',
      DRAW_SAFELY,
    ],
  },
];
