import type { TapeSheet } from '../flight';
import { tapeSvg } from './tape-svg';

const strip = (x: number, lengthMm: number, widthMm = 12) => ({
  ...{ x, y: 40 },
  tape: { lengthMm, options: { widthMm } },
});
const sheet = (...strips: object[]) =>
  ({ paper: 'A4', widthMm: 210, heightMm: 297, items: [], strips }) as unknown as TapeSheet;
const view = (svg: string) =>
  /width="(\S+)mm" height="(\S+)mm" viewBox="([^"]+)"/.exec(svg)!.slice(1);

test('the whole paper is as large as it is', () => {
  expect(view(tapeSvg(sheet(strip(30, 90))))).toEqual(['210', '297', '0 0 210 297']);
});

test('looked at closely: the strips with 6 mm before, 14 behind, 26 above and 16 under them', () => {
  // From 30 to 90 + 12 mm, and as high as the longer one.
  expect(view(tapeSvg(sheet(strip(30, 90), strip(90, 120)), true))).toEqual([
    ...['92', '162'],
    '24 14 92 162',
  ]);
  // One alone is shown with room for its words.
  expect(view(tapeSvg(sheet(strip(30, 90)), true))[2]).toBe('24 14 58 132');
  expect(view(tapeSvg(sheet(), true))[2]).toBe('0 0 210 297');
});
