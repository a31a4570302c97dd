import type { Metre, Mm } from '../units';

/**
 * How far the hit moves for each millimetre of the pin: (d + R)/R. The eye looks over the peep, R
 * behind the pin; distances are counted from the pin plane (docs/models.md section 6).
 */
export const eyeLever = (distanceM: Metre, peepToPinMm: Mm): number =>
  (distanceM * 1000 + peepToPinMm) / peepToPinMm;
