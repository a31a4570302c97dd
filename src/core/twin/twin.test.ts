import { derive, type JobSnapshot, type ModelBow } from '../job';
import type { SetupKey } from '../setup';
import type { SheetDocument } from '../sheet';
import { aSheet } from '../testing/a-sheet';
import { aBow, aFinishedJob, aFitReading, FINISHED } from '../testing/fixtures';
import { told } from '../testing/told';
import { mm, newton, turns } from '../units';
import {
  modelOfCode,
  modelOfOldBow,
  modelOfSheet,
  twinActions,
  twinCount,
  twinMarks,
  twinPage,
  twinRows,
  unequalParts,
} from '.';

const first = aFinishedJob();
const sheet = aSheet({}, first);
const units = first.shop.units;
const modelOf = (document: SheetDocument): ModelBow => {
  const read = modelOfSheet(
    document,
    { source: 'sheet', title: 'Sheet 1 of ticket 1', sheet: { jobId: 'job-0', revision: 1 } },
    units,
  );
  if (!read.ok) throw new Error(read.message);
  return read.model;
};
const model = modelOf(sheet);

/** A job made like it, with these readings only. */
const spare = (
  readings: JobSnapshot['readings'],
  { bow = aBow(), like = model }: { bow?: JobSnapshot['bow']; like?: ModelBow } = {},
) => {
  const snapshot = aFinishedJob({
    job: { like, peakTargetN: null, moduleStepMm: null },
    rest: { readings, bow },
  });
  return { snapshot, derived: derive(snapshot) };
};
const without = (...keys: readonly string[]) => FINISHED.filter(({ key }) => !keys.includes(key));
const withOther = (key: SetupKey, si: number) => [
  ...FINISHED.filter((reading) => reading.key !== key),
  { ...FINISHED.find((reading) => reading.key === key)!, si, seq: 900 },
];
const actionOf = (id: string, { snapshot, derived }: ReturnType<typeof spare>) =>
  twinActions(snapshot, derived).find((action) => action.id === id)!;

