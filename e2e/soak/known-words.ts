import { HANDOVER_CAUTIONS } from '@/core/job';
import { REGISTRY } from '@/core/setup';
import { STEP_TEMPLATES } from '@/core/bench';
import type { Words } from './sample';

const NUMBERS = [
  ...[
    '28 3/8',
    '721 mm',
    '53 lb',
    '0.4',
    '300 fps',
    '12',
    '-3',
    '0',
    '1/16 in',
    '20 1/2',
    '7',
    '410 gr',
  ],
  ...['9999', '-9999', '0.0001', '1/0', '28 3/8 3/8', 'x', '', '5 turns', '61 mm', '2 left', '90°'],
];
const FITS = [
  'armSpan',
  'wallToMouth',
  'markedArrow',
  'fittingBow',
  'weightTrial',
  'postureBow',
  'eyeTest',
];

/** Words that make what is sent nearly right: most of it is read, and makes no sense. */
export function knownWords(parts: readonly string[], bows: readonly string[]): Words {
  const keys = [...REGISTRY.map(({ key }) => key), ...FITS];
  const choices = REGISTRY.flatMap(({ choices = [] }) => choices.map(({ id }) => id));
  const steps = STEP_TEMPLATES.map(({ id }) => id);
  const cautions = HANDOVER_CAUTIONS.map(({ id }) => id);
  const pools: readonly (readonly [RegExp, readonly string[]])[] = [
    [/^(key|keys|dependsOn)$/, keys],
    [/^entered/, NUMBERS],
    [/^choice$/, [...choices, 'smooth', 'stiff', 'shaking']],
    [/^(bowId|bowIds|first|second)$/, bows],
    [/^(stepId|needs|before)$/, steps],
    [/^cautionId$/, cautions],
    [/Id$|Ids$|^without$/, parts],
  ];
  const any = ['Ilse', 'because', 'x', ...NUMBERS.slice(0, 4), ...parts.slice(0, 5)];
  return (field) => pools.find(([pattern]) => pattern.test(field))?.[1] ?? any;
}
