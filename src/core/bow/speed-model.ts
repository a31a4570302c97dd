import { answered, refused, type Outcome } from '../outcome';
import { N_PER_POUND, gram, mps, newton, type Gram, type Mps, type Newton } from '../units';
import { DEFAULT_VIRTUAL_MASS_G } from './launch-speed';

/** A speed measured on this bow with one arrow. */
interface MeasuredSpeed {
  readonly arrowG: Gram;
  readonly speedMps: Mps;
}

export interface SpeedModel {
  readonly efficiency: number;
  readonly virtualMassG: Gram;
  /** The virtual mass came from two arrows; false keeps the usual one. */
  readonly fittedMass: boolean;
}

/** Arrows nearer in mass than this do not tell efficiency from virtual mass, g. */
const LEAST_APART_G = 3;
const MOST_EFFICIENCY = 1.05;

/**
 * This bow's own efficiency and virtual mass from chronograph readings: ½(m + m_v + m_s)·v² = η·E.
 * With arrows at least 3 g apart both by least squares of 1/v² over m; else η alone with the usual
 * virtual mass (docs/models.md section 4).
 *
 * @param energyJ stored at the setting it was shot with.
 * @returns a refusal where the readings ask for more than 105 % of the stored energy, or for a
 *   virtual mass under nothing.
 */
export function speedModel(
  measured: readonly MeasuredSpeed[],
  energyJ: number,
  onStringG = 0,
): Outcome<SpeedModel> {
  const masses = measured.map(({ arrowG }) => arrowG);
  if (measured.length === 0) return refused('too-few', 'No speed has been measured yet.');
  const apart = Math.max(...masses) - Math.min(...masses) >= LEAST_APART_G;
  const model = apart ? fitted(measured, energyJ, onStringG) : usual(measured, energyJ, onStringG);
  if (model.efficiency >= MOST_EFFICIENCY)
    return refused(
      'too-fast',
      `These readings ask for ${Math.round(model.efficiency * 100)} % of the stored energy: a reading, the arrow’s mass or the weight was read wrong.`,
    );
  if (model.virtualMassG < -0.5)
    return refused(
      'masses-contradict',
      'The lighter arrow is not fast enough for its mass: one of the readings belongs to another arrow.',
    );
  return answered(model);
}

function usual(measured: readonly MeasuredSpeed[], energyJ: number, onStringG: number): SpeedModel {
  const moving = ({ arrowG }: MeasuredSpeed) => arrowG + DEFAULT_VIRTUAL_MASS_G + onStringG;
  const spent = measured.map((shot) => (0.5 * moving(shot) * shot.speedMps ** 2) / 1000);
  const efficiency = spent.reduce((sum, e) => sum + e, 0) / spent.length / energyJ;
  return { efficiency, virtualMassG: DEFAULT_VIRTUAL_MASS_G, fittedMass: false };
}

/** 1/v² = (m + m_v + m_s) / (2ηE): a straight line over the arrow's mass. */
function fitted(measured: readonly MeasuredSpeed[], energyJ: number, onStringG: number) {
  const n = measured.length;
  const y = measured.map(({ speedMps }) => 1 / speedMps ** 2);
  const mass = measured.reduce((sum, { arrowG }) => sum + arrowG, 0) / n;
  const middle = y.reduce((sum, v) => sum + v, 0) / n;
  let [xx, xy] = [0, 0];
  measured.forEach(({ arrowG }, i) => {
    xx += (arrowG - mass) ** 2;
    xy += (arrowG - mass) * (y[i]! - middle);
  });
  const slope = xy / xx;
  return {
    efficiency: slope > 0 ? 1 / (2 * slope * energyJ * 1000) : Infinity,
    virtualMassG: gram(slope > 0 ? middle / slope - mass - onStringG : 0),
    fittedMass: true,
  };
}

/** Speed of another arrow from this bow, at a stored energy. */
export const modelSpeed = (
  { efficiency, virtualMassG }: SpeedModel,
  arrowG: Gram,
  energyJ: number,
  onStringG = 0,
): Mps => mps(Math.sqrt((2000 * efficiency * energyJ) / (arrowG + virtualMassG + onStringG)));

export interface ArrowFigures {
  readonly energyJ: number;
  readonly momentumNs: number;
  readonly grainsPerPound: number;
}

const GR_PER_G = 1 / 0.06479891;
const LB_PER_N = 1 / N_PER_POUND;

/** What an arrow carries as it leaves, and its mass for the bow's weight. */
export const arrowFigures = (arrowG: Gram, speedMps: Mps, peakN: Newton): ArrowFigures => ({
  energyJ: (0.5 * arrowG * speedMps ** 2) / 1000,
  momentumNs: (arrowG * speedMps) / 1000,
  grainsPerPound: (arrowG * GR_PER_G) / (newton(peakN) * LB_PER_N),
});