describe('a model', () => {
  test('of a sheet holds its settings, its marks with what they were made from, and its parts', () => {
    expect(model.bow).toMatchObject({ name: 'Testhav Probe 31', hand: 'right', letOff: 0.8 });
    expect(model.values.find(({ key }) => key === 'drawLength')!.si).toBe(702);
    // Ticks are no settings.
    expect(model.values.some(({ key }) => key === 'fasteners')).toBe(false);
    expect(model.marks!.flight).toMatchObject({ speedMps: 70, peepHeightMm: 118 });
    expect(model.parts.map(({ slot }) => slot)).toContain('sight');
  });
  test('is refused of a sheet without a bow, and with a value that cannot be', () => {
    const read = (document: SheetDocument) =>
      modelOfSheet(document, { source: 'file', title: 'a file', sheet: null }, units);
    expect(read({ ...sheet, bow: null })).toMatchObject({ ok: false, reason: 'no-bow' });
    const settings = sheet.settings.map((one) =>
      one.key === 'drawLength' ? { ...one, si: 7020 } : one,
    );
    expect(read({ ...sheet, settings })).toMatchObject({ ok: false, reason: 'out-of-range' });
  });
  test.each<[string, (document: SheetDocument) => object]>([
    [
      'ten thousand marks',
      (one) => ({ marks: { ...one.marks!, rows: Array(10_000).fill(one.marks!.rows[0]) } }),
    ],
    ['a mark at 5,000 m', (one) => ({ marks: { ...one.marks!, firstM: 5000 } })],
    [
      'an arrow that stands still',
      (one) => ({ marks: { ...one.marks!, flight: { ...one.marks!.flight!, speedMps: 0 } } }),
    ],
    [
      'a setting twice',
      (one) => ({ settings: [...one.settings, one.settings.find(({ key }) => key === 'loop')!] }),
    ],
    ['a thousand parts', (one) => ({ parts: Array(1000).fill(one.parts[0]) })],
    ['a let-off of 500 %', (one) => ({ bow: { ...one.bow!, letOff: 5 } })],
    ['a bow of three metres', (one) => ({ bow: { ...one.bow!, axleToAxleMm: 3000 } })],
    ['a label of a megabyte', (one) => ({ parts: [{ ...one.parts[0]!, label: 'x'.repeat(1e6) }] })],
  ])('%s is refused before anything is drawn of it', (_, change) => {
    const strange = { ...sheet, ...change(sheet) } as SheetDocument;
    const given = { source: 'file', title: 'a file', sheet: null } as const;
    expect(modelOfSheet(strange, given, units)).toMatchObject({
      ok: false,
      reason: 'out-of-range',
    });
  });
  test('what was stale on the sheet is not taken over', () => {
    const settings = sheet.settings.map((one) =>
      one.key === 'peepHeight' ? { ...one, stale: 'the string was twisted' } : one,
    );
    const { values } = modelOf({ ...sheet, settings });
    expect(values.some(({ key }) => key === 'peepHeight')).toBe(false);
  });
  test('of a code holds numbers alone; of the old bow what was measured, with its let-off', () => {
    const code = modelOfCode(
      {
        ...{ ticket: 7, revision: 2, day: '2026-11-02', bow: 'A B', hand: 'left' },
        ...{ serial: null, shop: 'Elsewhere', marks: null },
        values: [{ key: 'braceHeight', si: 160 }],
      },
      units,
    );
    expect(code).toMatchObject({
      parts: [],
      marks: null,
      bow: { braceHeightMm: 160, letOff: null },
    });
    const nothing = aFinishedJob({ rest: { fitReadings: [] } });
    expect(modelOfOldBow(nothing)).toMatchObject({ ok: false, reason: 'nothing-measured' });
    const old = modelOfOldBow(
      aFinishedJob({
        rest: {
          fitReadings: [
            aFitReading(1, 'oldPeak', 200),
            aFitReading(2, 'oldHolding', 50),
            aFitReading(3, 'fittingBow', 705),
          ],
        },
      }),
    );
    expect(old).toMatchObject({ ok: true, model: { bow: { letOff: 0.75, name: null } } });
    expect(old.ok && old.model.values.map(({ key }) => key)).toEqual([
      'drawLength',
      'peakWeight',
      'holdingWeight',
    ]);
  });
});

describe('targets of a bow made like another', () => {
  test('on the same kind of bow its own settings are taken over too; on another the archer’s alone', () => {
    const same = spare([]).derived.context.like!;
    expect(same.holds).toMatchObject({ drawLength: 702, moduleTop: 698.5, peepTrueHeight: 118 });
    expect(same.starts).toMatchObject({ stringTwists: -3, limbTurnsUpper: 6, peepHeight: 152 });
    const other = spare([], { bow: aBow({ model: 'Other 33' }) }).derived.context.like!;
    expect(other.holds).toMatchObject({ drawLength: 702, peepTrueHeight: 118 });
    expect(other.holds.moduleTop).toBeUndefined();
    expect(other.holds.nockHeight).toBeUndefined();
  });
  test('length and weight are the model’s, whatever the fit says; a technician’s own goal stands over it', () => {
    const { context } = spare([]).derived;
    expect([context.fitDrawLengthMm, context.peakTargetN, context.moduleStepMm]).toEqual([
      702, 190, 698.5,
    ]);
    const own = aFinishedJob({
      job: { like: model, peakTargetN: 180, moduleStepMm: 711.2 },
      rest: { readings: [] },
    });
    expect(derive(own).context).toMatchObject({ peakTargetN: 180, moduleStepMm: 711.2 });
    expect(derive(own).context.like!.holds.moduleTop).toBeUndefined();
  });
});

