import { drawLengthSteps, launchSpeed, type BowRecord, type LaunchSpeedInput } from '../bow';
import { checkKit, itemOf, type Finding, type Kit, type KitContext } from '../kit';
import {
  bowCover,
  chooseModule,
  drawLength,
  drawWeight,
  limbBolts,
  priorMedianN,
  type BowCover,
  type DrawLengthReading,
  type DrawLengthResult,
  type DrawWeightResult,
  type LimbBoltResult,
  type WeightTrial,
} from '../fit';
import type { Outcome } from '../outcome';
import {
  historyOf,
  latest,
  workPlan,
  type BuildContext,
  type History,
  type WorkPlan,
} from '../route';
import { gram, metre, mm, newton, turns, write, type Turns } from '../units';
import type { FitReading, JobSnapshot } from './types';

/** Everything computed for a job, from its snapshot alone. */
export interface JobDerived {
  readonly history: History;
  readonly kit: Kit;
  readonly fitLength: DrawLengthResult | null;
  readonly fitWeight: DrawWeightResult;
  readonly context: BuildContext;
  readonly kitContext: KitContext;
  readonly findings: readonly Finding[];
  readonly plan: WorkPlan;
}

/** One σ of a speed predicted from a rating alone, as a part of it. Shop rule. */
export const RATING_SPEED_SIGMA = 0.025;

export function derive(snapshot: JobSnapshot): JobDerived {
  const { bow, job, shop } = snapshot;
  const history = historyOf(snapshot.readings);
  const kit: Kit = Object.fromEntries(snapshot.parts.map((part) => [part.slot, part]));
  const fitLength = fitDrawLength(snapshot);
  const fitWeight = fitDrawWeight(snapshot);
  const fitDrawLengthMm = fitLength?.drawLengthMm ?? null;
  const moduleStepMm =
    job.moduleStepMm !== null
      ? mm(job.moduleStepMm)
      : bow && fitDrawLengthMm !== null
        ? (chooseModule(fitDrawLengthMm, drawLengthSteps(bow))?.stepMm ?? null)
        : null;
  const peak = peakGoal(snapshot, fitWeight);
  const half: BuildContext = {
    bow,
    kit,
    history,
    fitDrawLengthMm,
    moduleStepMm,
    ...peak,
    predictedSpeed: null,
    shop: shop.units,
  };
  const context = { ...half, predictedSpeed: predictedSpeed(half) };
  const kitContext: KitContext = {
    bow,
    kit,
    drawLengthMm: mmOrNull(latest(history, 'drawLength')?.si) ?? moduleStepMm ?? fitDrawLengthMm,
    peakN: newtonOrNull(latest(history, 'peakWeight')?.si) ?? peak.peakTargetN,
    furthestM: job.furthestM === null ? null : metre(job.furthestM),
    electronicsForbidden: job.electronicsForbidden,
    shop: shop.units,
  };
  return {
    history,
    kit,
    fitLength,
    fitWeight,
    context,
    kitContext,
    findings: checkKit(kitContext),
    plan: workPlan(context, snapshot.exceptions),
  };
}

const mmOrNull = (value: number | null | undefined) =>
  value === null || value === undefined ? null : mm(value);
const newtonOrNull = (value: number | null | undefined) =>
  value === null || value === undefined ? null : newton(value);

/** Whether the loop counts for this job: its own school, else the shop's. */
export const loopCounts = ({ job, shop }: Pick<JobSnapshot, 'job' | 'shop'>): boolean =>
  job.loopCounts ?? shop.loopCounts;

function fitDrawLength(snapshot: JobSnapshot): DrawLengthResult | null {
  const { fitReadings, bow } = snapshot;
  const readings = fitReadings.filter((r) => r.key !== 'weightTrial') as (FitReading & {
    key: DrawLengthReading['method'];
  })[];
  return drawLength(
    readings.map((reading) => ({ method: reading.key, valueMm: mm(reading.si) })),
    { loopCounts: loopCounts(snapshot), moduleStepsMm: bow ? drawLengthSteps(bow) : [] },
  );
}

export function weightTrials(fitReadings: readonly FitReading[]): WeightTrial[] {
  return fitReadings.flatMap((reading) =>
    reading.key === 'weightTrial' && reading.outcome
      ? [{ peakN: newton(reading.si), outcome: reading.outcome }]
      : [],
  );
}

