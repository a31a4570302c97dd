import { sightMarks } from '../flight';
import {
  confirmedShots,
  flightInputs,
  modelNumber,
  type JobDerived,
  type JobFlight,
  type JobSnapshot,
  type ModelBow,
  type ModelFlight,
} from '../job';
import { latest } from '../setup';
import { gram, metre, mm, mps } from '../units';

/** A mark of the model and what the flight model makes of it for this bow. */
export interface TwinMark {
  readonly distanceM: number;
  /** Pin below its place for the first distance, mm. */
  readonly modelMm: number;
  /** On this bow; past the arrow's reach null. */
  readonly hereMm: number | null;
  /** Shot with this bow: no prediction any more. */
  readonly shot: boolean;
}

export interface TwinMarks {
  readonly firstM: number;
  readonly rows: readonly TwinMark[];
  /** What of this bow they rest on, and what of the model; in sentences. */
  readonly basis: readonly string[];
}

/** Two distances nearer than this are one, m. */
const SAME_M = 0.25;
/** Arrows that differ less fly alike: g, mm. */
const SAME_MASS_G = 0.35;
const SAME_SHAFT_MM = 0.1;

/**
 * The model's marks carried over (docs/models.md section 6): this bow's speed, arrow and sight where they
 * are known, the model's for the rest. Predictions until shot.
 *
 * @returns null where the model has no marks, or does not say what they were made from.
 */
export function twinMarks({ job }: JobSnapshot, derived: JobDerived): TwinMarks | null {
  const marks = job.like?.marks;
  if (!job.like || !marks?.flight) return null;
  const { flight, basis } = flightHere(job.like, marks.flight, derived);
  const shots = confirmedShots(derived);
  const pinAt = (distanceM: number): number | null => {
    const there = sightMarks({ ...flight, clearance: undefined, distancesM: [metre(distanceM)] });
    return there.ok ? there.marks[0]!.pinAboveArrowMm : null;
  };
  const first = pinAt(marks.firstM);
  return {
    firstM: marks.firstM,
    rows: marks.rows.map(({ distanceM, belowFirstMm }) => {
      const pin = pinAt(distanceM);
      return {
        distanceM,
        modelMm: belowFirstMm,
        hereMm: first === null || pin === null ? null : first - pin,
        shot: shots.some((shot) => Math.abs(shot.distanceM - distanceM) < SAME_M),
      };
    }),
    basis,
  };
}

function flightHere(
  like: ModelBow,
  model: ModelFlight,
  derived: JobDerived,
): { readonly flight: JobFlight; readonly basis: string[] } {
  const { flight: own } = flightInputs(derived);
  const { history, context } = derived;
  const measured = latest(history, 'arrowSpeed')?.si ?? null;
  if ('ok' in own) {
    // Something of this bow is missing: it is made like the model, so the model's stands for it.
    const speed = measured ?? context.predictedSpeed?.speedMps ?? model.speedMps;
    return {
      flight: {
        speedMps: mps(speed),
        arrowG: gram(latest(history, 'arrowMass')?.si ?? model.arrowG),
        shaftOuterMm: mm(model.shaftOuterMm),
        dragCoefficient: model.dragCoefficient,
        airDensityKgM3: model.airDensityKgM3,
        peepHeightMm: mm(latest(history, 'peepTrueHeight')?.si ?? model.peepHeightMm),
        peepToPinMm: mm(latest(history, 'peepToPin')?.si ?? model.peepToPinMm),
      },
      basis: [
        `${speed === model.speedMps && measured === null ? 'The model’s speed' : 'This bow’s speed'}; what is not known here yet is taken from the model`,
      ],
    };
  }
  const alike =
    Math.abs(own.arrowG - (modelNumber(like, 'arrowMass') ?? model.arrowG)) <= SAME_MASS_G &&
    Math.abs(own.shaftOuterMm - model.shaftOuterMm) <= SAME_SHAFT_MM;
  return {
    flight: alike ? { ...own, dragCoefficient: model.dragCoefficient } : own,
    basis: [
      measured === null
        ? 'This bow’s speed as predicted: the chronograph settles it'
        : 'This bow’s own speed, arrow and sight',
      alike
        ? 'The arrow is the model’s: its drag is taken over'
        : 'Another arrow than the model’s: the usual drag',
    ],
  };
}
