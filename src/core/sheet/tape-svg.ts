import type { TapeSheet } from '../flight';
import { paperSvg } from './paper-svg';

/** Paper shown around the strips when only they are looked at, mm. */
const AROUND = { left: 6, right: 14, top: 26, bottom: 16, least: 58 };

/**
 * A tape sheet as an SVG document in millimetres: width, height and every line true to size.
 *
 * @param close only the strips, for looking at: what is drawn stays the same, the view comes nearer.
 */
export function tapeSvg(sheet: TapeSheet, close = false): string {
  const { strips } = sheet;
  const [first, last] = [strips[0], strips.at(-1)];
  if (!close || !first || !last) return paperSvg(sheet);
  return paperSvg(sheet, {
    x: first.x - AROUND.left,
    y: first.y - AROUND.top,
    width: Math.max(
      AROUND.least,
      last.x + last.tape.options.widthMm + AROUND.right - first.x + AROUND.left,
    ),
    height: Math.max(...strips.map(({ tape }) => tape.lengthMm)) + AROUND.top + AROUND.bottom,
  });
}
