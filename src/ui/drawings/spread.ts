/**
 * Moves labels apart so that none lie on each other, as little as may be, inside `low`..`high`.
 *
 * @param wanted centres, px, ascending.
 * @param gap least distance of centres, px; made smaller when they would not all find room.
 * @returns centres in the same order.
 */
export function spread(wanted: readonly number[], gap: number, low: number, high: number) {
  const n = wanted.length;
  if (n === 0) return [];
  const step = Math.min(gap, n > 1 ? (high - low) / (n - 1) : gap);
  // Pool adjacent violators: each block stands where its members want it on average.
  const blocks: { sum: number; count: number }[] = [];
  const start = (block: { sum: number; count: number }) =>
    block.sum / block.count - ((block.count - 1) / 2) * step;
  const end = (block: { sum: number; count: number }) => start(block) + (block.count - 1) * step;
  for (const y of wanted) {
    blocks.push({ sum: y, count: 1 });
    while (blocks.length > 1 && start(blocks.at(-1)!) < end(blocks.at(-2)!) + step) {
      const last = blocks.pop()!;
      const before = blocks.at(-1)!;
      before.sum += last.sum;
      before.count += last.count;
    }
  }
  const placed = blocks.flatMap((block) =>
    Array.from({ length: block.count }, (_, i) => start(block) + i * step),
  );
  // The ends may stick out: push down from the top, then up from the bottom.
  for (let i = 0; i < n; i++) placed[i] = Math.max(placed[i]!, low + i * step);
  for (let i = n - 1; i >= 0; i--) placed[i] = Math.min(placed[i]!, high - (n - 1 - i) * step);
  return placed;
}
