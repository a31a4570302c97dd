import { curveFacts, drawLengthSteps, wantedWall, type BowRecord } from '../bow';
import { checkKit, type Finding, type Kit, type KitContext } from '../kit';
import {
  bowCover,
  chooseModule,
  drawLength,
  drawWeight,
  isChild,
  postureEvidence,
  type BowCover,
  type DrawLengthResult,
  type DrawWeightResult,
  type PostureEvidence,
} from '../fit';
import { historyOf, latest, schoolsOf, type History, type Likeness } from '../setup';
import { workPlan, type WorkPlan } from '../route';
import type { BuildContext } from '../bench';
import { gram, metre, mm, newton, write, type Mm, type Newton } from '../units';
import { firstTrialN } from './conversation';
import { lengthReadings, oldBowFigures, postureLooks, weightTrials } from './fit-readings';
import type { JobSnapshot } from './types';
import { near } from '../numerics';
import { likenessOf, modelNumber } from './like';
import { predictedSpeed } from './speed-input';

/** Everything computed for a job, from its snapshot alone. */
export interface JobDerived {
  readonly history: History;
  readonly kit: Kit;
  readonly fitLength: DrawLengthResult | null;
  readonly fitWeight: DrawWeightResult;
  /** What the eye saw at full draw, beside the number. */
  readonly posture: PostureEvidence;
  readonly context: BuildContext;
  readonly kitContext: KitContext;
  readonly findings: readonly Finding[];
  readonly plan: WorkPlan;
}

export function derive(snapshot: JobSnapshot): JobDerived {
  const { bow, job, shop } = snapshot;
  const history = historyOf(snapshot.readings);
  const kit: Kit = Object.fromEntries(
    snapshot.parts.map((part) => [part.slot, { ...part, built: part.build !== null }]),
  );
  const fitLength = fitDrawLength(snapshot);
  const fitWeight = fitDrawWeight(snapshot);
  const like = likenessOf(job, bow);
  // Made like another it is that one's length, whatever the fit says.
  const fitDrawLengthMm =
    mmOrNull(modelNumber(job.like, 'drawLength')) ?? fitLength?.drawLengthMm ?? null;
  const moduleStepMm =
    job.moduleStepMm !== null
      ? mm(job.moduleStepMm)
      : modelStep(like, bow) !== null
        ? modelStep(like, bow)
        : bow && fitDrawLengthMm !== null
          ? (chooseModule(fitDrawLengthMm, drawLengthSteps(bow))?.stepMm ?? null)
          : null;
  const peak = peakGoal(snapshot, fitWeight);
  const oldBow = oldBowFigures(snapshot.fitReadings);
  const half: BuildContext = {
    bow,
    kit,
    history,
    fitDrawLengthMm,
    moduleStepMm,
    ...peak,
    oldBow,
    like,
    curve: latestCurve(snapshot),
    predictedSpeed: null,
    schools: schoolsOf(shop.schools, job.schools),
    shopSteps: shop.steps,
    stepTimes: snapshot.stepTimes,
    leftOut: job.elsewhere?.leftOut ?? [],
    shop: shop.units,
  };
  const context = { ...half, predictedSpeed: predictedSpeed(half) };
  const kitContext: KitContext = {
    bow,
    kit,
    drawLengthMm: mmOrNull(latest(history, 'drawLength')?.si) ?? moduleStepMm ?? fitDrawLengthMm,
    restAheadMm: mm(job.arrows.restAheadMm),
    ...weights(peak.peakTargetN, newtonOrNull(latest(history, 'peakWeight')?.si)),
    learner: isLearner(snapshot.archer),
    furthestM: job.furthestM === null ? null : metre(job.furthestM),
    electronicsForbidden: job.electronicsForbidden,
    lowLight: job.lowLight,
    purpose: job.purpose,
    release: snapshot.archer.release,
    eyesight: snapshot.archer.eyesight,
    massLimitG: job.kitWishes.massLimitG === null ? null : gram(job.kitWishes.massLimitG),
    lines: shop.kit,
    shop: shop.units,
  };
  return {
    history,
    kit,
    fitLength,
    fitWeight,
    posture: fitPosture(snapshot, fitLength),
    context,
    kitContext,
    findings: checkKit(kitContext),
    plan: workPlan(context, snapshot.exceptions),
  };
}

/** Weights nearer than this, as a part, are one. */
const SAME_WEIGHT = 0.02;

/** The weight parts are judged by, and the one the bow stands at where that is another. */
function weights(goalN: Newton | null, weighedN: Newton | null) {
  const there = goalN === null || weighedN === null || near(goalN, weighedN, SAME_WEIGHT * goalN);
  return { peakN: goalN ?? weighedN, weighedN: there ? null : weighedN };
}

