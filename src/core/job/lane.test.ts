import {
  aBow,
  aFinishedJob,
  aPart,
  anItem,
  aReading,
  FINISHED,
  FULL_KIT,
} from '../testing/fixtures';
import { MOVED_BY_PAPER, targetOf, type Reading, type SetupKey } from '../setup';
import { staleValues } from '../ripple';
import type { Adjustment } from '../tuning';
import { metre } from '../units';
import {
  confirmedShots,
  derive,
  jobMarks,
  jobPaper,
  jobSpeed,
  jobTape,
  levelCosts,
  movedValues,
  bareShaftHistory,
  leavesBand,
  paperHistory,
  paperMove,
  type TapeWish,
} from '.';

/** Readings after a finished job's, in their order. */
const after = (...rows: [SetupKey, number | null, Partial<Reading>?][]) => [
  ...FINISHED,
  ...rows.map(([key, si, more], i) => aReading(500 + i, key, si, more)),
];
const job = (readings: readonly Reading[], more: Parameters<typeof aFinishedJob>[0] = {}) =>
  aFinishedJob({ ...more, rest: { readings, ...more.rest } });
const paper = { method: MOVED_BY_PAPER };

describe('a move is a change of a set-up value', () => {
  test.each<[Adjustment, 'right' | 'left', 'none' | 'top' | 'both', [SetupKey, number][]]>([
    ['restSideways', 'right', 'none', [['centreShot', -1]]],
    ['restSideways', 'left', 'none', [['centreShot', 1]]],
    ['restHeight', 'right', 'none', [['restHeight', 1]]],
    ['nockHeight', 'left', 'none', [['nockHeight', 1]]],
    ['cableGuard', 'right', 'none', [['cableGuard', -1]]],
    [
      'camShim',
      'right',
      'none',
      [
        ['leanFixUpper', 1],
        ['leanFixLower', 1],
      ],
    ],
    ['camShim', 'right', 'top', [['leanFixUpper', 0.5]]],
    [
      'camShim',
      'left',
      'both',
      [
        ['leanFixUpper', 0.5],
        ['leanFixLower', 0.5],
      ],
    ],
  ])('%s, %s-handed, yokes %s', (adjustment, hand, yokes, wanted) =>
    expect(movedValues(adjustment, hand, yokes).map(({ key, per }) => [key, per])).toEqual(wanted),
  );

  test('every move comes back from the readings as what it was', () => {
    for (const hand of ['right', 'left'] as const)
      for (const yokes of ['none', 'top', 'both'] as const)
        for (const adjustment of [
          'restSideways',
          'restHeight',
          'nockHeight',
          'cableGuard',
          'camShim',
        ] as const)
          for (const amount of [-2, -1, 1, 2]) {
            const bow = aBow({ hand, yokes });
            const start = job(FINISHED, { archer: { hand }, rest: { bow } });
            const move = paperMove(start, derive(start).history, adjustment, amount);
            if (!move.ok) throw new Error(move.message);
            const readings = after(
              ...move.values.map(
                ({ key, to }) => [key, to, paper] as [SetupKey, number, Partial<Reading>],
              ),
            );
            const history = derive(job(readings, { archer: { hand }, rest: { bow } })).history;
            expect(paperHistory(history, hand, yokes)).toEqual([
              { kind: 'shot', rightMm: 2, upMm: 3 },
              { kind: 'move', adjustment, amount: expect.closeTo(amount, 9) as number },
            ]);
          }
  });

  test('the smallest move makes stale what rests on it; a reading as small does not', () => {
    const moved = derive(job(after(['centreShot', 20.1, paper]))).plan.stale.map(({ key }) => key);
    expect(moved).toEqual(expect.arrayContaining(['restCord', 'paperTear', 'vaneClearance']));
    const read = derive(job(after(['centreShot', 20.1])));
    expect(staleValues(read.history)).toEqual([]);
  });

  test('where paper put it becomes what is wanted', () => {
    const { context } = derive(job(after(['centreShot', 17.6, paper])));
    expect(targetOf('centreShot', context)).toMatchObject({ si: 17.6 });
    expect(targetOf('centreShot', context)!.reason).toContain('tears on the lane');
    // Measured again near it: it stays in.
    const again = derive(job(after(['centreShot', 17.6, paper], ['centreShot', 17.9])));
    expect(targetOf('centreShot', again.context)!.si).toBe(17.6);
  });

  test('a value never measured, or moved past its limit, is refused by name', () => {
    const none = job(FINISHED.filter(({ key }) => key !== 'centreShot'));
    expect(paperMove(none, derive(none).history, 'restSideways', 1)).toMatchObject({
      ok: false,
      reason: 'not-measured',
      message: expect.stringContaining('Centre shot') as unknown,
    });
    const start = job(FINISHED);
    expect(paperMove(start, derive(start).history, 'restSideways', 14)).toMatchObject({
      ok: false,
      reason: 'past-limit',
    });
  });
});

