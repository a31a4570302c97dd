import { aSheet } from '../testing/a-sheet';
import { aFinishedJob, aPart, aReading, FINISHED, FULL_KIT } from '../testing/fixtures';
import { sheetChanges, sheetPages, type SheetDocument } from '.';

const made = (
  readings: typeof FINISHED,
  revision = 1,
  before: SheetDocument | null = null,
  parts = FULL_KIT,
) => {
  const more = { arrowParts: null, aims: [], before };
  return aSheet({ revision }, aFinishedJob({ rest: { readings, parts } }), more);
};
const first = made(FINISHED);

describe('what is not as on the revision before', () => {
  test('the same job again: nothing', () => {
    const second = made(FINISHED, 2, first);
    expect(second.since).toEqual({ revision: 1, changes: [] });
    expect(sheetPages(second, { prices: true, when: String }).one.since).toBe(
      'Nothing was moved since revision 1',
    );
  });
  test('a first sheet has nothing before it', () => expect(first.since).toBeNull());
  test('a turned peep, a measure within its tolerance, a tick that is new', () => {
    const second = made(
      [
        ...FINISHED,
        aReading(80, 'peepHeight', 160),
        aReading(81, 'axleToAxle', 788),
        aReading(82, 'dampenersFitted', 1),
      ],
      2,
      first,
    );
    const changes = new Map(second.since!.changes.map((change) => [change.key, change]));
    expect(changes.get('peepHeight')).toMatchObject({
      to: '6 5/16 in',
      within: false,
    });
    expect(changes.get('axleToAxle')).toMatchObject({ within: true });
    expect(changes.get('dampenersFitted')).toMatchObject({ from: null, to: 'done' });
    const { one } = sheetPages(second, { prices: true, when: String });
    const peep = one.groups.flatMap(({ lines }) => lines).find(({ key }) => key === 'peepHeight')!;
    expect(peep.was).toBe(first.settings.find(({ key }) => key === 'peepHeight')!.text);
    expect(one.since).toMatch(/not as on revision 1, marked with what it was; 1 measured again/);
  });
  test('a value that is gone, another part, other marks', () => {
    const parts = FULL_KIT.map((part) =>
      part.slot === 'sight'
        ? { ...part, ...aPart(part.item, 'sight', { label: 'Another' }) }
        : part,
    );
    const second = made(
      [
        ...FINISHED.filter(({ key }) => key !== 'loopPlace'),
        aReading(90, 'arrowSpeed', 88),
        aReading(91, 'paperTear', 1, { si2: 0 }),
      ],
      2,
      null,
      parts,
    );
    const changes = new Map(sheetChanges(first, second).map((change) => [change.key, change]));
    expect(changes.get('loopPlace')).toMatchObject({ to: null });
    expect(changes.get('part:sight')).toMatchObject({ to: 'Another' });
    expect(changes.get('marks')!.from).toMatch(/^\d+ m: .* mm$/);
  });
  test('the order of the two matters: what was new is gone', () => {
    const second = made([...FINISHED, aReading(82, 'dampenersFitted', 1)], 2, first);
    expect(sheetChanges(second, first)).toEqual([
      { key: 'dampenersFitted', name: 'Dampeners fitted', from: 'done', to: null, within: false },
    ]);
  });
  test('the same number in other words is no change', () => {
    const reworded = {
      ...first,
      settings: first.settings.map((setting) =>
        setting.key === 'moduleTop' ? { ...setting, text: '27 1/2 in' } : setting,
      ),
    };
    expect(sheetChanges(reworded, first)).toEqual([]);
  });
  test('another bow, no bow, no marks: each said once, and none of it is within anything', () => {
    const bowless = { ...first, bow: null };
    const other = { ...first, bow: { ...first.bow!, name: 'Another 33' } };
    const of = (before: SheetDocument, after: SheetDocument, key: string) =>
      sheetChanges(before, after).filter((change) => change.key === key);
    expect(of(first, first, 'bow')).toEqual([]);
    expect(of(first, other, 'bow')).toMatchObject([
      { name: 'Bow', to: expect.stringContaining('Another 33'), within: false },
    ]);
    expect(of(first, bowless, 'bow')).toMatchObject([{ to: null, within: false }]);
    expect(of(bowless, first, 'bow')).toMatchObject([{ from: null, within: false }]);
    expect(of(first, { ...first, marks: null }, 'marks')).toEqual([
      { key: 'marks', name: 'Sight marks', from: 'counted from 18 m', to: null, within: false },
    ]);
    expect(of({ ...first, marks: null }, { ...first, marks: null }, 'marks')).toEqual([]);
    const nearer = { ...first, marks: { ...first.marks!, firstM: 20, firstText: '20 m' } };
    expect(of(first, nearer, 'marks')).toMatchObject([{ to: 'counted from 20 m', within: false }]);
  });
});