describe('both bows side by side', () => {
  test('a finished twin is alike in everything that is judged', () => {
    const { snapshot, derived } = spare(FINISHED);
    const rows = twinRows(snapshot, derived);
    const { same, all } = twinCount(rows);
    expect(rows.filter(({ standing }) => standing === 'off')).toEqual([]);
    expect(same).toBe(all);
    expect(all).toBeGreaterThan(15);
    expect(twinActions(snapshot, derived).every(({ state }) => state === 'same')).toBe(true);
  });
  test('one beyond its tolerance is off, with by how much in the trade’s units', () => {
    const { snapshot, derived } = spare(withOther('loop', 12.7 + 3.175));
    const row = twinRows(snapshot, derived).find(({ key }) => key === 'loop')!;
    expect(row).toMatchObject({ standing: 'off', differs: expect.closeTo(3.175, 6) });
    expect(row.differsText).toBe('+1/8 in');
  });
  test('what is the bow’s own is not judged on another kind of bow', () => {
    const rows = (bow: JobSnapshot['bow']) => {
      const { snapshot, derived } = spare(withOther('centreShot', 24), { bow });
      return twinRows(snapshot, derived).find(({ key }) => key === 'centreShot')!.standing;
    };
    expect(rows(aBow())).toBe('off');
    expect(rows(aBow({ model: 'Other 33' }))).toBe('beside');
  });
  test('what was not read, or has to be read again, is open', () => {
    const { snapshot, derived } = spare(without('peepToPin'));
    const standing = (key: string) =>
      twinRows(snapshot, derived).find((row) => row.key === key)!.standing;
    expect(standing('peepToPin')).toBe('open');
  });
});

describe('what is done, in the order in which one moves the other', () => {
  test('an empty bow: all of it, length first, marks last', () => {
    const { snapshot, derived } = spare([]);
    const actions = twinActions(snapshot, derived);
    expect(actions.map(({ id }) => id)).toEqual([
      'length',
      'weight',
      'nock',
      'peep',
      'sight',
      'arrow',
      'marks',
    ]);
    expect(actions[0]!.say[0]).toMatch(/^Module to .*27 1\/2 in, the same on both cams$/);
    expect(actions[0]!.say[1]).toMatch(/^Take out 3 twists of the string/);
    expect(actions[1]!.say.at(-1)).toBe(
      'On the model they stood 6 turns out; this bow’s scale decides',
    );
    expect(actions[3]!.say[0]).toContain('above the nock to begin with');
    // Everything that wants the press is said to; the route puts it into one visit.
    expect(actions.filter(({ press }) => press).map(({ id }) => id)).toEqual(['length', 'peep']);
    expect(derived.plan.visits.filter(({ station }) => station === 'press')).toHaveLength(1);
  });

  test('too long by 3.6 mm: three twists by the shop’s rule of 1.2 mm, and what that moves', () => {
    const { snapshot, derived } = spare(withOther('drawLength', 705.6));
    const { say, moves, again, state, press } = actionOf('length', { snapshot, derived });
    expect([state, press]).toEqual(['off', true]);
    expect(say).toHaveLength(1);
    expect(say[0]).toMatch(/^Put in 3 twists of the string/);
    // 705.6 − 3 × 1.2 = 702.0 mm, 27 5/8 in to a sixteenth.
    expect(moves[0]).toMatch(/^draw length to about 27 5\/8 in/);
    expect(again).toContain('Peep above the arrow');
  });

  test('further off than anybody twists: said as it is, and nothing is put in for it', () => {
    const { snapshot, derived } = spare(withOther('drawLength', 720));
    const { say, moves, press } = actionOf('length', { snapshot, derived });
    expect(say).toHaveLength(1);
    expect(say[0]).toMatch(/more than 6 twists make up/);
    expect([moves, press]).toEqual([[], false]);
  });

  test('a peep too low: along the string by this bow’s own ratio, and what it does to the pins', () => {
    // 118 wanted, 112 there with 152 along the string: 6 mm / (112 / 152) = 8.14 mm.
    const { snapshot, derived } = spare(withOther('peepTrueHeight', 112));
    const { say, moves } = actionOf('peep', { snapshot, derived });
    expect(say).toEqual(['Up by 5/16 in along the string: that is 1/4 in at full draw']);
    expect(moves[0]).toBe('every pin about 1/4 in higher on the sight; the gaps stay');
  });

  test('a bow without a limit of turns is weighed, not turned', () => {
    const { snapshot, derived } = spare(without('limbTurnsUpper', 'limbTurnsLower', 'peakWeight'), {
      bow: aBow({ maxTurns: null }),
    });
    expect(actionOf('weight', { snapshot, derived }).say[0]).toContain('turn nothing');
  });

  test('without a model there is nothing to do', () => {
    const snapshot = aFinishedJob();
    expect(twinActions(snapshot, derive(snapshot))).toEqual([]);
    expect(twinPage(snapshot, derive(snapshot))).toBeNull();
  });
});

