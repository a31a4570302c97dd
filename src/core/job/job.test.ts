import {
  A_FIT,
  aBow,
  aFinishedJob,
  aFitReading,
  anItem,
  aPart,
  aReading,
  aShop,
  aSnapshot,
  FINISHED,
  FULL_KIT,
  readingsOf,
} from '../testing/fixtures';
import { METRIC_UNITS, mm, newton, read, TRADE_UNITS, turns, metre } from '../units';
import {
  archerCautions,
  derive,
  HANDOVER_CAUTIONS,
  isFitKey,
  jobBowCover,
  jobMarks,
  limbBoltAdvice,
  markDistances,
  openWork,
  readOptionsFor,
  stageStates,
  standingTurns,
  weighings,
} from '.';

const states = (snapshot: ReturnType<typeof aSnapshot>) => stageStates(snapshot, derive(snapshot));
const noteOf = (snapshot: ReturnType<typeof aSnapshot>) =>
  Object.fromEntries(states(snapshot).map(({ id, note }) => [id, note]));

describe('what is computed for a job', () => {
  test('nothing measured: no length, no goal, no speed, and no invention', () => {
    const { fitLength, context, findings } = derive(aSnapshot());
    expect(fitLength).toBeNull();
    expect(findings).toEqual([]);
    expect(context).toMatchObject({
      fitDrawLengthMm: null,
      moduleStepMm: null,
      peakTargetN: null,
      peakReason: 'No trial drawn yet',
      predictedSpeed: null,
    });
  });

  test('the fit sets module and start weight once a bow is there', () => {
    const { context, fitWeight } = derive(aSnapshot({ rest: { fitReadings: A_FIT, bow: aBow() } }));
    expect(context.moduleStepMm).toBeCloseTo(698.5, 6);
    expect(context.peakTargetN).toBeGreaterThanOrEqual(178);
    expect(context.peakTargetN).toBeCloseTo(Math.max(178, fitWeight.startN), 6);
  });

  test('a start weight under the bow’s lightest is raised to it, and said', () => {
    const bow = aBow({ minPeakN: newton(240) });
    const { context } = derive(aSnapshot({ rest: { fitReadings: A_FIT, bow } }));
    expect(context.peakTargetN).toBe(240);
    expect(context.peakReason).toMatch(/lightest setting; the fit would start at \d/);
  });

  test('the technician overrules the fit, with the reason', () => {
    const job = { moduleStepMm: mm(711.2), peakTargetN: 200, peakReason: 'wants it so' };
    const { context } = derive(aSnapshot({ job, rest: { fitReadings: A_FIT, bow: aBow() } }));
    expect(context).toMatchObject({
      moduleStepMm: 711.2,
      peakTargetN: 200,
      peakReason: 'The technician’s choice: wants it so',
    });
  });

  test('loop counts is a setting of the shop', () => {
    const fitReadings = [aFitReading(1, 'armSpan', 1750)];
    const plain = derive(aSnapshot({ rest: { fitReadings } }));
    const school = derive(aSnapshot({ rest: { fitReadings, shop: aShop({ loopCounts: true }) } }));
    expect(plain.fitLength!.drawLengthMm - school.fitLength!.drawLengthMm).toBeCloseTo(12.7, 9);
  });

  test('a job may follow another school than its shop', () => {
    const fitReadings = [aFitReading(1, 'armSpan', 1750)];
    const length = (own: boolean | null, shop: boolean) =>
      derive(
        aSnapshot({
          job: { loopCounts: own },
          rest: { fitReadings, shop: aShop({ loopCounts: shop }) },
        }),
      ).fitLength!.drawLengthMm;
    expect(length(null, true)).toBeCloseTo(700 - 12.7, 9);
    expect(length(false, true)).toBeCloseTo(700, 9);
    expect(length(true, false)).toBeCloseTo(700 - 12.7, 9);
  });

  test('speed is predicted from what is measured, else from what is wanted', () => {
    const planned = derive(
      aSnapshot({ rest: { fitReadings: A_FIT, bow: aBow(), parts: FULL_KIT } }),
    ).context.predictedSpeed!;
    const measured = derive(aFinishedJob()).context.predictedSpeed!;
    expect(planned.speedMps).toBeGreaterThan(60);
    expect(planned.sigmaMps).toBeCloseTo(planned.speedMps * 0.025, 9);
    expect(measured.speedMps).not.toBeCloseTo(planned.speedMps, 3);
  });

  test('an arrow too light for a prediction gives none rather than a wrong one', () => {
    const light = {
      ...aPart(anItem('arrows', {}, { massG: 8 as never }), 'arrows'),
      arrivesDay: null,
      orderedAt: null,
      arrivedAt: null,
      handedOver: false,
      short: [],
      build: null,
    };
    const { context } = derive(
      aSnapshot({ rest: { fitReadings: A_FIT, bow: aBow(), parts: [light] } }),
    );
    expect(context.predictedSpeed).toBeNull();
  });
});

