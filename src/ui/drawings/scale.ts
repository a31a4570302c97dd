/** A stretch of a ruler on the screen. */
export interface Scale {
  /** Units of the ruler (inches, pounds, millimetres), not SI. */
  readonly from: number;
  readonly to: number;
  readonly width: number;
  readonly x: (value: number) => number;
}

export function scale(from: number, to: number, width: number, inset = 14): Scale {
  const perUnit = (width - 2 * inset) / (to - from);
  return { from, to, width, x: (value) => inset + (value - from) * perUnit };
}

interface Tick {
  readonly value: number;
  /** 0 is the longest. */
  readonly rank: number;
}

/**
 * Ticks like those of a tape: `parts` per unit, the whole the longest, then halves, quarters …
 *
 * @param major units between numbered ticks.
 * @param parts small ticks between two numbered ones; a power of two, or ten.
 */
export function ticks(
  { from, to }: Pick<Scale, 'from' | 'to'>,
  major: number,
  parts: number,
): Tick[] {
  const step = major / parts;
  const first = Math.ceil(from / step - 1e-9);
  const last = Math.floor(to / step + 1e-9);
  return Array.from({ length: last - first + 1 }, (_, i) => {
    const index = first + i;
    return { value: index * step, rank: rankOf(((index % parts) + parts) % parts, parts) };
  });
}

function rankOf(part: number, parts: number): number {
  if (part === 0) return 0;
  if (part * 2 === parts) return 1;
  if (parts % 4 === 0 && part % (parts / 4) === 0) return 2;
  return 3;
}
