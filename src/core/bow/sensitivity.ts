import { answered, type Outcome } from '../outcome';
import { gram, mm, MM_PER_INCH, mps, N_PER_POUND, newton, type Mps } from '../units';
import { storedEnergyJ } from './draw-force';
import { launchSpeed, type LaunchSpeedInput, type LaunchSpeedResult } from './launch-speed';

/** What a small change of one thing does to the speed, everything else as it is. */
interface SpeedSensitivity extends LaunchSpeedResult {
  readonly perPoundMps: Mps;
  readonly perHalfInchMps: Mps;
  readonly perGramMps: Mps;
}

/**
 * Predicted speed and what each pound, half inch and gram changes, by central differences of the
 * speed model (docs/models.md section 4). Valid where launchSpeed is.
 *
 * @returns launchSpeed's refusal, also when a neighbour is refused (an arrow just heavy enough).
 */
export function speedSensitivity(input: LaunchSpeedInput): Outcome<SpeedSensitivity> {
  const base = launchSpeed(input);
  if (!base.ok) return base;
  const { setting, arrowG, storedEnergyJ: logged } = input;
  // A logged curve is of one setting: its neighbours are the model's, scaled to meet it.
  const scaled = (at: LaunchSpeedInput): LaunchSpeedInput => {
    if (logged === undefined) return at;
    const of = (to: LaunchSpeedInput['setting']) => storedEnergyJ({ ...input.bow, ...to });
    return { ...at, storedEnergyJ: (logged * of(at.setting)) / of(setting) };
  };
  const slopes: number[] = [];
  const around = [
    pair((d) => ({
      ...input,
      setting: { ...setting, peakN: newton(setting.peakN + d * N_PER_POUND) },
    })),
    pair((d) => ({
      ...input,
      setting: { ...setting, drawLengthMm: mm(setting.drawLengthMm + (d * MM_PER_INCH) / 2) },
    })),
    pair((d) => ({ ...input, arrowG: gram(arrowG + d) })),
  ];
  for (const [less, more] of around) {
    const [low, high] = [launchSpeed(scaled(less)), launchSpeed(scaled(more))];
    if (!low.ok) return low;
    if (!high.ok) return high;
    slopes.push(high.speedMps - low.speedMps);
  }
  const [perPound, perHalfInch, perGram] = slopes;
  return answered({
    ...base,
    perPoundMps: mps(perPound!),
    perHalfInchMps: mps(perHalfInch!),
    perGramMps: mps(perGram!),
  });
}

/** Half a step to either side: the difference is what one whole step changes. */
const pair = (at: (part: number) => LaunchSpeedInput) => [at(-0.5), at(0.5)] as const;
