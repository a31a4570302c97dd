import { mps, type Mps } from '@/core/units';
import { junk, plainLine, wordNumber, type PlainLine } from './device-line';

/** One line a chronograph sends; see docs/formats/chronograph.md. */
type ChronographLine = PlainLine | { readonly kind: 'shot'; readonly speedMps: Mps };

/** No arrow leaves a bow slower or faster. */
const LEAST_SHOT_MPS = 20;
const MOST_SHOT_MPS = 130;

/** Reads one line as sent; whatever it is not becomes `junk` with the reason. */
export function readChronographLine(line: string): ChronographLine {
  const plain = plainLine(line, 'chronograph');
  if (!Array.isArray(plain)) return plain as PlainLine;
  const [word, number, unit] = plain as readonly string[];
  const value = wordNumber(number);
  if (word !== 'shot' || value === null || unit !== 'mps' || plain.length !== 3)
    return junk('is not “shot NUMBER mps”');
  if (value < LEAST_SHOT_MPS || value > MOST_SHOT_MPS)
    return junk(`lies outside ${LEAST_SHOT_MPS} to ${MOST_SHOT_MPS} m/s`);
  return { kind: 'shot', speedMps: mps(value) };
}

export const writeShot = (speedMps: number) => `shot ${speedMps.toFixed(2)} mps`;
