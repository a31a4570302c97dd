import { itemOf } from '../kit';
import {
  DEFAULT_DRAG_COEFFICIENT,
  sightMarks,
  type SightMarksInput,
  type SightMarksResult,
} from '../flight';
import { refused, type Outcome } from '../outcome';
import { latest } from '../route';
import { gram, metre, mm, mps, type Metre } from '../units';
import type { JobDerived } from './derive';

/** A number the marks rest on, and where it comes from. */
export interface MarkInput {
  readonly name: string;
  readonly si: number | null;
  readonly quantity: 'speed' | 'mass' | 'length';
  readonly from: 'measured' | 'predicted' | 'catalogue' | 'missing';
}

export interface JobMarks {
  readonly inputs: readonly MarkInput[];
  readonly answer: Outcome<SightMarksResult>;
  /** 1σ of each pin's drop below the first one, mm, from the speed's own doubt; null without marks. */
  readonly sigmaMm: readonly number[] | null;
}

/** 1σ of a chronograph's reading. Shop rule: a foot a second. */
const CHRONOGRAPH_SIGMA_MPS = 0.3;

/** Vane height used for the clearance when the archer's own arrows are not known. */
const USUAL_VANE_MM = 13;

/** Sight marks of this job's bow, arrow and geometry; says what is missing instead of guessing. */
export function jobMarks(derived: JobDerived, distancesM: readonly Metre[]): JobMarks {
  const { history, kit, context } = derived;
  const measured = (key: Parameters<typeof latest>[1]) => latest(history, key)?.si ?? null;
  const arrows = itemOf(kit, 'arrows');
  const sight = itemOf(kit, 'sight');
  const pick = (
    name: string,
    quantity: MarkInput['quantity'],
    reading: number | null,
    fallback: number | null | undefined,
    from: MarkInput['from'],
  ): MarkInput =>
    reading !== null
      ? { name, quantity, si: reading, from: 'measured' }
      : {
          name,
          quantity,
          si: fallback ?? null,
          from: (fallback ?? null) === null ? 'missing' : from,
        };
  const inputs = [
    pick(
      'arrow speed',
      'speed',
      measured('arrowSpeed'),
      context.predictedSpeed?.speedMps,
      'predicted',
    ),
    pick('arrow mass', 'mass', measured('arrowMass'), arrows?.massG, 'catalogue'),
    pick('shaft diameter', 'length', null, arrows?.attrs.shaftOuterMm, 'catalogue'),
    pick('peep above the arrow', 'length', measured('peepTrueHeight'), null, 'missing'),
    pick('peep to pin', 'length', measured('peepToPin'), null, 'missing'),
  ];
  const missing = inputs.filter((input) => input.si === null);
  if (missing.length > 0) {
    const names = missing.map((input) => input.name).join(', ');
    const answer = refused('inputs-missing', `Still needed: ${names}.`);
    return { inputs, answer, sigmaMm: null };
  }
  const [speed, mass, shaft, peep, radius] = inputs.map((input) => input.si!);
  const given: SightMarksInput = {
    speedMps: mps(speed!),
    arrowG: gram(mass!),
    shaftOuterMm: mm(shaft!),
    peepHeightMm: mm(peep!),
    peepToPinMm: mm(radius!),
    dragCoefficient: DEFAULT_DRAG_COEFFICIENT,
    distancesM,
    ...(sight
      ? {
          clearance: {
            housingRadiusMm: sight.attrs.housingRadiusMm,
            vaneHeightMm: arrows?.attrs.vaneHeightMm ?? mm(USUAL_VANE_MM),
          },
        }
      : {}),
  };
  const answer = sightMarks(given);
  const sigma =
    inputs[0]!.from === 'measured' ? CHRONOGRAPH_SIGMA_MPS : context.predictedSpeed!.sigmaMps;
  return { inputs, answer, sigmaMm: answer.ok ? dropSigmas(given, sigma) : null };
}

/** How far each drop below the first pin moves when the speed is one σ off; null past its reach. */
function dropSigmas(given: SightMarksInput, sigmaMps: number): number[] | null {
  const drops = (speedMps: number) => {
    const answer = sightMarks({ ...given, speedMps: mps(speedMps), clearance: undefined });
    if (!answer.ok) return null;
    const first = answer.marks[0]?.pinAboveArrowMm ?? 0;
    return answer.marks.map((mark) => first - mark.pinAboveArrowMm);
  };
  const slow = drops(given.speedMps - sigmaMps);
  const fast = drops(given.speedMps + sigmaMps);
  return slow && fast ? slow.map((drop, i) => Math.abs(drop - fast[i]!) / 2) : null;
}

/** Distances the marks are shown for: every 5 m (or yards) to the furthest, at least five. */
export function markDistances(furthestM: number | null, unit: 'm' | 'yd'): Metre[] {
  const perUnit = unit === 'yd' ? 0.9144 : 1;
  const most = Math.max(30, Math.min(120, Math.ceil((furthestM ?? 40) / perUnit / 5) * 5));
  return Array.from({ length: most / 5 - 1 }, (_, i) => metre((10 + i * 5) * perUnit));
}