describe('papers of a job', () => {
  test('bare shafts are no tears: their answer is learned by itself; something else changed begins anew', () => {
    const readings = after(
      ['paperTear', -8, { si2: 1 }],
      ['bareShaft', 80, { si2: 0, data: { kind: 'bareShaft', distanceM: 18 } }],
      ['peakWeight', 210, { si2: 5 }],
      ['paperTear', 4, { si2: 1 }],
    );
    expect(paperHistory(derive(job(readings)).history, 'right', 'none')).toEqual([
      { kind: 'shot', rightMm: 2, upMm: 3 },
      { kind: 'shot', rightMm: -8, upMm: 1 },
      { kind: 'fresh' },
      { kind: 'shot', rightMm: 4, upMm: 1 },
    ]);
  });
  test('pairs of bare shafts with what was done at the rest between them', () => {
    const bare = (si: number): [SetupKey, number, object] => [
      'bareShaft',
      si,
      { si2: 0, data: { kind: 'bareShaft', distanceM: 18 } },
    ];
    const readings = after(
      bare(120),
      ['centreShot', 19.6, { method: MOVED_BY_PAPER }],
      bare(40),
      ['nockHeight', 3],
      bare(60),
    );
    const events = bareShaftHistory(derive(job(readings)).history, 'right', 'none');
    // The riser is right of the arrow: a millimetre nearer to it is one to the right.
    expect(
      events.map((event) => (event.kind === 'move' ? event.restMm.toFixed(2) : event.kind)),
    ).toEqual(['pair', '1.00', 'pair', 'fresh', 'pair']);
  });
  test('another set of arrows begins the papers anew; a look said to be still so is no shot', () => {
    const swap = (choice: string): [SetupKey, null, object] => ['part:arrows', null, { choice }];
    const readings = after(
      ['paperTear', -8, { si2: 1 }],
      ['paperTear', -8, { si2: 1, method: 'confirmed' }],
      swap('a'),
      swap('b'),
    );
    expect(
      paperHistory(derive(job(readings)).history, 'right', 'none').map(({ kind }) => kind),
    ).toEqual(['shot', 'shot', 'fresh']);
  });
  test('a move says when it leaves the part’s own band, and the band does not follow it', () => {
    const moves = [18.6, 16.6, 14.6].map((si): [SetupKey, number, object] => [
      'centreShot',
      si,
      { method: MOVED_BY_PAPER },
    ]);
    const snapshot = job(after(['paperTear', -30, { si2: 0 }], ...moves.slice(0, 1)));
    const derived = derive(snapshot);
    const one = paperMove(snapshot, derived.history, 'restSideways', 1);
    const two = paperMove(snapshot, derived.history, 'restSideways', 2);
    expect(one.ok && leavesBand(one, derived.context)).toEqual([]);
    expect(two.ok && leavesBand(two, derived.context)).toMatchObject([
      { value: { key: 'centreShot' }, target: { low: expect.closeTo(17.1, 1) as number } },
    ]);
    const far = derive(job(after(['paperTear', -30, { si2: 0 }], ...moves)));
    const target = targetOf('centreShot', far.context)!;
    expect(target.low).toBeCloseTo(17.1, 1);
    expect(far.plan.steps.find(({ id }) => id === 'centreShot')!.state).toBe('out');
  });
  test('the school of the job is the one that is asked', () => {
    const readings = after(['paperTear', -20, { si2: 0 }], ['paperTear', -21, { si2: 0 }]);
    const of = (school: 'rest' | 'cams' | 'guard') => {
      const snapshot = job(readings, { job: { schools: { paper: school } } });
      return jobPaper(snapshot, derive(snapshot)).advice?.adjustment;
    };
    expect([of('rest'), of('cams'), of('guard')]).toEqual([
      'restSideways',
      'camShim',
      'cableGuard',
    ]);
  });
});

