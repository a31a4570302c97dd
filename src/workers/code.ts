import jsQR from 'jsqr';

/** Squares of a picture, four bytes each: red, green, blue, how far it covers. */
interface Picture {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** Sides longer than this are not looked through: a code shows on far less. */
export const LONGEST_SIDE = 1600;

const isPicture = (data: unknown): data is Picture => {
  const { data: bytes, width, height } = (data ?? {}) as Partial<Picture>;
  return (
    bytes instanceof Uint8ClampedArray &&
    Number.isInteger(width) &&
    Number.isInteger(height) &&
    width! > 0 &&
    height! > 0 &&
    width! <= LONGEST_SIDE &&
    height! <= LONGEST_SIDE &&
    bytes.length === 4 * width! * height!
  );
};

/** Sizes a picture is looked through at, as parts of its own: a code that hides at one shows at another. */
const SIZES = [1, 0.75, 0.5, 0.38, 0.3, 0.62, 0.87];

/** The text of the code in a picture; null where there is none to be read. */
export function codeIn(data: unknown): string | null {
  if (!isPicture(data)) return null;
  for (const part of SIZES) {
    const seen = part === 1 ? data : smaller(data, part);
    const found = jsQR(seen.data, seen.width, seen.height)?.data;
    if (found) return found;
  }
  return null;
}

/** The same picture with fewer squares, each the mean of what lies under it. */
function smaller({ data, width, height }: Picture, part: number): Picture {
  const [w, h] = [Math.max(1, Math.floor(width * part)), Math.max(1, Math.floor(height * part))];
  const out = new Uint8ClampedArray(4 * w * h).fill(255);
  for (let y = 0; y < h; y++) {
    const [y0, y1] = [Math.floor((y * height) / h), Math.ceil(((y + 1) * height) / h)];
    for (let x = 0; x < w; x++) {
      const [x0, x1] = [Math.floor((x * width) / w), Math.ceil(((x + 1) * width) / w)];
      let sum = 0;
      for (let v = y0; v < y1; v++)
        for (let u = x0; u < x1; u++) {
          const at = 4 * (v * width + u);
          sum += data[at]! + data[at + 1]! + data[at + 2]!;
        }
      const grey = sum / (3 * (y1 - y0) * (x1 - x0));
      const at = 4 * (y * w + x);
      out[at] = out[at + 1] = out[at + 2] = grey;
    }
  }
  return { data: out, width: w, height: h };
}
