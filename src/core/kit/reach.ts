import { launchSpeed, PIVOT_TO_STANDARD_MM, type BowRecord } from '../bow';
import { HOUSING_CLEARANCE_MM, sightMarks, USUAL_FIRST_M, USUAL_PEEP_HEIGHT_MM } from '../flight';
import { metre, mm, type Metre, type Mm, type Newton } from '../units';
import type { CatalogueItemOf } from './types';

/** The peep stands this far before the nock at full draw, mm. Shop rule. */
const PEEP_BEFORE_NOCK_MM = 60;
/** The housing of a sight whose extension is not known stands this far past the grip, mm. */
const USUAL_EXTENSION_MM = 120;
const STEP_M = 5;

interface ReachInput {
  readonly bow: BowRecord;
  readonly drawLengthMm: Mm;
  readonly peakN: Newton;
  readonly sight: CatalogueItemOf<'sight'>;
  readonly arrows: CatalogueItemOf<'arrows'>;
  /** Past the first pin. */
  readonly furthestM: Metre;
}

interface Reach {
  /** Travel from the first pin to the furthest, mm. */
  readonly neededMm: number;
  readonly travels: boolean;
  readonly clears: boolean;
  /** Furthest distance it serves, in steps of 5 m; null when not even the next after the first. */
  readonly reachM: number | null;
}

/** Marks already solved, by bow: a catalogue asks for the same arrow with every sight. */
const solved = new WeakMap<BowRecord, Map<string, number | null>>();

/**
 * Whether a sight's travel and housing serve the furthest distance with these arrows: predicted
 * launch speed and flight (docs/models.md sections 4 and 6) with the peep where it usually comes to
 * stand. Rests on the bow's rating and on shop rules for the geometry; the lane decides.
 *
 * @returns null where the model gives no speed.
 */
export function sightReach(input: ReachInput): Reach | null {
  const { sight, arrows, furthestM } = input;
  const first = pinHeight(input, USUAL_FIRST_M);
  if (first === null) return null;
  const { housingRadiusMm, travelMm } = sight.attrs;
  const serves = (distanceM: number) => {
    const pin = pinHeight(input, distanceM);
    return {
      neededMm: pin === null ? Infinity : first - pin,
      travels: pin !== null && first - pin <= travelMm,
      clears:
        pin !== null && pin - housingRadiusMm >= arrows.attrs.vaneHeightMm + HOUSING_CLEARANCE_MM,
    };
  };
  const wanted = serves(furthestM);
  if (!Number.isFinite(wanted.neededMm)) return null;
  if (wanted.travels && wanted.clears) return { ...wanted, reachM: furthestM };
  let reachM = Math.floor((furthestM - 0.01) / STEP_M) * STEP_M;
  for (; reachM > USUAL_FIRST_M; reachM -= STEP_M) {
    const near = serves(reachM);
    if (near.travels && near.clears) return { ...wanted, reachM };
  }
  return { ...wanted, reachM: null };
}

/** Pin above the arrow, mm, at a distance; null where the model has no answer. */
function pinHeight(input: ReachInput, distanceM: number): number | null {
  const { bow, drawLengthMm, peakN, sight, arrows } = input;
  const peepToPin =
    drawLengthMm -
    PIVOT_TO_STANDARD_MM -
    PEEP_BEFORE_NOCK_MM +
    (sight.attrs.extensionMm ?? USUAL_EXTENSION_MM);
  const known = solved.get(bow) ?? new Map<string, number | null>();
  solved.set(bow, known);
  const key = [drawLengthMm, peakN, arrows.massG, arrows.attrs.shaftOuterMm, peepToPin, distanceM];
  const at = key.join();
  const before = known.get(at);
  if (before !== undefined) return before;
  const answer = solvePin(input, distanceM, peepToPin);
  known.set(at, answer);
  return answer;
}

function solvePin(
  { bow, drawLengthMm, peakN, arrows }: ReachInput,
  distanceM: number,
  peepToPinMm: number,
): number | null {
  const speed = launchSpeed({ bow, setting: { drawLengthMm, peakN }, arrowG: arrows.massG });
  if (!speed.ok || !(peepToPinMm > 0)) return null;
  const marks = sightMarks({
    speedMps: speed.speedMps,
    arrowG: arrows.massG,
    shaftOuterMm: arrows.attrs.shaftOuterMm,
    peepHeightMm: USUAL_PEEP_HEIGHT_MM,
    peepToPinMm: mm(peepToPinMm),
    distancesM: [metre(distanceM)],
  });
  return marks.ok ? marks.marks[0]!.pinAboveArrowMm : null;
}
