import { readFileSync } from 'node:fs';
import { FirstSheetSchema } from './first-sheet';
import { assertSheet, readSheet } from './sheet';
import { SheetSchema } from './sheet-schema';
import {
  aBow,
  aFinishedJob,
  aPart,
  aReading,
  aSnapshot,
  FINISHED,
  FULL_KIT,
} from '@/core/testing/fixtures';
import { HANDOVER_CAUTIONS } from '@/core/job';
import { sheetChanges, type SheetStamp } from '@/core/sheet';
import { A_STAMP, aSheet } from '@/core/testing/a-sheet';

const sheetOf = (snapshot: ReturnType<typeof aSnapshot>, with_: Partial<SheetStamp> = {}) =>
  aSheet(with_, snapshot);

describe('the build sheet', () => {
  const sheet = sheetOf(aFinishedJob());

  test('keeps to its published schema', () => expect(() => assertSheet(sheet)).not.toThrow());
  test('survives being written and read', () =>
    expect(JSON.parse(JSON.stringify(sheet))).toEqual(sheet));
  test('the same job gives the same sheet', () => expect(sheetOf(aFinishedJob())).toEqual(sheet));

  test('holds every value as measured, with its number, its wanted band and who', () => {
    expect(sheet.settings).toHaveLength(FINISHED.length);
    const peak = sheet.settings.find(({ key }) => key === 'peakWeight')!;
    expect(peak).toMatchObject({
      text: '42.7 lb at 6 turns',
      si: 190,
      si2: 6,
      standing: 'in',
      stale: null,
      who: 'T. Okoro',
    });
    expect(peak.wanted).toBe('41.7 to 43.7 lb');
  });
  test('only the newest reading of a value stands on it', () => {
    const readings = [...FINISHED, aReading(80, 'bowMass', 2500), aReading(81, 'bowMass', 2600)];
    const masses = sheetOf(aFinishedJob({ rest: { readings } })).settings.filter(
      ({ key }) => key === 'bowMass',
    );
    expect(masses.map(({ si }) => si)).toEqual([2600]);
  });
  test('says the bow with its limit, the fit with its readings', () => {
    expect(sheet.bow).toMatchObject({ name: 'Testhav Probe 31', maxTurns: 8, overruled: null });
    expect(sheet.fit.readings).toHaveLength(2);
    expect(sheet.fit.trials).toHaveLength(3);
    expect(sheet.fit.drawLengthText).toMatch(/in$/);
  });
  test('adds up the money; own parts cost nothing', () => {
    expect(sheet.totalCents).toBe(89900 + 6 * 10000);
    const own = {
      ...aPart(null, 'release', { owned: true, label: 'her own' }),
      arrivesDay: null,
      orderedAt: null,
      arrivedAt: null,
      handedOver: false,
      short: [],
      build: null,
    };
    const parts = [...FULL_KIT.filter(({ slot }) => slot !== 'release'), own];
    const other = sheetOf(aFinishedJob({ rest: { parts } }));
    expect(other.totalCents).toBe(89900 + 5 * 10000);
    expect(other.parts.find(({ slot }) => slot === 'release')).toMatchObject({
      owned: true,
      priceCents: 0,
    });
  });
  test('marks end where the housing comes into the way', () => {
    const { rows, furthestClearM, basis } = sheet.marks!;
    expect(
      rows.every(({ distanceM }) => furthestClearM === null || distanceM <= furthestClearM),
    ).toBe(true);
    expect(basis).toContain('arrow mass 380 gr, measured');
  });
  test('no marks rather than guessed ones', () => {
    const readings = FINISHED.filter(({ key }) => key !== 'peepToPin');
    expect(sheetOf(aFinishedJob({ rest: { readings } })).marks).toBeNull();
  });
  test('what is stale is told, with the reason, and stands under open', () => {
    const readings = [...FINISHED, aReading(90, 'stringTwists', 2)];
    const open = sheetOf(aFinishedJob({ rest: { readings } }), { openReason: 'he travels' });
    expect(open.settings.find(({ key }) => key === 'peepRotation')!.stale).toContain(
      'the string was twisted',
    );
    expect(open.open.length).toBeGreaterThan(0);
    expect(open.openReason).toBe('he travels');
  });
  test('signed steps stand on it with reason and name', () => {
    const exceptions = [
      {
        stepId: 'weights',
        reason: 'scale is out',
        who: 'M. Lindauer',
        at: A_STAMP.madeAt,
        seq: 99.5,
      },
    ];
    expect(sheetOf(aFinishedJob({ rest: { exceptions } })).exceptions).toEqual([
      { step: 'Holding weight at the wall', reason: 'scale is out', who: 'M. Lindauer' },
    ]);
  });
  test('a minor’s guardian is named; an adult has none', () => {
    expect(sheet.archer.guardianName).toBeNull();
    const minor = { minor: true, guardianName: 'Femke' };
    expect(sheetOf(aFinishedJob({ archer: minor })).archer.guardianName).toBe('Femke');
  });
  test('tells all cautions and the day to come back', () => {
    expect(sheet.cautions).toEqual(HANDOVER_CAUTIONS.map(({ text }) => text));
    expect(sheet.comeBackDay).toBe('2026-12-08');
  });
  test('a job with nothing in it still makes a sheet that says so', () => {
    const bare = sheetOf(aSnapshot({ rest: { bow: aBow({ maxTurns: null }) } }));
    expect(() => assertSheet(bare)).not.toThrow();
    expect(bare).toMatchObject({ settings: [], parts: [], marks: null });
    expect(bare.bow!.maxTurns).toBeNull();
  });
  test('a document that breaks the schema is never taken for a sheet', () => {
    expect(() => assertSheet({ ...sheet, revision: 0 })).toThrow('/revision');
    expect(() => assertSheet({ ...sheet, extra: 1 } as never)).toThrow('extra');
  });
});

