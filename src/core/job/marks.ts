import { CHRONOGRAPH_SIGMA_MPS } from '../bow';
import { itemOf } from '../kit';
import {
  DEFAULT_DRAG_COEFFICIENT,
  sightFit,
  sightMarks,
  USUAL_FIRST_M,
  STANDARD_AIR_DENSITY_KG_M3,
  type ConfirmedShot,
  type SightFitResult,
  type SightMarksInput,
  type SightMarksResult,
} from '../flight';
import { refused, type Outcome, type Refused } from '../outcome';
import { changedSince } from '../ripple';
import { latest, type SetupKey } from '../setup';
import { metresPer, gram, metre, mm, mps, type Metre } from '../units';
import type { JobDerived } from './derive';

/** A number the marks rest on, and where it comes from. */
export interface MarkInput {
  readonly name: string;
  readonly si: number | null;
  readonly quantity: 'speed' | 'mass' | 'length' | 'number';
  readonly from: 'measured' | 'shots' | 'predicted' | 'catalogue' | 'shopRule' | 'missing';
}

/** A confirmed distance as the marks use it. */
export interface MarkShot extends ConfirmedShot {
  readonly seq: number;
  /** What the tape read there; null where the pin’s place was measured. */
  readonly scaleM: Metre | null;
}

/** Everything the flight model takes, but the distances. */
export type JobFlight = Omit<SightMarksInput, 'distancesM'>;

export interface JobMarks {
  readonly inputs: readonly MarkInput[];
  readonly answer: Outcome<SightMarksResult>;
  /** 1σ of each pin’s drop below the first one, mm, from the speed’s own doubt; null without marks. */
  readonly sigmaMm: readonly number[] | null;
  readonly flight: JobFlight | null;
  /** Confirmed distances that still hold, the first one first. */
  readonly shots: readonly MarkShot[];
  /** The fit through them; null under two, a refusal where no arrow flies like that. */
  readonly fit: Outcome<SightFitResult> | null;
  /** The distance drops are counted from: the first confirmed, else the nearest asked for. */
  readonly referenceM: Metre;
  /** The pin’s height above the arrow there; null without a flight, or past its reach. */
  readonly referencePinMm: number | null;
}

/** Vane height used for the clearance when the archer's own arrows are not known. */
const USUAL_VANE_MM = 13;
/** Drag is fitted too from so many distances on: one is left to check the others. */
const DRAG_FROM_SHOTS = 4;

/** Confirmed distances of this job that nothing has changed since, the newest of each distance. */
export function confirmedShots({ history }: Pick<JobDerived, 'history'>): MarkShot[] {
  const first = latest(history, 'firstMark');
  if (!first || first.si === null) return [];
  const reference = { distanceM: metre(first.si), dropMm: mm(0), seq: first.seq, scaleM: null };
  const others = (history.get('markShot') ?? []).filter(({ si, seq }) => {
    // Counted from the first distance as it was then.
    const then = (history.get('firstMark') ?? []).findLast((row) => row.seq < seq);
    return si !== null && then?.si === first.si && !changedSince(history, 'markShot', seq);
  });
  const newest = others.filter(
    ({ si, seq }) =>
      Math.abs(si! - first.si!) >= 0.5 &&
      !others.some((later) => later.seq > seq && Math.abs(later.si! - si!) < 0.5),
  );
  return [
    reference,
    ...newest
      .map(({ si, si2, seq, data }) => ({
        distanceM: metre(si!),
        dropMm: mm(si2 ?? 0),
        seq,
        scaleM: data?.kind === 'mark' && data.scaleM !== null ? metre(data.scaleM) : null,
      }))
      .sort((a, b) => a.distanceM - b.distanceM),
  ];
}

/** What this job’s flight rests on, measured where it is; says what is missing instead of guessing. */
export function flightInputs(derived: JobDerived): {
  readonly inputs: readonly MarkInput[];
  readonly flight: JobFlight | Refused;
} {
  const { history, kit, context } = derived;
  const measured = (key: SetupKey) => latest(history, key)?.si ?? null;
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
    return { inputs, flight: refused('inputs-missing', `Still needed: ${names}.`) };
  }
  const [speed, mass, shaft, peep, radius] = inputs.map((input) => input.si!);
  const flight: JobFlight = {
    speedMps: mps(speed!),
    arrowG: gram(mass!),
    shaftOuterMm: mm(shaft!),
    peepHeightMm: mm(peep!),
    peepToPinMm: mm(radius!),
    dragCoefficient: DEFAULT_DRAG_COEFFICIENT,
    airDensityKgM3: STANDARD_AIR_DENSITY_KG_M3,
    ...(sight
      ? {
          clearance: {
            housingRadiusMm: sight.attrs.housingRadiusMm,
            vaneHeightMm: arrows?.attrs.vaneHeightMm ?? mm(USUAL_VANE_MM),
          },
        }
      : {}),
  };
  return { inputs, flight };
}

/**
 * Sight marks of this job’s bow, arrow and geometry: from the model at once, from the confirmed
 * distances as soon as there are two (drag too from four on).
 */
