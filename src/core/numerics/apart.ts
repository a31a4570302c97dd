/**
 * Moves things along a line apart so that none lie on each other, as little as may be (isotonic least
 * squares by pooling neighbours), inside `low`..`high`.
 *
 * @param wanted middles, ascending.
 * @param sizes room each takes; all are made smaller alike where they would not find room.
 * @returns middles in the same order.
 */
export function apart(
  wanted: readonly number[],
  sizes: readonly number[],
  low: number,
  high: number,
): number[] {
  const whole = sizes.reduce((sum, size) => sum + size, 0);
  const shrink = whole > high - low && whole > 0 ? (high - low) / whole : 1;
  // Less what lies before it, each may only not be before the one before.
  const middles: number[] = [];
  let before = 0;
  for (const size of sizes) {
    middles.push(before + (size * shrink) / 2);
    before += size * shrink;
  }
  const blocks: { sum: number; count: number }[] = [];
  const at = (block: { sum: number; count: number }) => block.sum / block.count;
  wanted.forEach((place, i) => {
    blocks.push({ sum: place - middles[i]!, count: 1 });
    while (blocks.length > 1 && at(blocks.at(-1)!) < at(blocks.at(-2)!)) {
      const last = blocks.pop()!;
      const previous = blocks.at(-1)!;
      previous.sum += last.sum;
      previous.count += last.count;
    }
  });
  const most = high - before;
  return blocks
    .flatMap((block) => Array.from({ length: block.count }, () => at(block)))
    .map((start, i) => Math.min(Math.max(start, low), Math.max(low, most)) + middles[i]!);
}