describe('what cannot be made equal', () => {
  const ids = (bow: JobSnapshot['bow'], like = model) => {
    const { snapshot, derived } = spare(FINISHED, { bow, like });
    return unequalParts(snapshot, derived);
  };
  test('on the same bow nothing', () => expect(ids(aBow())).toEqual([]));
  test('another let-off holds another weight: 190 N at 70 % is 57 N instead of 38', () => {
    const [one] = ids(aBow({ letOff: 0.7 }));
    expect(one!.id).toBe('letOff');
    // 57 N = 12.8 lb, 38 N = 8.5 lb.
    expect(one!.does).toContain('holds 12.8 lb instead of 8.5 lb');
    // With the same hold: 38 / 0.3 = 126.7 N = 28.5 lb, under the bow's lightest.
    expect(one!.closest).toBe('The same peak and another hold.');
    expect(ids(aBow({ letOff: 0.7, letOffChoices: [0.7, 0.75, 0.8] }))[0]!.closest).toContain(
      '80 %',
    );
  });
  test('another brace: less stroke, less speed; axles, cams, weight and length out of reach', () => {
    const found = ids(
      aBow({
        braceHeightMm: mm(190),
        axleToAxleMm: mm(850),
        camSystem: 'single',
        maxPeakN: newton(170),
        minPeakN: newton(120),
        modules: [{ label: 'A', drawLengthMm: mm(660) }],
        maxTurns: turns(8),
      }),
    );
    expect(found.map(({ id }) => id)).toEqual([
      'drawLength',
      'peakWeight',
      'braceHeight',
      'axleToAxle',
      'cams',
    ]);
    expect(found.find(({ id }) => id === 'braceHeight')!.does).toMatch(/ fps less speed/);
    expect(found[0]!.does).toContain('shorter than the model');
  });
  test('another sight is named with what it asks for', () => {
    const parts = model.parts.map((part) =>
      part.slot === 'sight' ? { ...part, label: 'Another sight' } : part,
    );
    expect(ids(aBow(), { ...model, parts })).toMatchObject([
      { id: 'part:sight', model: 'Another sight', does: expect.stringContaining('predictions') },
    ]);
  });
});

describe('marks carried over', () => {
  test('on a twin shot at the same speed they are the model’s', () => {
    const { snapshot, derived } = spare(FINISHED);
    const { rows } = twinMarks(snapshot, derived)!;
    for (const { hereMm, modelMm } of rows) expect(hereMm).toBeCloseTo(modelMm, 6);
  });
  test('a slower bow has them further apart; not shot they are predictions', () => {
    const { snapshot, derived } = spare(withOther('arrowSpeed', 65));
    const rows = twinMarks(snapshot, derived)!.rows.filter(({ distanceM }) => distanceM > 20);
    expect(rows.length).toBeGreaterThan(2);
    for (const { hereMm, modelMm, shot } of rows) {
      expect(hereMm!).toBeGreaterThan(modelMm);
      expect(shot).toBe(false);
    }
    // Without drag the pin drops by g·d·R/(2v²) nearly: (70/65)² = 1.16 times; drag adds a little.
    const far = rows.at(-1)!;
    expect(far.hereMm! / far.modelMm).toBeGreaterThan(1.1);
    expect(far.hereMm! / far.modelMm).toBeLessThan(1.25);
  });
  test('a model that does not say what they were made from carries none', () => {
    const like = { ...model, marks: { ...model.marks!, flight: null } };
    const { snapshot, derived } = spare(FINISHED, { like });
    expect(twinMarks(snapshot, derived)).toBeNull();
  });
});

