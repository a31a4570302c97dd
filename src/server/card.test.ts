import { seeded } from '@/core/numerics';
import { aSheet } from '@/core/testing/a-sheet';
import { codeText, readCode, type CodeMatrix } from '@/core/sheet';
import { codeIn, LONGEST_SIDE } from '@/workers/code';
import { cardFile, codeMatrix, codeSvg } from './card';

const sheet = aSheet({ revision: 1 });
const text = codeText(sheet)!;
const PX = 6;

/** A code as a camera might see it: squares of some pixels, white around. */
function picture(
  matrix: CodeMatrix,
  spoil: (set: (x: number, y: number) => void, side: number) => void = () => undefined,
) {
  const side = (matrix.length + 8) * PX;
  const data = new Uint8ClampedArray(4 * side * side).fill(255);
  const set = (x: number, y: number) => data.fill(0, 4 * (y * side + x), 4 * (y * side + x) + 3);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++)
      if (matrix[Math.floor(y / PX) - 4]?.[Math.floor(x / PX) - 4] === '1') set(x, y);
  spoil(set, side);
  return { data, width: side, height: side };
}

describe('the code of a sheet', () => {
  const matrix = codeMatrix(text);

  test('is read back from its picture', () => expect(codeIn(picture(matrix))).toBe(text));
  test.each([1, 2, 3, 4, 5])('is read back with a tenth of it blackened, %i', (seed) => {
    const random = seeded(seed);
    const spoilt = picture(matrix, (set, side) => {
      // Somewhere beside the three corners a camera finds it by.
      const edge = Math.round(side * Math.sqrt(0.1));
      const from = Math.round(side * 0.3);
      const [x0, y0] = [0, 1].map(() => from + Math.floor(random() * (side - edge - from)));
      for (let y = 0; y < edge; y++) for (let x = 0; x < edge; x++) set(x0! + x, y0! + y);
    });
    const read = codeIn(spoilt);
    expect(read).toBe(text);
    expect(readCode(read!)).toMatchObject({ ok: true, ticket: 1001 });
  });
  test.each([0.83, 0.71, 0.55])('is read back smaller, its squares no whole pixels: %f', (part) => {
    const whole = picture(matrix);
    const side = Math.round(whole.width * part);
    const data = new Uint8ClampedArray(4 * side * side);
    for (let y = 0; y < side; y++)
      for (let x = 0; x < side; x++) {
        const from = 4 * (Math.floor(y / part) * whole.width + Math.floor(x / part));
        data.set(whole.data.subarray(from, from + 4), 4 * (y * side + x));
      }
    expect(codeIn({ data, width: side, height: side })).toBe(text);
  });
  test('of specks over a tenth of it too', () => {
    const random = seeded(7);
    const spoilt = picture(matrix, (set, side) => {
      for (let n = 0; n < 60; n++) {
        const [x0, y0] = [0, 1].map(() => Math.floor(side * (0.25 + 0.7 * random())));
        for (let y = 0; y < 2.5 * PX; y++)
          for (let x = 0; x < 2.5 * PX; x++)
            if (x0! + x < side && y0! + y < side) set(x0! + x, y0! + y);
      }
    });
    expect(codeIn(spoilt)).toBe(text);
  });
  test('a picture of something else holds none; what is no picture is none', () => {
    const random = seeded(3);
    const noise = {
      data: new Uint8ClampedArray(4 * 200 * 200).map(() => 255 * random()),
      width: 200,
      height: 200,
    };
    expect(codeIn(noise)).toBeNull();
    expect(codeIn({ ...noise, width: 201 })).toBeNull();
    expect(codeIn({ ...noise, width: LONGEST_SIDE + 1 })).toBeNull();
    expect(codeIn(null)).toBeNull();
    expect(codeIn({ data: [1, 2, 3], width: 1, height: 1 })).toBeNull();
  });
});

describe('a card as a file', () => {
  test.each([
    ['field', 'width="170mm" height="54mm"'],
    ['case', 'width="210mm" height="148mm"'],
  ] as const)('%s as SVG is as wide as both its sides', async (size, box) => {
    const { body, name } = await cardFile(sheet, { size, format: 'svg', paper: 'A4' });
    expect(String(body)).toContain(box);
    expect(name).toBe(`${size}-card-1001-1.svg`);
  });
  test('as PDF it is a page of paper', async () => {
    const { body } = await cardFile(sheet, { size: 'field', format: 'pdf', paper: 'LETTER' });
    expect(Buffer.from(body).toString('latin1')).toMatch(
      /\/MediaBox \[0 0 612(\.0\d*)? 792(\.0\d*)?\]/,
    );
  });
  test('the code alone', () => {
    expect(codeSvg(sheet)).toContain('width="60mm"');
    expect(codeSvg({ ...sheet, bow: null })).toBeNull();
  });
});
