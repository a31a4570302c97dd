import { REGISTRY } from '../../setup';
import { aSheet } from '../../testing/a-sheet';
import { aBow } from '../../testing/fixtures';
import { CODE_BYTES } from './code-fields';
import { codeText } from './code-text';
import { readCode } from './read-code';

const sheet = aSheet({ revision: 2 });
const bytes = (text: string) => Buffer.byteLength(text);
const reasonOf = (text: string) => {
  const read = readCode(text);
  return read.ok ? null : read.reason;
};

describe('the text of a code', () => {
  const text = codeText(sheet)!;

  test('is read as it stands and holds at most 600 bytes', () => {
    expect(bytes(text)).toBeLessThanOrEqual(CODE_BYTES);
    expect(text).toMatch(/^WAFFENRAD 1\nsheet 1001\.2 2026-11-24\nbow Testhav Probe 31, right\n/);
    expect(text).toContain('\npeak 190 N\n');
    expect(text).toContain('\ntop module 698.5 mm\n');
  });
  test('reads back to the sheet’s own numbers, as fine as they are measured', () => {
    const read = readCode(text);
    if (!read.ok) throw new Error(read.message);
    expect(read).toMatchObject({
      ticket: 1001,
      revision: 2,
      day: '2026-11-24',
      bow: 'Testhav Probe 31',
      hand: 'right',
      serial: 'SF-31-0412',
    });
    expect(read.values.length).toBeGreaterThan(12);
    for (const { key, si } of read.values) {
      const { tolerance } = REGISTRY.find((value) => value.key === key)!;
      const kept = sheet.settings.find((setting) => setting.key === key)!.si!;
      expect(Math.abs(si - kept)).toBeLessThanOrEqual(Math.max(0.05, tolerance / 10) + 1e-9);
    }
    for (const row of read.marks!.rows) {
      const kept = sheet.marks!.rows.find(
        ({ distanceM }) => Math.abs(distanceM - row.distanceM) < 0.1,
      )!;
      expect(row.belowFirstMm).toBeCloseTo(kept.belowFirstMm, 1);
    }
  });
  test('long names are cut, never the number of the sheet; a line break in a name starts no line', () => {
    const long = codeText({
      ...sheet,
      bow: { ...sheet.bow!, name: `${'Ä'.repeat(300)}\npeak 999 N` },
      shop: { ...sheet.shop, name: 'ö'.repeat(300) },
    })!;
    expect(bytes(long)).toBeLessThanOrEqual(CODE_BYTES);
    const read = readCode(long);
    expect(read).toMatchObject({ ok: true, ticket: 1001 });
    expect(read.ok && read.values.find(({ key }) => key === 'peakWeight')!.si).toBe(190);
  });
  test('a sheet without a bow has none; one without marks has its numbers', () => {
    expect(codeText({ ...sheet, bow: null })).toBeNull();
    const read = readCode(codeText({ ...sheet, marks: null })!);
    expect(read).toMatchObject({ ok: true, marks: null });
  });
  test('a left-handed bow of no known number', () => {
    const bare = { ...sheet, bow: { ...sheet.bow!, hand: 'left', serial: null } };
    expect(readCode(codeText(bare)!)).toMatchObject({ hand: 'left', serial: null });
    expect(aBow().hand).toBe('right');
  });
  test('windows’ line ends and blank lines are read', () =>
    expect(readCode(`\r\n${text.replaceAll('\n', '\r\n')}\r\n\r\n`)).toMatchObject({ ok: true }));
});

describe('what is no code is refused with why', () => {
  const text = codeText(sheet)!;
  test.each([
    ['nothing', '', 'other-code'],
    ['an address', 'https://example.org/abc', 'other-code'],
    ['another program’s', 'WIFI:S:net;T:WPA;P:secret;;', 'other-code'],
    ['a later version', text.replace('WAFFENRAD 1', 'WAFFENRAD 7'), 'later-version'],
    ['a value out of range', text.replace('peak 190 N', 'peak 9000 N'), 'out-of-range'],
    ['a wrong sign', text.replace('peak 190 N', 'peak -190 N'), 'out-of-range'],
    ['another unit', text.replace('peak 190 N', 'peak 42 lb'), 'unknown-line'],
    ['a value twice', `${text}\npeak 190 N`, 'twice'],
    ['a line nobody knows', `${text}\nfletching 3`, 'unknown-line'],
    ['marks that are none', text.replace(/marks .*/, 'marks m mm below 20: x 3'), 'unknown-line'],
    ['half of it', text.split('\n').slice(0, 1).join('\n'), 'damaged'],
    ['a day that is none', text.replace('2026-11-24', '2026-13-44'), 'damaged'],
    ['a novel', 'WAFFENRAD 1\n'.repeat(900), 'too-long'],
  ])('%s', (_, given, reason) => expect(reasonOf(given)).toBe(reason));
});

test('what is left out first as the marks grow more, as it was when somebody last read it', () => {
  const row = sheet.marks!.rows[0]!;
  const kept = [2, 6, 12, 24, 40, 60, 90, 140, 200].map((count) => {
    const rows = Array.from({ length: count }, (_, i) => ({
      ...row,
      distanceM: 10 + i / 2,
      belowFirstMm: 0.35 * i,
    }));
    const lines = codeText({ ...sheet, marks: { ...sheet.marks!, rows } })!.split('\n');
    const marks = lines.find((line) => line.startsWith('marks')) ?? '';
    return `${count}: ${lines.length} lines, ${marks.split(',').length} marks, ${lines.at(-2)}`;
  });
  expect(kept).toMatchSnapshot();
});
