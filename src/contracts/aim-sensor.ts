import { milliradian, second, type Milliradian, type Second } from '@/core/units';
import { junk, plainLine, wordNumber, type PlainLine } from './device-line';

/** One line an aim sensor sends; see docs/formats/aim-sensor.md. */
type AimLine =
  | PlainLine
  | {
      readonly kind: 'at';
      readonly tS: Second;
      readonly rightMrad: Milliradian;
      readonly upMrad: Milliradian;
    }
  | { readonly kind: 'release'; readonly tS: Second };

/** Nobody aims longer, s. */
const LONGEST_S = 120;
/** Further from its zero a sensor looks at something else, mrad. */
const MOST_MRAD = 500;

/** Reads one line as sent; whatever it is not becomes `junk` with the reason. */
export function readAimLine(line: string): AimLine {
  const plain = plainLine(line, 'aim');
  if (!Array.isArray(plain)) return plain as PlainLine;
  const [word, ...numbers] = plain as readonly string[];
  const values = numbers.map(wordNumber);
  const [t = null, right = null, up = null] = values;
  const count = word === 'at' ? 3 : word === 'release' ? 1 : 0;
  if (count === 0 || values.length !== count || values.includes(null) || t === null)
    return junk('is not “at TIME RIGHT UP” or “release TIME”');
  if (t < 0 || t > LONGEST_S) return junk(`lies outside 0 to ${LONGEST_S} s`);
  if (word === 'release') return { kind: 'release', tS: second(t) };
  if (right === null || up === null || Math.max(Math.abs(right), Math.abs(up)) > MOST_MRAD)
    return junk(`lies outside ${MOST_MRAD} mrad`);
  return { kind: 'at', tS: second(t), rightMrad: milliradian(right), upMrad: milliradian(up) };
}

export const writeAim = (tS: number, rightMrad: number, upMrad: number) =>
  `at ${tS.toFixed(4)} ${rightMrad.toFixed(3)} ${upMrad.toFixed(3)}`;
export const writeRelease = (tS: number) => `release ${tS.toFixed(4)}`;