const mark = (distanceM: number, dropMm: number, offMm = 0.1, scaleM: number | null = null) =>
  ['markShot', distanceM, { si2: dropMm, data: { kind: 'mark', hits: [], scaleM, offMm } }] as [
    SetupKey,
    number,
    Partial<Reading>,
  ];

describe('confirmed distances', () => {
  test('the first one, then the newest of each other one, nearest first', () => {
    const { history } = derive(job(after(mark(50, 20), mark(30, 8), mark(50.2, 20.6))));
    expect(confirmedShots({ history }).map((s) => [s.distanceM, s.dropMm])).toEqual([
      [18, 0],
      [30, 8],
      [50.2, 20.6],
    ]);
  });
  test('changed speed, peep or radius and they hold no more; so do they after another first distance', () => {
    for (const change of [
      ['arrowSpeed', 74],
      ['peepTrueHeight', 126],
      ['peepToPin', 790],
      ['firstMark', 20],
    ] as [SetupKey, number][]) {
      const { history } = derive(job(after(mark(50, 20), change)));
      expect(confirmedShots({ history })).toHaveLength(1);
    }
  });
  test('none without a first', () => {
    const readings = FINISHED.filter(({ key }) => key !== 'firstMark');
    expect(confirmedShots(derive(job(readings)))).toEqual([]);
  });
  test('a mark where it was expected leaves tape and pins alone, one that is off does not', () => {
    const stale = (off: number) =>
      derive(job(after(mark(40, 13, 0), ['tape', 1], mark(50, 20, off)))).plan.stale.map(
        ({ key }) => key,
      );
    expect(stale(0.3)).not.toContain('tape');
    expect(stale(1.8)).toContain('tape');
  });
});

describe('marks from the shots', () => {
  const marksOf = (...rows: Parameters<typeof after>) => {
    const derived = derive(job(after(...rows)));
    return jobMarks(derived, [metre(20), metre(40), metre(60)]);
  };
  test('one distance keeps the chronograph’s speed, two take over', () => {
    expect(marksOf().inputs[0]).toMatchObject({ si: 70, from: 'measured' });
    const { inputs, fit, referenceM } = marksOf(mark(50, 21));
    expect(inputs[0]).toMatchObject({ name: 'arrow speed', from: 'shots' });
    expect(fit).toMatchObject({ ok: true, sigmaSpeedMps: null });
    expect(referenceM).toBe(18);
  });
  test('the marks go through a shot that fits exactly', () => {
    const { referencePinMm, flight } = marksOf(mark(50, 21));
    const derived = derive(job(after(mark(50, 21))));
    const { answer } = jobMarks(derived, [metre(50)]);
    if (!answer.ok) throw new Error();
    expect(referencePinMm! - answer.marks[0]!.pinAboveArrowMm).toBeCloseTo(21, 4);
    expect(flight!.dragCoefficient).toBe(2);
  });
  test('drag from four distances on, with its own doubt', () => {
    const four = marksOf(mark(30, 7.6), mark(45, 18.3), mark(60, 31.1));
    expect(four.inputs.find(({ name }) => name === 'drag coefficient')).toMatchObject({
      from: 'shots',
    });
    expect(four.sigmaMm!.every((sigma) => sigma > 0)).toBe(true);
  });
  test('marks no arrow makes are told, and the chronograph keeps its word', () => {
    const { fit, inputs, answer } = marksOf(mark(50, 2));
    expect(fit).toMatchObject({ ok: false, reason: 'no-such-arrow' });
    expect(inputs[0]!.from).toBe('measured');
    expect(answer.ok).toBe(true);
  });
});

describe('speed of a job', () => {
  test('energy, momentum, grains per pound, and the bow’s own efficiency', () => {
    const speed = jobSpeed(derive(job(FINISHED)));
    expect(speed.own!.speedMps).toBe(70);
    expect(speed.figures!.energyJ).toBeCloseTo(0.5 * 0.0246 * 4900, 6);
    expect(speed.model).toMatchObject({ ok: true, fittedMass: false });
    // Heavier arrows are slower.
    const speeds = speed.others.map(({ speedMps }) => speedMps);
    expect([...speeds].sort((a, b) => b - a)).toEqual(speeds);
  });
  test('shots left out do not count, and a second arrow gives the virtual mass', () => {
    const shots = [70, 70.4, 61].map((mps, i) => ({
      mps,
      device: 'Chronograph',
      discarded: i === 2 ? 'saw the vanes' : null,
    }));
    const speed = jobSpeed(
      derive(
        job(
          after(
            ['arrowSpeed', 70.2, { data: { kind: 'speeds', shots, arrowG: 24.6 } }],
            ['speedOther', 66.4, { si2: 27.9 }],
          ),
        ),
      ),
    );
    expect(speed.own!.speedMps).toBeCloseTo(70.2, 9);
    expect(speed.model).toMatchObject({ ok: true, fittedMass: true });
  });
  test('after a change of weight it waits for new shots', () => {
    const speed = jobSpeed(derive(job(after(['peakWeight', 210, { si2: 5 }]))));
    expect(speed.own).toBeNull();
    expect(speed.model).toBeNull();
  });
});

