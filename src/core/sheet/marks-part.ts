import {
  dropsBelow,
  jobMarks,
  markDistances,
  type JobDerived,
  type JobFlight,
  type JobSnapshot,
  type MarkInput,
} from '../job';
import { DEFAULT_DRAG_COEFFICIENT, pinDistances, STANDARD_AIR_DENSITY_KG_M3 } from '../flight';
import { itemOf } from '../kit';
import { latest } from '../setup';
import { metre, metresPer, write, type Metre, type ShopUnits } from '../units';
import type { SheetDocument } from './sheet-document';

const FROM_WORDS: Readonly<Record<MarkInput['from'], string>> = {
  measured: 'measured',
  shots: 'from the confirmed distances',
  predicted: 'predicted',
  catalogue: 'catalogue',
  shopRule: 'shop rule',
  missing: 'missing',
};

/** Two distances nearer than this are one, m. */
const SAME_M = 0.25;

/** Until another distance is named pins are spread out to here, in the shop's own unit. */
const USUAL_FURTHEST = 50;

/** Pins of a sight that has several and slides none, each at its distance; null for other sights. */
function pinsPart(
  furthestM: number | null,
  { kit }: JobDerived,
  flight: JobFlight,
  referenceM: Metre,
  units: ShopUnits,
): NonNullable<SheetDocument['marks']>['pins'] {
  const sight = itemOf(kit, 'sight')?.attrs;
  if (!sight || sight.slides || sight.pins < 2) return null;
  const perUnit = metresPer(units.distance);
  const furthest = (furthestM ?? USUAL_FURTHEST * perUnit) / perUnit;
  const distances = pinDistances(
    sight.pins,
    Math.round(referenceM / perUnit),
    Math.round(furthest),
  ).map((d, i) => (i === 0 ? referenceM : metre(d * perUnit)));
  const drops = dropsBelow(flight, flight.speedMps, referenceM, distances);
  return (
    drops &&
    distances.map((distanceM, i) => ({
      distanceM,
      distanceText: write(distanceM, 'distance', units, { decimals: 0 }),
      belowFirstMm: drops[i]!,
      gapMm: i === 0 ? null : drops[i]! - drops[i - 1]!,
    }))
  );
}

/** Marks counted from the confirmed first distance, each with its ±; null where something is missing. */
export function marksPart({ job, shop }: JobSnapshot, derived: JobDerived): SheetDocument['marks'] {
  const distances = markDistances(job.furthestM, shop.units.distance);
  const { inputs, answer, shots, sigmaMm, flight, referenceM, referencePinMm } = jobMarks(
    derived,
    distances,
  );
  if (!answer.ok || referencePinMm === null) return null;
  const say = (m: number) => write(m, 'distance', shop.units, { decimals: 0 });
  const confirmed = shots
    .slice(1)
    .map(({ distanceM, dropMm }) => `${say(distanceM)} at ${dropMm.toFixed(1)} mm`);
  const clear = answer.furthestClearM ?? null;
  return {
    firstM: referenceM,
    firstText: say(referenceM),
    firstConfirmed: latest(derived.history, 'firstMark') !== null,
    rows: answer.marks
      .map(({ distanceM, pinAboveArrowMm }, i) => ({
        distanceM,
        distanceText: say(distanceM),
        pinAboveArrowMm,
        belowFirstMm: referencePinMm - pinAboveArrowMm,
        sigmaMm: sigmaMm?.[i] ?? null,
        confirmed: shots.some((shot) => Math.abs(shot.distanceM - distanceM) < SAME_M),
      }))
      .filter((mark) => clear === null || mark.distanceM <= clear),
    furthestClearM: clear,
    pins: flight && pinsPart(job.furthestM, derived, flight, referenceM, shop.units),
    flight: flight && {
      speedMps: flight.speedMps,
      dragCoefficient: flight.dragCoefficient ?? DEFAULT_DRAG_COEFFICIENT,
      arrowG: flight.arrowG,
      shaftOuterMm: flight.shaftOuterMm,
      airDensityKgM3: flight.airDensityKgM3 ?? STANDARD_AIR_DENSITY_KG_M3,
      peepHeightMm: flight.peepHeightMm,
      peepToPinMm: flight.peepToPinMm,
    },
    basis: [
      ...inputs.map(
        ({ name, si, quantity, from }) =>
          `${name} ${quantity === 'number' ? si!.toFixed(2) : write(si!, quantity, shop.units)}, ${FROM_WORDS[from]}`,
      ),
      ...(confirmed.length > 0
        ? [
            `confirmed below the first distance (${say(shots[0]!.distanceM)}): ${confirmed.join(', ')}`,
          ]
        : []),
    ],
  };
}