function fitDrawWeight({ archer, fitReadings }: JobSnapshot): DrawWeightResult {
  const { ageBand, build, experience, injury } = archer;
  return drawWeight({
    priorMedianN: priorMedianN({ ageBand, build, experience, injury: injury.trim() !== '' }),
    trials: weightTrials(fitReadings),
  });
}

/** The technician's weight, else the fit's start once a trial was made, raised to the bow's least. */
function peakGoal(snapshot: JobSnapshot, fitWeight: DrawWeightResult) {
  const { job, bow, shop } = snapshot;
  if (job.peakTargetN !== null) {
    const why = job.peakReason || 'no reason given';
    return { peakTargetN: newton(job.peakTargetN), peakReason: `The technician’s choice: ${why}` };
  }
  const trials = weightTrials(snapshot.fitReadings).length;
  if (trials === 0) return { peakTargetN: null, peakReason: 'No trial drawn yet' };
  const start = write(fitWeight.startN, 'force', shop.units);
  if (bow && fitWeight.startN < bow.minPeakN) {
    return {
      peakTargetN: bow.minPeakN,
      peakReason: `The bow’s lightest setting; the fit would start at ${start}`,
    };
  }
  return {
    peakTargetN: fitWeight.startN,
    peakReason: `Drawn comfortably nine times in ten, from ${trials} ${trials === 1 ? 'trial' : 'trials'}`,
  };
}

/** What the speed model takes of this job: measured where it is, else wanted; null when something is missing. */
export function speedInput(context: BuildContext): LaunchSpeedInput | null {
  const { bow, history, kit } = context;
  const peak = latest(history, 'peakWeight')?.si ?? context.peakTargetN;
  const length = latest(history, 'drawLength')?.si ?? context.moduleStepMm;
  const arrow = latest(history, 'arrowMass')?.si ?? itemOf(kit, 'arrows')?.massG ?? null;
  if (!bow || peak === null || length === null || arrow === null) return null;
  return {
    bow,
    setting: { drawLengthMm: mm(length), peakN: newton(peak) },
    arrowG: gram(arrow),
    // A loop and a peep of usual mass; each a fraction of a metre per second.
    stringItems: [
      { massG: gram(0.4), fromNockMm: mm(0) },
      { massG: gram(itemOf(kit, 'peep')?.massG ?? 0.8), fromNockMm: mm(150) },
    ],
  };
}

function predictedSpeed(context: BuildContext) {
  const input = speedInput(context);
  const answer = input && launchSpeed(input);
  return answer?.ok
    ? { speedMps: answer.speedMps, sigmaMps: answer.speedMps * RATING_SPEED_SIGMA }
    : null;
}

/** Limb bolts from this bow's weighings; null where it cannot be computed, with the reason. */
export function limbBoltAdvice(
  snapshot: JobSnapshot,
  derived: JobDerived,
): Outcome<LimbBoltResult> | null {
  const { bow } = snapshot;
  const target = derived.context.peakTargetN;
  if (!bow || bow.maxTurns === null || target === null) return null;
  return limbBolts({
    maxPeakN: bow.maxPeakN,
    minPeakN: bow.minPeakN,
    maxTurns: bow.maxTurns,
    targetN: target,
    readings: weighings(derived.history),
  });
}

export const weighings = (history: History) =>
  (history.get('peakWeight') ?? []).flatMap((reading) =>
    reading.si === null || reading.si2 === null
      ? []
      : [{ turns: turns(reading.si2), peakN: newton(reading.si) }],
  );

/** Turns both bolts stand at, by the last readings; null when not known or not alike. */
export function standingTurns(history: History): Turns | null {
  const upper = latest(history, 'limbTurnsUpper')?.si ?? null;
  const lower = latest(history, 'limbTurnsLower')?.si ?? null;
  const alike = upper !== null && lower !== null && Math.abs(upper - lower) < 0.01;
  return alike ? turns(upper) : null;
}

/** Whether a bow covers this job's fit; what is not measured yet is left out of the judgement. */
export function jobBowCover(bow: BowRecord, snapshot: JobSnapshot, derived: JobDerived): BowCover {
  const tried = weightTrials(snapshot.fitReadings).length > 0;
  return bowCover(bow, {
    drawLengthMm: derived.fitLength?.drawLengthMm ?? null,
    startN: tried ? derived.fitWeight.startN : null,
    hand: snapshot.archer.hand,
    shop: snapshot.shop.units,
  });
}