/** Their first bow, or under sixteen. */
const isLearner = ({ experience, ageBand }: JobSnapshot['archer']) =>
  experience === 'none' || isChild(ageBand);

const mmOrNull = (value: number | null | undefined) =>
  value === null || value === undefined ? null : mm(value);
const newtonOrNull = (value: number | null | undefined) =>
  value === null || value === undefined ? null : newton(value);

/** Whether the loop counts for this job: its own school, else the shop's. */
export const loopCounts = ({ job, shop }: Pick<JobSnapshot, 'job' | 'shop'>): boolean =>
  job.loopCounts ?? shop.loopCounts;

function fitDrawLength(snapshot: JobSnapshot): DrawLengthResult | null {
  const { fitReadings, bow } = snapshot;
  return drawLength(lengthReadings(fitReadings), {
    loopCounts: loopCounts(snapshot),
    moduleStepsMm: bow ? drawLengthSteps(bow) : [],
  });
}

function fitPosture({ fitReadings, shop }: JobSnapshot, fitLength: DrawLengthResult | null) {
  const { looks, drawnMm } = postureLooks(fitReadings);
  return postureEvidence(looks, drawnMm, fitLength, shop.units);
}

function fitDrawWeight({ archer, fitReadings }: JobSnapshot): DrawWeightResult {
  return drawWeight({
    priorMedianN: firstTrialN(archer),
    trials: weightTrials(fitReadings, archer),
  });
}

/** The technician's weight, else the fit's start once a trial was made, raised to the bow's least. */
function peakGoal(snapshot: JobSnapshot, fitWeight: DrawWeightResult) {
  const { job, bow, shop } = snapshot;
  if (job.peakTargetN !== null) {
    const why = job.peakReason || 'no reason given';
    return { peakTargetN: newton(job.peakTargetN), peakReason: `The technician’s choice: ${why}` };
  }
  const likePeak = modelNumber(job.like, 'peakWeight');
  if (likePeak !== null)
    return givenPeakGoal(newton(likePeak), bow, {
      which: 'model',
      peakReason: `As on the model: ${job.like!.title}`,
    });
  const trials = weightTrials(snapshot.fitReadings, snapshot.archer).length;
  const { oldPeak } = oldBowFigures(snapshot.fitReadings);
  if (oldPeak !== undefined)
    return givenPeakGoal(newton(oldPeak), bow, {
      which: 'old bow',
      peakReason: 'As the old bow they like',
    });
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

/** The step the model's module stands at, on the same kind of bow, where this one has it too. */
function modelStep(like: Likeness | null, bow: BowRecord | null): Mm | null {
  const step = like?.holds.moduleBottom ?? like?.holds.moduleTop;
  if (step === undefined || !bow) return null;
  return drawLengthSteps(bow).find((one) => Math.abs(one - step) < 0.5) ?? null;
}

/** As a bow they know, within what the new one can be set to. */
function givenPeakGoal(
  givenN: Newton,
  bow: BowRecord | null,
  { which, peakReason }: { readonly which: 'old bow' | 'model'; readonly peakReason: string },
) {
  if (bow && givenN < bow.minPeakN)
    return {
      peakTargetN: bow.minPeakN,
      peakReason: `The bow’s lightest setting, above the ${which}’s`,
    };
  if (bow && givenN > bow.maxPeakN)
    return {
      peakTargetN: bow.maxPeakN,
      peakReason: `The bow’s heaviest setting, under the ${which}’s`,
    };
  return { peakTargetN: givenN, peakReason };
}

/** What the newest logged curve of this bow says; null where none was logged. */
function latestCurve({ curves }: JobSnapshot) {
  const last = curves.at(-1);
  const facts = last && curveFacts(last.points);
  return facts?.ok ? facts : null;
}

/** Whether a bow covers this job's fit; what is not measured yet is left out of the judgement. */
export function jobBowCover(bow: BowRecord, snapshot: JobSnapshot, derived: JobDerived): BowCover {
  const tried = weightTrials(snapshot.fitReadings, snapshot.archer).length > 0;
  const { oldPeak } = oldBowFigures(snapshot.fitReadings);
  return bowCover(bow, {
    drawLengthMm: derived.fitLength?.drawLengthMm ?? null,
    startN: tried ? derived.fitWeight.startN : null,
    hand: snapshot.archer.hand,
    oldPeakN: oldPeak === undefined ? null : newton(oldPeak),
    wall: wantedWall(snapshot.archer.wall, snapshot.archer.release),
    budgetCents: snapshot.job.budgetCents,
    today: snapshot.today,
    promisedDay: snapshot.job.promisedDay,
    shop: snapshot.shop.units,
  });
}