test.each([
  ['build-sheet.schema.json', SheetSchema],
  ['build-sheet-1.schema.json', FirstSheetSchema],
])('the published file %s is the schema the program checks with', (name, schema) => {
  const file = JSON.parse(readFileSync(`docs/formats/${name}`, 'utf8')) as object;
  const { $schema, ...published } = file as { $schema: string };
  expect($schema).toContain('json-schema.org');
  expect(published).toEqual(JSON.parse(JSON.stringify(schema)));
});

describe('a sheet that was kept or handed in', () => {
  const first = JSON.parse(
    readFileSync('src/contracts/testing/sheet-version-1.json', 'utf8'),
  ) as Record<string, unknown> & { settings: { key: string; text: string; si: number }[] };
  const now = sheetOf(aFinishedJob());
  const reasonOf = (value: unknown) => {
    const read = readSheet(value);
    return read.ok ? null : read.reason;
  };

  test('of today is taken as it is', () =>
    expect(readSheet(JSON.parse(JSON.stringify(now)))).toEqual({ ok: true, sheet: now }));
  test('of version 1 is brought up: every value stands, with where it is measured', () => {
    const read = readSheet(first);
    if (!read.ok) throw new Error(read.reason);
    const { sheet } = read;
    expect(() => assertSheet(sheet)).not.toThrow();
    expect(sheet.settings.map(({ key, text, si }) => [key, text, si])).toEqual(
      first.settings.map(({ key, text, si }) => [key, text, si]),
    );
    expect(sheet.settings.find(({ key }) => key === 'nockHeight')).toMatchObject({
      group: 'rest',
      datum: 'nock above (+) square, bow square on the string',
    });
    expect(sheet.bow).toMatchObject({ camCode: 'hybrid', serial: 'GR-34-1187', maxPeakN: null });
    expect(sheet.units).toMatchObject({ length: 'in16', force: 'lb', distance: 'm' });
    // As it was printed: counted from its first row.
    expect(sheet.marks).toMatchObject({ firstText: '10 m', firstConfirmed: null, flight: null });
    expect(sheet.marks!.rows[0]!.belowFirstMm).toBe(0);
  });
  test('of version 1 can be compared with one of today', () => {
    const read = readSheet(first);
    if (!read.ok) throw new Error(read.reason);
    expect(sheetChanges(read.sheet, now).length).toBeGreaterThan(5);
  });
  test.each([
    ['nothing', null, 'no build sheet'],
    ['a number', 7, 'no build sheet'],
    ['a list', [], 'no build sheet'],
    ['another program’s', { format: 'bow-log', formatVersion: 1 }, 'no build sheet'],
    ['without a version', { format: 'waffenrad-build-sheet' }, 'does not say of which version'],
    ['of a later version', { ...now, formatVersion: 3 }, 'version 3, this program reads up to 2'],
    ['with half of it missing', { format: now.format, formatVersion: 2 }, 'damaged'],
    ['with a number that is words', { ...now, totalCents: 'much' }, 'damaged: /totalCents'],
    ['with what nobody knows', { ...now, extra: 1 }, 'damaged: /extra'],
  ])('%s is refused with why', (_, value, words) => expect(reasonOf(value)).toContain(words));
});