describe('limb bolts of a job', () => {
  const weighed = readingsOf(
    ['limbTurnsUpper', 0],
    ['limbTurnsLower', 0],
    ['peakWeight', 270, { si2: 0 }],
    ['limbTurnsUpper', 4],
    ['limbTurnsLower', 4],
    ['peakWeight', 226, { si2: 4 }],
  );

  test('only weighings with their turns count', () => {
    const { history } = derive(
      aSnapshot({ rest: { readings: [...weighed, aReading(9, 'peakWeight', 225)] } }),
    );
    expect(weighings(history)).toEqual([
      { turns: 0, peakN: 270 },
      { turns: 4, peakN: 226 },
    ]);
  });

  test('where the bolts stand: alike, not alike, not known', () => {
    const at = (...readings: ReturnType<typeof readingsOf>) =>
      standingTurns(derive(aSnapshot({ rest: { readings } })).history);
    expect(at(...weighed)).toBe(4);
    expect(at(...weighed, aReading(9, 'limbTurnsUpper', 5))).toBeNull();
    expect(at()).toBeNull();
  });

  test('advice needs a bow, a limit and a goal', () => {
    const with_ = (rest: Parameters<typeof aSnapshot>[0]) => {
      const snapshot = aSnapshot(rest);
      return limbBoltAdvice(snapshot, derive(snapshot));
    };
    const goal = { peakTargetN: 200, peakReason: 'so' };
    expect(with_({ job: goal })).toBeNull();
    expect(with_({ rest: { bow: aBow() } })).toBeNull();
    expect(with_({ job: goal, rest: { bow: aBow({ maxTurns: null }) } })).toBeNull();
    const answer = with_({ job: goal, rest: { bow: aBow(), readings: weighed } });
    expect(answer).toMatchObject({ ok: true, reachesTarget: true });
    if (answer?.ok) expect(answer.turns).toBeGreaterThan(4);
  });

  test('a reading past the limit is refused with the caution', () => {
    const readings = [aReading(1, 'peakWeight', 150, { si2: 11 })];
    const snapshot = aSnapshot({
      job: { peakTargetN: 200, peakReason: 'so' },
      rest: { bow: aBow(), readings },
    });
    expect(limbBoltAdvice(snapshot, derive(snapshot))).toMatchObject({
      ok: false,
      reason: 'past-turn-limit',
    });
  });
});

describe('does a bow cover the job', () => {
  const cover = (
    bow = aBow(),
    rest: Partial<ReturnType<typeof aSnapshot>> = { fitReadings: A_FIT },
  ) => {
    const snapshot = aSnapshot({ rest });
    return jobBowCover(bow, snapshot, derive(snapshot));
  };
  test('a bow in range fits, and says its module', () => {
    expect(cover()).toMatchObject({ verdict: 'fits', reasons: [] });
    expect(cover().module!.stepMm).toBeCloseTo(698.5, 6);
  });
  test.each([
    ['the other hand', aBow({ hand: 'left' }), 'out', 'a left-hand bow'],
    [
      'too long at its shortest',
      aBow({ modules: [{ label: 'A', drawLengthMm: mm(762) }] }),
      'out',
      'shortest setting 30 in',
    ],
    [
      'too short at its longest',
      aBow({ modules: [{ label: 'A', drawLengthMm: mm(635) }] }),
      'out',
      'longest setting 25 in',
    ],
    [
      'too heavy at its lightest',
      aBow({ minPeakN: newton(260), maxPeakN: newton(311) }),
      'out',
      'lightest setting',
    ],
    [
      'too light at its heaviest',
      aBow({ minPeakN: newton(60), maxPeakN: newton(90) }),
      'out',
      'heaviest setting',
    ],
    ['not in stock', aBow({ stock: 0 }), 'nearly', 'not in stock, 9 days'],
    [
      'a fixed length far off',
      aBow({ modules: [], fixedDrawLengthMm: mm(762) }),
      'out',
      'shortest setting',
    ],
    [
      'four twists away',
      aBow({ modules: [{ label: 'A', drawLengthMm: mm(697) }] }),
      'nearly',
      'twists from its nearest setting',
    ],
    ['no draw length known', aBow({ modules: [] }), 'out', 'no draw length known'],
  ])('%s', (_, bow, verdict, reason) => {
    const answer = cover(bow);
    expect(answer.verdict).toBe(verdict);
    expect(answer.reasons.join()).toContain(reason);
  });
  test('what is not measured is left out of the judgement', () => {
    expect(cover(aBow({ modules: [{ label: 'A', drawLengthMm: mm(762) }] }), {}).verdict).toBe(
      'fits',
    );
  });
});

