import { launchSpeed, strokeMm, type LaunchSpeedInput } from '../bow';
import { itemOf } from '../kit';
import { latest } from '../setup';
import type { BuildContext } from '../bench';
import { gram, mm, newton } from '../units';

/** One σ of a speed predicted from a rating alone, as a part of it. Shop rule. */
export const RATING_SPEED_SIGMA = 0.025;

/** A curve logged further from a setting than this does not speak for it: part of peak, mm of stroke. */
const CURVE_PEAK_PART = 0.03;
const CURVE_STROKE_MM = 8;

/** Energy of the logged curve, where it was logged at the setting asked for. */
function loggedEnergy(context: BuildContext, peakN: number, lengthMm: number): number | null {
  const { bow, curve } = context;
  if (!bow || !curve) return null;
  const stroke = strokeMm(mm(lengthMm), bow.braceHeightMm);
  const near =
    Math.abs(curve.peakN - peakN) <= CURVE_PEAK_PART * peakN &&
    Math.abs(curve.strokeMm - stroke) <= CURVE_STROKE_MM;
  return near ? curve.storedEnergyJ : null;
}

/** What the speed model takes of this job: measured where it is, else wanted; null when something is missing. */
export function speedInput(context: BuildContext): LaunchSpeedInput | null {
  const { bow, history, kit } = context;
  const peak = latest(history, 'peakWeight')?.si ?? context.peakTargetN;
  const length = latest(history, 'drawLength')?.si ?? context.moduleStepMm;
  const arrow = latest(history, 'arrowMass')?.si ?? itemOf(kit, 'arrows')?.massG ?? null;
  if (!bow || peak === null || length === null || arrow === null) return null;
  const storedEnergyJ = loggedEnergy(context, peak, length);
  return {
    ...(storedEnergyJ === null ? {} : { storedEnergyJ }),
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

export function predictedSpeed(context: BuildContext) {
  const input = speedInput(context);
  const answer = input && launchSpeed(input);
  return answer?.ok
    ? { speedMps: answer.speedMps, sigmaMps: answer.speedMps * RATING_SPEED_SIGMA }
    : null;
}