export function jobMarks(derived: JobDerived, distancesM: readonly Metre[]): JobMarks {
  const { inputs, flight } = flightInputs(derived);
  const shots = confirmedShots(derived);
  const referenceM = shots[0]?.distanceM ?? distancesM[0] ?? USUAL_FIRST_M;
  if ('ok' in flight)
    return {
      inputs,
      answer: flight,
      sigmaMm: null,
      flight: null,
      shots,
      fit: null,
      referenceM,
      referencePinMm: null,
    };
  const fit = fitOf(derived, flight, shots);
  const used: JobFlight = fit?.ok
    ? { ...flight, speedMps: fit.speedMps, dragCoefficient: fit.dragCoefficient }
    : flight;
  const answer = sightMarks({ ...used, distancesM });
  const there = sightMarks({ ...used, clearance: undefined, distancesM: [referenceM] });
  return {
    inputs: withFit(inputs, fit),
    answer,
    sigmaMm: answer.ok ? sigmas(used, referenceM, distancesM, fit, inputs, derived) : null,
    flight: used,
    shots,
    fit,
    referenceM,
    referencePinMm: there.ok ? there.marks[0]!.pinAboveArrowMm : null,
  };
}

/** Fits already made, by the job they were made of: one screen asks for the same several times. */
const fitted = new WeakMap<object, JobMarks['fit']>();

function fitOf(derived: JobDerived, flight: JobFlight, shots: readonly MarkShot[]) {
  if (shots.length < 2) return null;
  const known = fitted.get(derived);
  if (known !== undefined) return known;
  const fit = fitShots(flight, shots);
  fitted.set(derived, fit);
  return fit;
}

/** Speed through the shots, drag too from four on; where no drag fits them the usual one is kept. */
export function fitShots(flight: JobFlight, shots: readonly ConfirmedShot[]) {
  const { clearance: _clearance, speedMps: _speed, ...geometry } = flight;
  const whole = sightFit({ ...geometry, shots, fitDrag: shots.length >= DRAG_FROM_SHOTS });
  const noDrag = !whole.ok && whole.reason === 'no-such-arrow' && shots.length >= DRAG_FROM_SHOTS;
  return noDrag ? sightFit({ ...geometry, shots }) : whole;
}

/** What the shots say stands over what the chronograph or the rating said. */
function withFit(inputs: readonly MarkInput[], fit: JobMarks['fit']): MarkInput[] {
  const drag = {
    name: 'drag coefficient',
    quantity: 'number' as const,
    si: DEFAULT_DRAG_COEFFICIENT,
    from: 'shopRule' as const,
  };
  if (!fit?.ok) return [...inputs, drag];
  const [_speed, ...rest] = inputs;
  return [
    { name: 'arrow speed', quantity: 'speed', si: fit.speedMps, from: 'shots' },
    ...rest,
    fit.sigmaDrag === null ? drag : { ...drag, si: fit.dragCoefficient, from: 'shots' },
  ];
}

/** How far each drop below the first pin moves when the speed is one σ off; null past its reach. */
function sigmas(
  flight: JobFlight,
  referenceM: Metre,
  distancesM: readonly Metre[],
  fit: JobMarks['fit'],
  inputs: readonly MarkInput[],
  { context }: JobDerived,
): number[] | null {
  // With drag fitted beside it the two move against each other: the scatter itself is the honest ±.
  if (fit?.ok && fit.sigmaDrag !== null) return distancesM.map(() => fit.sigmaMarkMm ?? 0);
  const sigma =
    (fit?.ok ? fit.sigmaSpeedMps : null) ??
    (fit?.ok || inputs[0]!.from === 'measured'
      ? CHRONOGRAPH_SIGMA_MPS
      : (context.predictedSpeed?.sigmaMps ?? CHRONOGRAPH_SIGMA_MPS));
  const slow = dropsBelow(flight, flight.speedMps - sigma, referenceM, distancesM);
  const fast = dropsBelow(flight, flight.speedMps + sigma, referenceM, distancesM);
  return slow && fast ? slow.map((drop, i) => Math.abs(drop - fast[i]!) / 2) : null;
}

/** Pin below the place of the reference distance, mm, for each distance; null past the arrow’s reach. */
export function dropsBelow(
  flight: JobFlight,
  speedMps: number,
  referenceM: Metre,
  distancesM: readonly Metre[],
): number[] | null {
  const answer = sightMarks({
    ...flight,
    speedMps: mps(speedMps),
    clearance: undefined,
    distancesM: [referenceM, ...distancesM],
  });
  if (!answer.ok) return null;
  const [first, ...marks] = answer.marks.map((mark) => mark.pinAboveArrowMm);
  return marks.map((pin) => first! - pin);
}

/** Distances the marks are shown for: every 5 m (or yards) to the furthest, at least five. */
export function markDistances(furthestM: number | null, unit: 'm' | 'yd'): Metre[] {
  const perUnit = metresPer(unit);
  const most = Math.max(30, Math.min(120, Math.ceil((furthestM ?? 40) / perUnit / 5) * 5));
  return Array.from({ length: most / 5 - 1 }, (_, i) => metre((10 + i * 5) * perUnit));
}