test('the page of both bows says what the rows say', () => {
  const { snapshot, derived } = spare(withOther('loop', 20));
  const page = twinPage(snapshot, derived)!;
  const cells = page.blocks.flatMap(({ rows }) => rows.map((row) => row.map(({ text }) => text)));
  expect(cells.find(([name]) => name === 'Loop')!.at(-1)).toBe('not alike');
  expect(page.count).toMatch(/^\d+ of \d+ alike/);
  expect(page.bows[1]).toContain('Sheet 1 of ticket 1');
  expect(told(page)).toMatchSnapshot();
});

/** A model whose numbers were others by so much. */
const modelBy = (by: Partial<Record<SetupKey, number>>): ModelBow => ({
  ...model,
  values: model.values.map((value) =>
    value.si === null ? value : { ...value, si: value.si + (by[value.key as SetupKey] ?? 0) },
  ),
});
const CAMS_APART = aBow({
  ...{ camSystem: 'single', letOff: 0.65, braceHeightMm: mm(150), axleToAxleMm: mm(700) },
  ...{ maxPeakN: newton(170), minPeakN: newton(120), maxTurns: turns(8) },
  modules: [{ label: 'A', drawLengthMm: mm(660) }],
});

describe('all that is said of two bows, as it was when somebody last read it', () => {
  test.each<[string, ReturnType<typeof spare>]>([
    ['alike', spare(FINISHED)],
    ['nothing measured yet', spare([])],
    ['without where the peep is', spare(without('peepTrueHeight', 'arrowMass'))],
    ['the peep not in yet', spare(without('peepTrueHeight', 'peepHeight'))],
    [
      'longer, heavier, higher, further',
      spare(FINISHED, {
        like: modelBy({
          ...{ drawLength: 6, peakWeight: 9, peepTrueHeight: 4, peepToPin: 18 },
          ...{ nockingPoint: 2, arrowMass: 1.5, braceHeight: 5, arrowSpeed: 3, loop: 3 },
        }),
      }),
    ],
    [
      'shorter, lighter, lower, nearer',
      spare(FINISHED, {
        like: modelBy({
          ...{ drawLength: -5, peakWeight: -12, peepTrueHeight: -3, peepToPin: -25 },
          ...{ nockingPoint: -2, arrowMass: -2, braceHeight: -4, arrowSpeed: -4, loop: -3 },
        }),
      }),
    ],
    [
      'the peep raised, and read on this bow alone along the string',
      spare(withOther('peepHeight', 130)),
    ],
    ['set to another length since', spare(withOther('drawLength', 712))],
    ['another kind of bow', spare(FINISHED, { bow: CAMS_APART })],
    [
      'other parts',
      spare(FINISHED, {
        like: {
          ...model,
          parts: model.parts.map((part) => ({ ...part, label: `Other ${part.slot}` })),
        },
      }),
    ],
  ])('%s', (_, { snapshot, derived }) => {
    expect(
      told({
        count: twinCount(twinRows(snapshot, derived)),
        actions: twinActions(snapshot, derived),
        rows: twinRows(snapshot, derived).filter(({ standing }) => standing !== 'same'),
        unequal: unequalParts(snapshot, derived),
        marks: twinMarks(snapshot, derived),
      }),
    ).toMatchSnapshot();
  });
});