const WISH: TapeWish = {
  paper: 'A4',
  unit: 'm',
  numbersEvery: 5,
  side: 'left',
  lineMm: 0.25,
  widthMm: 12,
  from: 15,
  to: 50,
  ratio: 1,
  neighbours: 1,
  stepMps: 1,
  temperatureC: 15,
  heightM: 0,
};

describe('tape of a job', () => {
  const snapshot = job(after(mark(50, 21)));
  const tape = (wish: Partial<TapeWish> = {}) =>
    jobTape(snapshot, derive(snapshot), { ...WISH, ...wish });
  test('is the marks’ own, with its neighbours, speed and conditions on it', () => {
    const answer = tape();
    if (!answer.ok) throw new Error(answer.message);
    expect(answer.sheet.strips).toHaveLength(3);
    const marks = jobMarks(derive(snapshot), [metre(15), metre(50)]).answer;
    if (!marks.ok) throw new Error();
    expect(answer.own.lengthMm).toBeCloseTo(
      marks.marks[0]!.pinAboveArrowMm - marks.marks[1]!.pinAboveArrowMm,
      3,
    );
    const texts = answer.sheet.items.flatMap((item) => (item.kind === 'text' ? [item.text] : []));
    expect(texts.join(' ')).toMatch(/Runa Velde.*confirmed distances.*15 °C, 0 m above the sea/);
    // One strip is this bow's, the others are slower and faster by what was wished.
    expect(texts.filter((text) => text === 'this bow')).toHaveLength(1);
    expect(texts.filter((text) => text === 'neighbour')).toHaveLength(2);
    expect(answer.leftOut).toBe(0);
    const wider = tape({ neighbours: 2 });
    expect(wider.ok && wider.sheet.strips.length).toBe(5);
  });
  test('thin air makes it shorter', () => {
    const [low, high] = [tape(), tape({ heightM: 3000 })];
    if (!low.ok || !high.ok) throw new Error();
    expect(high.own.lengthMm).toBeLessThan(low.own.lengthMm);
  });
  test('too long for the paper, no length, or nothing to make it from', () => {
    expect(tape({ ratio: 5, to: 110 })).toMatchObject({ ok: false, reason: 'too-long' });
    expect(tape({ to: 15 })).toMatchObject({ ok: false, reason: 'no-length' });
    const bare = job(FINISHED.filter(({ key }) => key !== 'peepToPin'));
    expect(jobTape(bare, derive(bare), WISH)).toMatchObject({
      ok: false,
      reason: 'inputs-missing',
    });
  });
});

test('what a level costs grows with the distance; third axis half of the bubble on 30°', () => {
  const { flight } = jobMarks(derive(job(FINISHED)), [metre(20)]);
  const costs = levelCosts(flight!, metre(18), [metre(30), metre(60)]);
  expect(costs.second[1]!).toBeGreaterThan(2 * costs.second[0]!);
  expect(costs.third[1]! / costs.second[1]!).toBeCloseTo(0.5, 2);
  expect(levelCosts(flight!, metre(18), [metre(60)], 2).second[0]!).toBeCloseTo(
    2 * costs.second[1]!,
    0,
  );
});

test('a sight without a catalogue entry still has marks, only no clearance', () => {
  const parts = FULL_KIT.map((part) =>
    part.slot === 'sight' ? { ...part, ...aPart(null, 'sight', { owned: true }) } : part,
  );
  const own = aFinishedJob({ rest: { parts } });
  const { answer } = jobMarks(derive(own), [metre(30)]);
  expect(answer).toMatchObject({ ok: true });
  if (answer.ok) expect(answer.furthestClearM).toBeUndefined();
  expect(anItem('sight').attrs.clickMm).toBe(0.1);
});