describe('the stage rail', () => {
  test('a job just opened: one question answered, the rest untouched', () => {
    expect(noteOf(aSnapshot())).toMatchObject({
      meet: '3 of 7',
      fit: 'nothing yet',
      kit: 'nothing yet',
      steady: 'optional',
      handover: 'nothing yet',
    });
  });
  test('a finished job has all in but the handover', () => {
    expect(noteOf(aFinishedJob())).toMatchObject({
      meet: 'all in',
      fit: 'all in',
      bow: 'all in',
      kit: 'all in',
      bench: 'all in',
      lane: 'all in',
      handover: '1 of 9',
    });
    expect(openWork(states(aFinishedJob()), derive(aFinishedJob()))).toEqual([]);
  });
  test('a twist afterwards makes bench and bow say again, with the reason', () => {
    const readings = [...FINISHED, aReading(90, 'stringTwists', 2)];
    const snapshot = aFinishedJob({ rest: { readings } });
    const rail = states(snapshot);
    const bench = rail.find(({ id }) => id === 'bench')!;
    expect(bench.state).toBe('again');
    expect(bench.note).toMatch(/^\d+ again$/);
    expect(bench.open.join()).toContain('the string was twisted after');
    expect(openWork(rail, derive(snapshot)).length).toBeGreaterThan(3);
  });
  test('a value out of tolerance is named', () => {
    const readings = [...FINISHED, aReading(90, 'nockHeight', 9), aReading(91, 'loop', 12.7)];
    const bench = states(aFinishedJob({ rest: { readings } })).find(({ id }) => id === 'bench')!;
    expect(bench.open.join()).toContain('nock height out of tolerance');
  });
  test('methods that disagree leave the fit open', () => {
    const fitReadings = [aFitReading(1, 'armSpan', 1500), aFitReading(2, 'wallToMouth', 740)];
    const fit = states(aSnapshot({ rest: { fitReadings } })).find(({ id }) => id === 'fit')!;
    expect(fit.open).toContain('draw-length methods that agree');
  });
  test('a hard refusal leaves the kit open with its reason', () => {
    const parts = [
      {
        ...aPart(anItem('rest', { mount: 'dovetail' }), 'rest'),
        arrivesDay: null,
        orderedAt: null,
        arrivedAt: null,
        handedOver: false,
        short: [],
        build: null,
      },
    ];
    const kit = states(aSnapshot({ rest: { bow: aBow(), parts } })).find(({ id }) => id === 'kit')!;
    expect(kit.open.join()).toContain('it needs a riser dovetail');
  });
  test('a minor without a guardian leaves Meet open', () => {
    const meet = states(aSnapshot({ archer: { minor: true } })).find(({ id }) => id === 'meet')!;
    expect(meet.open).toContain('the guardian of a minor');
  });
  test('steady counts what is noted', () => {
    const steady = (...readings: ReturnType<typeof readingsOf>) =>
      noteOf(aSnapshot({ rest: { readings } })).steady;
    expect(steady(aReading(1, 'bowMass', 2500))).toBe('1 of 2');
    expect(
      steady(aReading(1, 'bowMass', 2500), aReading(2, 'steadyTip', null, { choice: 'still' })),
    ).toBe('noted');
  });
  test('steady is done with both, going with one, untouched with none; it is never open', () => {
    const both = [
      aReading(1, 'bowMass', 2500),
      aReading(2, 'steadyTip', null, { choice: 'still' }),
    ];
    const of = (count: number) =>
      states(aSnapshot({ rest: { readings: both.slice(0, count) } })).find(
        ({ id }) => id === 'steady',
      )!;
    expect([0, 1, 2].map((count) => of(count).state)).toEqual(['untouched', 'going', 'done']);
    expect(of(0).open).toEqual([]);
  });
});

describe('cautions', () => {
  test('none for an adult without a story', () => expect(archerCautions(aSnapshot())).toEqual([]));
  test.each([
    ['a minor', { archer: { minor: true, guardianName: 'Femke' } }, 'Femke decides'],
    [
      'an injury',
      { archer: { injured: 'yes' as const, injury: 'left shoulder' } },
      'Injury told: left shoulder',
    ],
    ['hand and eye apart', { archer: { dominantEye: 'left' as const } }, 'Right hand but left eye'],
    ['hunting', { job: { purpose: 'hunting' as const } }, 'set by the authority'],
  ])('%s', (_, changes, text) => {
    expect(
      archerCautions(aSnapshot(changes))
        .map((c) => c.text)
        .join(),
    ).toContain(text);
  });
  test('handover tells the ones that can hurt', () => {
    const all = HANDOVER_CAUTIONS.map(({ text }) => text).join(' ');
    for (const word of [
      'dry fire',
      'release',
      'limit of turns',
      'local law',
      'two weeks',
      'Wrist sling',
    ])
      expect(all).toContain(word);
  });
});

