import { TRADE_UNITS } from '@/core/units';
import { mirrored, padLayout, pressKey, type PadKey } from './pad-keys';

const digit = (d: string): PadKey => ({ do: 'digit', digit: d });
const eighths = (n: number): PadKey => ({ do: 'fraction', numerator: n, denominator: 8 });
const typed = (...keys: PadKey[]) => keys.reduce(pressKey, '');

describe('the fraction pad', () => {
  test.each<[string, PadKey[], string]>([
    ['digits', [digit('2'), digit('7')], '27'],
    ['a fraction after a whole', [digit('2'), digit('7'), eighths(5)], '27 5/8'],
    ['another fraction instead', [digit('2'), digit('7'), eighths(5), eighths(3)], '27 3/8'],
    ['a fraction alone', [eighths(3)], '3/8'],
    ['a decimal', [digit('2'), { do: 'point' }, digit('5')], '2.5'],
    ['one point only', [digit('2'), { do: 'point' }, { do: 'point' }, digit('5')], '2.5'],
    [
      'a unit, changed',
      [digit('7'), { do: 'unit', unit: 'mm' }, { do: 'unit', unit: 'cm' }],
      '7 cm',
    ],
    [
      'a unit, taken away',
      [digit('7'), { do: 'unit', unit: 'mm' }, { do: 'unit', unit: 'mm' }],
      '7',
    ],
    ['a sign, on', [digit('2'), { do: 'sign' }], '-2'],
    ['a sign, off', [digit('2'), { do: 'sign' }, { do: 'sign' }], '2'],
    ['sixteenths that add up', [digit('2'), { do: 'sixteenth' }, { do: 'sixteenth' }], '2 1/8'],
    ['back over a fraction', [digit('2'), eighths(5), { do: 'back' }], '2'],
    ['back over a unit', [digit('2'), { do: 'unit', unit: 'in' }, { do: 'back' }], '2'],
    ['back to nothing', [digit('2'), { do: 'back' }, { do: 'back' }], ''],
  ])('%s', (_, keys, text) => expect(typed(...keys)).toBe(text));

  test('a sixteenth on 27 15/16 is 28', () => {
    expect(pressKey('27 15/16', { do: 'sixteenth' })).toBe('28');
  });
  test('no fraction on a decimal, no digit after a fraction', () => {
    expect(pressKey('27.5', eighths(3))).toBe('27.5');
    expect(pressKey('27 3/8', digit('4'))).toBe('27 3/8');
  });
  test('text typed by hand is not destroyed', () => {
    expect(pressKey("5' 11", { do: 'sixteenth' })).toBe("5' 11");
    expect(pressKey('abc', { do: 'back' })).toBe('ab');
  });
  test('keys suit the quantity', () => {
    const last = (...args: Parameters<typeof padLayout>) =>
      padLayout(...args).map((row) => row.at(-1));
    expect(padLayout('length', TRADE_UNITS, false)[0]).toHaveLength(6);
    expect(last('length', TRADE_UNITS, true, 'mm')).toEqual([
      { do: 'unit', unit: 'in' },
      { do: 'unit', unit: 'mm' },
      { do: 'unit', unit: 'cm' },
      { do: 'sign' },
    ]);
    expect(last('force', TRADE_UNITS, false)).toEqual([
      { do: 'unit', unit: 'lb' },
      { do: 'unit', unit: 'N' },
      null,
      null,
    ]);
    expect(last('turns', TRADE_UNITS, false)[1]).toEqual({
      do: 'fraction',
      numerator: 1,
      denominator: 2,
    });
    expect(padLayout('time', TRADE_UNITS, false)[0]).toHaveLength(3);
  });
});

describe('the pad for a left hand', () => {
  const keys = (row: readonly (PadKey | null)[]) => row.map((key) => key && Object.values(key)[1]);
  const usual = padLayout('length', TRADE_UNITS, false);
  test('the digits lie at the other side, in the order they are read', () => {
    const [row] = mirrored(usual);
    expect(keys(row!).slice(-3)).toEqual(['7', '8', '9']);
    expect(row).toHaveLength(usual[0]!.length);
  });
  test('no key is lost', () => {
    const all = (layout: typeof usual) =>
      layout
        .flat()
        .map((key) => JSON.stringify(key))
        .sort();
    expect(all(mirrored(usual))).toEqual(all(usual));
  });
});
