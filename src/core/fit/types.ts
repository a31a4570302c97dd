import type { Mm } from '../units';

/** How a draw length was found; see docs/models.md section 1. */
export type DrawLengthMethod = 'armSpan' | 'wallToMouth' | 'markedArrow' | 'fittingBow';

export interface DrawLengthReading {
  readonly method: DrawLengthMethod;
  /** The tape's reading, not yet the draw length. */
  readonly valueMm: Mm;
}

interface MethodEntry {
  readonly method: DrawLengthMethod;
  readonly name: string;
  /** What the tape is put on, for the field's label. */
  readonly how: string;
  /** One standard deviation of a single reading, mm. */
  readonly sigmaMm: number;
  /** Readings outside are refused: nobody is built like that. */
  readonly minMm: number;
  readonly maxMm: number;
}

/** Order is the order they are offered in. */
export const DRAW_LENGTH_METHODS: readonly MethodEntry[] = [
  {
    method: 'armSpan',
    name: 'Arm span',
    how: 'Back relaxed against the wall, arms out, not stretched; middle finger to middle finger',
    sigmaMm: 15,
    minMm: 900,
    maxMm: 2400,
  },
  {
    method: 'wallToMouth',
    name: 'Wall to mouth',
    how: 'Fist on the wall, arm straight but not locked; tape to the corner of the mouth',
    sigmaMm: 13,
    minMm: 350,
    maxMm: 950,
  },
  {
    method: 'markedArrow',
    name: 'Marked arrow',
    how: 'Light bow drawn to anchor at a safe target; nock groove to the mark at the plunger hole',
    sigmaMm: 6,
    minMm: 300,
    maxMm: 900,
  },
  {
    method: 'fittingBow',
    name: 'The bow that fits',
    how: 'Their own bow at full draw; nock groove to the back of the plunger hole',
    sigmaMm: 3,
    minMm: 300,
    maxMm: 900,
  },
];

export const methodEntry = (method: DrawLengthMethod) =>
  DRAW_LENGTH_METHODS.find((entry) => entry.method === method)!;
