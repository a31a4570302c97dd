import { read } from './read';
import { METRIC_UNITS, TRADE_UNITS, type ReadOptions } from './types';
import { write } from './write';

const length: ReadOptions = { quantity: 'length', shop: TRADE_UNITS };

describe('reading what is typed at the bench', () => {
  test.each([
    ['28 3/8', 'length', 720.725],
    ['28-3/8', 'length', 720.725],
    ['28⅜', 'length', 720.725],
    ['28 3 / 8 in', 'length', 720.725],
    ['28.375 in', 'length', 720.725],
    ['28.375"', 'length', 720.725],
    ['721mm', 'length', 721],
    ['72,1 cm', 'length', 721],
    ['1.82 m', 'length', 1820],
    ['3/8', 'length', 9.525],
    ['-1/4', 'length', -6.35],
    ['.5', 'length', 12.7],
    ['28.', 'length', 711.2],
    [`5' 11 1/2"`, 'length', 71.5 * 25.4],
    ['5 ft 11', 'length', 71 * 25.4],
    ['47#', 'force', 47 * 4.4482216152605],
    ['47 lb', 'force', 47 * 4.4482216152605],
    ['47', 'force', 47 * 4.4482216152605],
    ['209N', 'force', 209],
    ['390gr', 'mass', 390 * 0.06479891],
    ['25 g', 'mass', 25],
    ['274 fps', 'speed', 274 * 0.3048],
    ['84 m/s', 'speed', 84],
    ['20 yd', 'distance', 18.288],
    ['18', 'distance', 18],
    ['4 1/2', 'turns', 4.5],
    ['1.5°', 'angle', 1.5],
  ] as const)('%s as a %s is %d', (text, quantity, si) => {
    const result = read(text, { quantity, shop: TRADE_UNITS });
    expect(result.ok && result.si).toBeCloseTo(si, 9);
  });

  test.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['abc', 'notANumber'],
    ['in', 'notANumber'],
    ['28 3/8 5', 'notANumber'],
    ['1,234.5', 'notANumber'],
    ['28/', 'notANumber'],
    ['1e9', 'unknownUnit'],
    ['28 3/0', 'badFraction'],
    ['28 lb', 'wrongUnit'],
    ['28 parsec', 'unknownUnit'],
    ['NaN', 'notANumber'],
    ['Infinity', 'notANumber'],
  ])('%j is refused as %s', (text, code) => {
    const result = read(text, length);
    expect(result.ok).toBe(false);
    expect(!result.ok && result.code).toBe(code);
    expect(!result.ok && result.message.length).toBeGreaterThan(10);
  });

  test('a 4 m arm span is refused with what is possible, in the shop’s own units', () => {
    const span = { ...length, min: 900, max: 2400, what: 'arm span' };
    expect(read('4 m', span)).toMatchObject({
      ok: false,
      code: 'tooLarge',
      message: 'Too large for the arm span: possible is 35 7/16 in to 94 7/16 in.',
    });
    expect(read('-5', span)).toMatchObject({ code: 'tooSmall' });
    expect(read('0', span)).toMatchObject({ code: 'tooSmall' });
  });

  test('a number without a unit is taken in the shop’s unit and says so', () => {
    expect(read('721', { quantity: 'length', shop: METRIC_UNITS })).toMatchObject({
      si: 721,
      unit: 'mm',
      unitAssumed: true,
    });
    expect(read('72.1', { ...length, bareUnit: 'cm' })).toMatchObject({ si: 721, unit: 'cm' });
  });

  test('every sixteenth and every thirty-second reads back exactly as entered', () => {
    const shops = [
      { shop: TRADE_UNITS, denominator: 16 },
      { shop: { ...TRADE_UNITS, length: 'in32' as const }, denominator: 32 },
    ];
    for (const { shop, denominator } of shops) {
      for (let step = 0; step <= 40 * denominator; step++) {
        const text = write((step / denominator) * 25.4, 'length', shop);
        const again = read(text, { quantity: 'length', shop });
        expect(again.ok && write(again.si, 'length', shop)).toBe(text);
        expect(again.ok && again.si).toBeCloseTo((step / denominator) * 25.4, 9);
      }
    }
  });
});

describe('writing', () => {
  test.each([
    [720.725, 'length', '28 3/8 in'],
    [9.525, 'length', '3/8 in'],
    [0, 'length', '0 in'],
    [-6.35, 'length', '−1/4 in'],
    [711.2, 'length', '28 in'],
    [25.39, 'length', '1 in'],
    [209.066, 'force', '47.0 lb'],
    [25.2716, 'mass', '390 gr'],
    [83.5152, 'speed', '274 fps'],
    [18, 'distance', '18.0 m'],
    [-0.04, 'angle', '0.0°'],
    [4.5, 'turns', '4 1/2 turns'],
  ] as const)('%d as a %s is “%s”', (si, quantity, text) => {
    expect(write(si, quantity, TRADE_UNITS)).toBe(text);
  });

  test('refuses to write what is not a number', () => {
    expect(() => write(NaN, 'length', TRADE_UNITS)).toThrow(RangeError);
  });
});
