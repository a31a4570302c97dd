import { aFinishedJob, aReading, FINISHED } from '../testing/fixtures';
import { derive } from './derive';
import { cautionsAgain, newVisit, nextVisitDay, visitKeys, visitRows } from './visit';
import type { VisitKind } from './visit-types';

const stamp = { at: '2026-12-08T09:00:00.000Z', who: 'T.' };
const jobOf = (more: readonly ReturnType<typeof aReading>[] = []) => {
  const snapshot = aFinishedJob({ rest: { readings: [...FINISHED, ...more] } });
  return { snapshot, derived: derive(snapshot) };
};
const visitOf = (kind: VisitKind = 'settled') => {
  const { snapshot, derived } = jobOf();
  return newVisit(kind, 'creaks', snapshot, derived, stamp);
};

describe('a bow that is back', () => {
  test('what settles is looked at, at rest first, tightened last; only what was taken', () => {
    const { keys } = visitOf();
    expect(keys).toEqual(expect.arrayContaining(['braceHeight', 'axleToAxle', 'peakWeight']));
    expect(keys.indexOf('braceHeight')).toBeLessThan(keys.indexOf('peepRotation'));
    expect(keys.indexOf('timing')).toBeLessThan(keys.indexOf('firstMark'));
    expect(keys.at(-1)).toBe('fasteners');
    const taken = new Set(FINISHED.map(({ key }) => key));
    expect(keys.every((key) => taken.has(key))).toBe(true);
  });
  test('after other strings: just what they make stale', () => {
    const { derived } = jobOf([aReading(300, 'newString', 1)]);
    const keys = visitKeys('string', derived);
    const stale = derived.plan.stale.map(({ key }) => key);
    expect(keys.length).toBeGreaterThan(5);
    expect(keys.every((key) => stale.includes(key))).toBe(true);
    expect(keys).not.toContain('sightBase');
  });
  test('each value as it left and as it is now, with the way it went', () => {
    const visit = visitOf();
    const before = FINISHED.find(({ key }) => key === 'braceHeight')!.si!;
    const { derived } = jobOf([
      aReading(301, 'braceHeight', before + 6),
      aReading(302, 'axleToAxle', FINISHED.find(({ key }) => key === 'axleToAxle')!.si! - 1),
      aReading(303, 'fasteners', 1),
    ]);
    const rows = new Map(visitRows(visit, derived.history).map((row) => [row.key, row]));
    expect(rows.get('braceHeight')).toMatchObject({ drift: 6, within: false });
    expect(rows.get('axleToAxle')).toMatchObject({ drift: -1, within: true });
    expect(rows.get('fasteners')).toMatchObject({ drift: null, within: null });
    expect(rows.get('fasteners')!.now).not.toBeNull();
    expect(rows.get('peakWeight')).toMatchObject({ now: null, drift: null });
  });
  test('cautions are told again only where something new applies', () => {
    const visit = visitOf();
    const again = (...more: ReturnType<typeof aReading>[]) =>
      cautionsAgain(visit, jobOf(more).derived.history);
    expect(again()).toEqual([]);
    expect(again(aReading(301, 'peakWeight', 191))).toEqual([]);
    expect(again(aReading(301, 'peakWeight', 205))).toEqual(['limbBolts']);
    expect(again(aReading(301, 'limbTurnsUpper', 5))).toEqual(['limbBolts']);
    expect(again(aReading(301, 'moduleTop', 711.2))).toEqual(['drawSafely']);
    expect(again(aReading(301, 'newString', 1))).toEqual(['look']);
    expect(again(aReading(301, 'part:rest', null, { choice: 'another' }))).toEqual(['look']);
  });
  test('the second visit is asked for soon, later ones by months', () => {
    expect(nextVisitDay(null, '2026-11-24')).toBe('2026-12-08');
    expect(nextVisitDay(visitOf(), '2026-12-08')).toBe('2027-03-08');
  });
});
