import { readMasses, readScaleLine, writeScaleMass } from '@/contracts/grain-scale';
import { DeviceLost } from './port';
import { grainScaleStandIn, type ScaleOptions } from './stand-ins/grain-scale';

const OPTIONS: ScaleOptions = { massG: 24.6, count: 12, seed: 4, pauseMs: 0 };
async function linesOf(options: ScaleOptions, signal = new AbortController().signal) {
  const lines: string[] = [];
  for await (const line of grainScaleStandIn(options).lines(signal)) lines.push(line);
  return lines;
}

describe('the stand-in for a grain scale', () => {
  test('weighs every arrow once, wavering first, and the same again', async () => {
    const lines = await linesOf(OPTIONS);
    const masses = lines
      .map(readScaleLine)
      .flatMap((line) => (line.kind === 'mass' ? [line.massG] : []));
    expect(masses).toHaveLength(12);
    for (const mass of masses) expect(Math.abs(mass / 24.6 - 1)).toBeLessThan(0.05);
    expect(lines.map(readScaleLine).some(({ kind }) => kind === 'junk')).toBe(false);
    expect(await linesOf(OPTIONS)).toEqual(lines);
    expect(await linesOf({ ...OPTIONS, seed: 5 })).not.toEqual(lines);
  });
  test('is pulled out in the middle, or stopped', async () => {
    await expect(linesOf({ ...OPTIONS, pulledAfter: 3 })).rejects.toThrow(DeviceLost);
    const stop = new AbortController();
    stop.abort();
    expect(await linesOf(OPTIONS, stop.signal)).toEqual(['scale 1']);
  });
});

describe('its lines', () => {
  test.each([
    ['scale 1', { kind: 'scale', version: 1 }],
    ['mass 24.61 still', { kind: 'mass', massG: 24.61 }],
    ['mass 12.00 moving', { kind: 'moving' }],
    ['empty', { kind: 'moving' }],
    ['# note', { kind: 'note' }],
    ['', { kind: 'note' }],
    ['mass 900 still', { kind: 'junk', why: 'lies outside 3 to 80 g' }],
    ['mass -4 still', { kind: 'junk', why: 'is not scale, mass or empty' }],
    ['mass NaN still', { kind: 'junk', why: 'is not scale, mass or empty' }],
    ['x'.repeat(90), { kind: 'junk', why: 'is longer than 80 characters' }],
  ])('%j', (line, read) => expect(readScaleLine(line)).toEqual(read));
  test('written and read', () =>
    expect(readScaleLine(writeScaleMass(24.6, true))).toEqual({ kind: 'mass', massG: 24.6 }));
});

describe('masses as typed', () => {
  test.each([
    ['24.5 24,6; 24.7', 'g', [24.5, 24.6, 24.7]],
    ['24.5, 24.6,\n24.7', 'g', [24.5, 24.6, 24.7]],
    ['380 gr 381', 'g', [380 * 0.06479891, 381 * 0.06479891]],
    ['380 381', 'gr', [380 * 0.06479891, 381 * 0.06479891]],
    ['24.5 g 25', 'gr', [24.5, 25]],
    ['', 'g', []],
  ] as const)('%j in %s', (text, bare, masses) =>
    expect(readMasses(text, bare)).toEqual({ ok: true, massesG: masses }),
  );
  test.each([
    ['24.5 heavy', '“heavy” is not a mass'],
    ['24.5 380', '3 to 80 g is possible'],
    ['24.5 0', '3 to 80 g is possible'],
    [Array(200).fill('24').join(' '), 'At most 144'],
  ])('%.20j: %s', (text, message) =>
    expect(readMasses(text, 'g')).toEqual({ ok: false, message: expect.stringContaining(message) }),
  );
});
