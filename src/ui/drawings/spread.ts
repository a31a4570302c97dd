import { apart } from '@/core/numerics';

/**
 * Moves labels apart so that none lie on each other, as little as may be, inside `low`..`high`.
 *
 * @param wanted centres, px, ascending.
 * @param gap least distance of centres, px; made smaller when they would not all find room.
 * @returns centres in the same order.
 */
export function spread(wanted: readonly number[], gap: number, low: number, high: number) {
  const n = wanted.length;
  const step = Math.min(gap, n > 1 ? (high - low) / (n - 1) : gap);
  return apart(
    wanted,
    wanted.map(() => step),
    low - step / 2,
    high + step / 2,
  );
}
