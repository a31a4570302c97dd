import { answered, refused, type Outcome } from '../outcome';
import {
  G_PER_GRAIN,
  N_PER_POUND,
  gram,
  mm,
  mps,
  newton,
  type Gram,
  type Mps,
  type Newton,
} from '../units';
import { storedEnergyJ, strokeMm } from './draw-force';
import type { BowSetting, RatedBow, StringItem } from './types';

/** 30 grains. */
export const DEFAULT_VIRTUAL_MASS_G = gram(30 * G_PER_GRAIN);
const DEFAULT_HALF_STRING_MM = mm(700);
const EFFICIENCY_WARNING = 0.98;
const EFFICIENCY_REFUSED = 1.05;
/** 5 grains for each pound of peak: below it is like a dry fire. */
const MIN_ARROW_G_PER_N = (5 * G_PER_GRAIN) / N_PER_POUND;

export interface LaunchSpeedInput {
  readonly bow: RatedBow;
  readonly setting: BowSetting;
  readonly arrowG: Gram;
  readonly stringItems?: readonly StringItem[];
  /** Energy of a curve logged at this setting; replaces the model's, J. */
  readonly storedEnergyJ?: number;
}

export interface LaunchSpeedResult {
  readonly speedMps: Mps;
  /** Part of the stored energy that reaches arrow, string and what hangs on it. */
  readonly efficiency: number;
  readonly storedEnergyJ: number;
  readonly arrowEnergyJ: number;
  readonly holdingN: Newton;
  readonly warnings: readonly string[];
}

/**
 * Arrow speed from the bow's own rating: ½(m_arrow + m_virtual + m_string)·v² = η·E, η taken from
 * the rated speed with the same energy model (docs/models.md section 4; virtual mass after Klopsteg,
 * *American Journal of Physics* 11, 1943). Valid for compound bows within their draw range.
 *
 * @returns a refusal when the stroke is not positive, the rating needs more than 105 % of the
 *   stored energy, or the arrow is under 5 gr per lb.
 */
export function launchSpeed(input: LaunchSpeedInput): Outcome<LaunchSpeedResult> {
  if (input.bow.untold?.includes('rating'))
    return refused(
      'rating-untold',
      'Nobody knows this bow’s rating, so no speed is predicted: the chronograph tells it.',
      'bow/ratedSpeedMps',
    );
  const { bow, setting, arrowG } = input;
  const strokes = [setting.drawLengthMm, bow.ratedDrawLengthMm].map((length) =>
    strokeMm(length, bow.braceHeightMm),
  );
  if (strokes.some((stroke) => stroke <= 0)) {
    return refused(
      'no-stroke',
      'The draw length must be more than the brace height and 44.45 mm together.',
      'setting/drawLengthMm',
    );
  }
  if (arrowG < MIN_ARROW_G_PER_N * setting.peakN) {
    return refused(
      'arrow-too-light',
      'Too light for this peak weight: to shoot it is like a dry fire. ' +
        `This weight needs at least ${(MIN_ARROW_G_PER_N * setting.peakN).toFixed(1)} g.`,
      'arrowG',
    );
  }
  const virtual = bow.virtualMassG ?? DEFAULT_VIRTUAL_MASS_G;
  const shape = { braceHeightMm: bow.braceHeightMm, letOff: bow.letOff, character: bow.character };
  const ratedEnergy = storedEnergyJ({
    ...shape,
    drawLengthMm: bow.ratedDrawLengthMm,
    peakN: bow.ratedPeakN,
  });
  const efficiency =
    ((bow.ratedArrowG + virtual) / 1000) * (bow.ratedSpeedMps ** 2 / 2 / ratedEnergy);
  if (efficiency >= EFFICIENCY_REFUSED) {
    return refused(
      'rating-contradicts-cam',
      `The rated speed would need ${Math.round(efficiency * 100)} % of the stored energy: ` +
        'rating and cam character contradict each other.',
      'bow/ratedSpeedMps',
    );
  }
  const energy = input.storedEnergyJ ?? storedEnergyJ({ ...shape, ...setting });
  const moving = arrowG + virtual + onStringG(input);
  const speed = Math.sqrt((2 * efficiency * energy) / (moving / 1000));
  return answered({
    speedMps: mps(speed),
    efficiency,
    storedEnergyJ: energy,
    arrowEnergyJ: (0.5 * arrowG * speed ** 2) / 1000,
    holdingN: newton(setting.peakN * (1 - bow.letOff)),
    warnings:
      efficiency > EFFICIENCY_WARNING
        ? ['The rating asks for nearly all stored energy: expect the real speed to be lower.']
        : [],
  });
}

/** What is tied on the string counts m·(1 − |z|/H)², g. */
export function onStringG({ bow, stringItems = [] }: LaunchSpeedInput): number {
  const half = bow.halfStringMm ?? DEFAULT_HALF_STRING_MM;
  return stringItems.reduce(
    (sum, item) => sum + item.massG * Math.max(0, 1 - Math.abs(item.fromNockMm) / half) ** 2,
    0,
  );
}
