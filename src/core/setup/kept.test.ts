import { derive, type JobSnapshot } from '../job';
import { aFinishedJob, aFitReading, aReading, aShop, FINISHED } from '../testing/fixtures';
import { told } from '../testing/told';
import { METRIC_UNITS } from '../units';
import { REGISTRY, SCHOOLS, targetOf, type SetupKey, type TargetContext } from '.';

/*
 * What every value is to stand at, on many bows: kept as it was when somebody last read it
 * (`npx jest setup/kept -u`, then `git diff`).
 */
const contextOf = (changes: Parameters<typeof aFinishedJob>[0] = {}) =>
  derive(aFinishedJob(changes)).context;
const some = (...keys: readonly SetupKey[]): JobSnapshot['readings'] =>
  FINISHED.filter(({ key }) => keys.includes(key as SetupKey));
const readAfter = (si: number) => [
  ...FINISHED.filter(({ key }) => key !== 'drawLength'),
  aReading(900, 'drawLength', si),
];
const OLD = [
  ['oldPeepHeight', 150],
  ['oldPeepTrueHeight', 121],
  ['oldPeepToPin', 742],
  ['oldPeak', 205],
  ['oldHolding', 41],
  ['oldBrace', 170],
  ['oldAxle', 800],
  ['oldMass', 1900],
] as const;
const oldBow = OLD.map(([key, si], i) => aFitReading(300 + i, key, si));

const targetsOf = (context: TargetContext) =>
  REGISTRY.flatMap(({ key }) => {
    const target = targetOf(key, context);
    if (!target) return [];
    const figures = [target.low, target.si, target.high].map((si) => Number(si.toPrecision(5)));
    return [`${key}: ${figures.join(' ')}, ${target.source}: ${target.reason}`];
  });

test.each<[string, TargetContext]>([
  ['a finished bow', contextOf()],
  ['nothing measured', contextOf({ rest: { readings: [] } })],
  [
    'module and weight alone',
    contextOf({ rest: { readings: some('moduleTop', 'moduleBottom', 'peakWeight') } }),
  ],
  [
    'beside the old bow',
    contextOf({ job: { peakTargetN: null }, rest: { readings: [], fitReadings: oldBow } }),
  ],
  ...[-22, -9, -4, 5, 11, 24].map(
    (by) =>
      [
        `the draw board reads ${by} mm beside the archer`,
        contextOf({ rest: { readings: readAfter(702 + by) } }),
      ] as [string, TargetContext],
  ),
  ...[-5, -2, 3].map(
    (gap) =>
      [
        `the cams ${gap} mm apart`,
        contextOf({ rest: { readings: [...FINISHED, aReading(900, 'timing', gap)] } }),
      ] as [string, TargetContext],
  ),
  ...[-5, 6].map(
    (lean) =>
      [
        `the upper cam leans ${lean} mm`,
        contextOf({ rest: { readings: [...FINISHED, aReading(900, 'camLeanUpper', lean)] } }),
      ] as [string, TargetContext],
  ),
  ['in millimetres', contextOf({ rest: { shop: aShop({ units: METRIC_UNITS }) } })],
  ['no part on it', contextOf({ rest: { parts: [] } })],
])('targets: %s', (_, context) => expect(told(targetsOf(context))).toMatchSnapshot());

test.each(SCHOOLS.flatMap(({ name, choices }) => choices.map(({ id }) => [name, id] as const)))(
  'what the school %s: %s wants otherwise',
  (name, id) => {
    const plain = contextOf();
    const usual = targetsOf(plain);
    const schooled = { ...plain, schools: { ...plain.schools, [name]: id } };
    expect(told(targetsOf(schooled).filter((line) => !usual.includes(line)))).toMatchSnapshot();
  },
);
