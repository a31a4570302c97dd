import { aBow } from '@/core/testing/fixtures';
import { METRIC_UNITS, TRADE_UNITS } from '@/core/units';
import { BOW_COLUMNS } from '../bow-csv';
import { inShopUnits, readCell, writeCell } from '.';

const column = (header: string) => BOW_COLUMNS.find((one) => one.header === header)!;
const bow = aBow();

describe('a bow’s columns in a metric shop', () => {
  const metric = (header: string) => inShopUnits(column(header), METRIC_UNITS);
  test.each([
    ['brace_height_in', 'Brace height, mm', '165.1', 165.1],
    ['min_peak_lb', 'Lightest, N', '178', 178],
    ['rated_arrow_gr', 'Rated with, g', '22.7', 22.7],
    ['rated_speed_fps', 'Rated speed, m/s', '97', 97],
  ])('%s is “%s”, and %s is read as it stands', (header, name, cell, si) => {
    expect(metric(header).name).toBe(name);
    expect(readCell(metric(header), cell)).toMatchObject({ ok: true, value: si });
  });
  test('another unit may be typed all the same', () =>
    expect(readCell(metric('brace_height_in'), '6 1/2 in')).toMatchObject({
      ok: true,
      value: expect.closeTo(165.1, 6) as number,
    }));
  test('what is empty, or several, stays so', () => {
    expect(readCell(metric('string_length_in'), '')).toEqual({ ok: true, value: null });
    expect(readCell(metric('cable_lengths_in'), '870 880')).toEqual({
      ok: true,
      value: [870, 880],
    });
  });
  test('module positions and their refusals', () => {
    const answer = readCell(metric('modules'), 'A=635 5/B=647.7');
    expect(answer).toMatchObject({
      ok: true,
      value: [
        { label: 'A', drawLengthMm: 635 },
        { label: 'B', topLabel: '5', drawLengthMm: 647.7 },
      ],
    });
    const wrong = readCell(metric('modules'), 'A=25');
    expect(!wrong.ok && wrong.message).toBe('“A=25”: the length must be 355.6 to 889 mm');
  });
  test('refusals speak its units', () => {
    const wrong = readCell(metric('brace_height_in'), '20');
    expect(!wrong.ok && wrong.message).toMatch(/mm/);
    expect(!wrong.ok && wrong.message).not.toMatch(/\bin\b/);
  });
  test('written and read again nothing moves by more than a twentieth of a millimetre', () => {
    for (const one of BOW_COLUMNS) {
      const shown = inShopUnits(one, METRIC_UNITS);
      const value = readCell(shown, writeCell(shown, bow));
      expect([one.header, value.ok]).toEqual([one.header, true]);
      if (value.ok && typeof value.value === 'number')
        expect(Math.abs(value.value - (one.get(bow) as number))).toBeLessThan(0.06);
    }
  });
});

test('a trade shop’s form is the file’s own', () => {
  for (const one of BOW_COLUMNS) {
    const shown = inShopUnits(one, TRADE_UNITS);
    expect(shown.name.startsWith(one.name)).toBe(true);
    expect(writeCell(shown, bow)).toBe(writeCell(one, bow));
  }
});