describe('sight marks of a job', () => {
  test('says what is missing instead of guessing', () => {
    const { answer, inputs, sigmaMm } = jobMarks(derive(aSnapshot()), markDistances(40, 'm'));
    expect(answer).toMatchObject({ ok: false, reason: 'inputs-missing' });
    if (!answer.ok) expect(answer.message).toContain('arrow speed, arrow mass');
    expect(inputs.every((input) => input.from === 'missing')).toBe(true);
    expect(sigmaMm).toBeNull();
  });
  test('measured numbers go before predicted and catalogue ones', () => {
    const { inputs, answer } = jobMarks(derive(aFinishedJob()), markDistances(40, 'm'));
    expect(inputs.map(({ from }) => from)).toEqual([
      'measured',
      'measured',
      'catalogue',
      'measured',
      'measured',
      'shopRule',
    ]);
    expect(answer.ok).toBe(true);
  });
  test('the doubt grows with the distance, and is less when the speed was measured', () => {
    // From the confirmed 18 m outwards.
    const far = markDistances(60, 'm').slice(2);
    const measured = jobMarks(derive(aFinishedJob()), far).sigmaMm!;
    const readings = FINISHED.filter((reading) => reading.key !== 'arrowSpeed');
    const predicted = jobMarks(derive(aFinishedJob({ rest: { readings } })), far).sigmaMm!;
    expect(measured[0]).toBeLessThan(0.1);
    measured.forEach((sigma, i) => {
      if (i > 0) expect(sigma).toBeGreaterThan(measured[i - 1]!);
      expect(predicted[i]).toBeGreaterThanOrEqual(sigma);
    });
    // Without air a pin drops by s·g·d / (2 v²): what 0.3 m/s (a chronograph) does to it at 30 m.
    const { flight, sigmaMm } = jobMarks(derive(aFinishedJob()), [metre(18), metre(30)]);
    const { speedMps: v, peepToPinMm } = flight!;
    const still = (peepToPinMm * 9.81 * (30 - 18) * 0.3) / v ** 3;
    expect(sigmaMm![1]! / still).toBeGreaterThan(0.95);
    expect(sigmaMm![1]! / still).toBeLessThan(1.3);
  });
  test('distances go by fives, in metres or yards, far enough', () => {
    expect(markDistances(null, 'm').at(-1)).toBe(40);
    expect(markDistances(18, 'm').at(-1)).toBe(30);
    expect(markDistances(60, 'm').map((m) => m / 5)).toEqual([2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
    expect(markDistances(null, 'yd')[0]).toBeCloseTo(9.144, 9);
    expect(markDistances(500, 'm').at(-1)).toBe(120);
  });
});

describe('what a field takes', () => {
  test.each([
    ['armSpan', '68', true],
    ['armSpan', '4 m', false],
    ['wallToMouth', '27 1/2', true],
    ['weightTrial', '40#', true],
    ['weightTrial', '500#', false],
    ['nockHeight', '-2', true],
    ['timing', '-1.5', true],
    ['limbTurnsUpper', '8', true],
    ['limbTurnsUpper', '8 1/4', false],
    ['arrowSpeed', '240', true],
    ['paperTear', '200', false],
    ['bowMass', '2.4 kg', true],
  ] as const)('%s takes “%s”: %s', (key, text, ok) => {
    expect(read(text, readOptionsFor(key, TRADE_UNITS, aBow({ maxTurns: turns(8) }))!).ok).toBe(ok);
  });
  test('ticks, choices and groups take no number', () => {
    for (const key of ['restFitted', 'steadyTip', 'firstMark'] as const)
      expect(readOptionsFor(key, TRADE_UNITS, null)).toBeNull();
  });
  test('millimetres where the trade speaks them, whatever the shop writes', () => {
    const nock = read('1.5', readOptionsFor('nockHeight', TRADE_UNITS, null)!);
    expect(nock).toMatchObject({ ok: true, si: 1.5 });
    const span = read('1750', readOptionsFor('armSpan', METRIC_UNITS, null)!);
    expect(span).toMatchObject({ ok: true, si: 1750 });
  });
  test('keys of the archer are told from keys of the bow', () => {
    expect(isFitKey('armSpan')).toBe(true);
    expect(isFitKey('weightTrial')).toBe(true);
    expect(isFitKey('peakWeight')).toBe(false);
  });
});
