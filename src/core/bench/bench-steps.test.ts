import {
  aBow,
  A_FIT,
  aFinishedJob,
  aReading,
  aSnapshot,
  FINISHED,
  FULL_KIT,
  readingsOf,
} from '../testing/fixtures';
import { countedWeighings, derive, limbBoltAdvice, openWork, stageStates } from '../job';
import { bestRoute } from '../route';
import { mendText, targetOf, type SetupKey } from '../setup';
import { TRADE_UNITS } from '../units';
import { STEP_TEMPLATES } from '.';

const onBench = (
  readings: Parameters<typeof readingsOf>,
  more: { bow?: object; schools?: object; parts?: typeof FULL_KIT } = {},
) =>
  aSnapshot({
    job: { bowId: 'test-31-r', schools: more.schools ?? {} },
    rest: {
      bow: aBow(more.bow),
      parts: more.parts ?? FULL_KIT,
      fitReadings: A_FIT,
      readings: readingsOf(...readings),
    },
  });
const planOf = (...args: Parameters<typeof onBench>) => derive(onBench(...args)).plan;
const ids = (...args: Parameters<typeof onBench>) => planOf(...args).steps.map(({ id }) => id);

test('the archer comes for what is done on them or with them shooting, and for nothing else', () =>
  expect(STEP_TEMPLATES.filter(({ archer }) => archer).map(({ id }) => id)).toEqual([
    'peepArcher',
    'kisser',
    'firstArrows',
    'paper',
    'speed',
    'firstMark',
    'thirdAxisShot',
    'pins',
  ]));

describe('the plan starts where the bow stands', () => {
  test('what can be done here is done first, and next is what the list says', () => {
    // The last reading was taken at the counter: the arrow is on its scale.
    const { visits, present } = planOf([
      ['foundWhole', 1],
      ['arrowMass', 24.6],
    ]);
    expect(present).toEqual({ station: 'counter', archer: false });
    expect(visits[0]!.station).not.toBe('counter');
    const vice = planOf([['restFitted', 1]]);
    expect(vice.present!.station).toBe('vice');
    expect(vice.visits[0]!.station).toBe('vice');
  });
  test('with the archer there nothing of theirs is left for a later call', () => {
    const steps = [
      { id: 'a', station: 'lane', archer: true, needs: [] },
      { id: 'b', station: 'press', archer: false, needs: [] },
      { id: 'c', station: 'lane', archer: true, needs: [] },
    ];
    const costs = { changeCost: { lane: 5, press: 6 }, archerCallCost: 8 };
    const there = bestRoute({ steps, ...costs, start: 'lane', startArcher: true });
    if (!there.ok) throw new Error();
    expect(there.visits[0]).toEqual({ station: 'lane', archer: true, steps: ['a', 'c'] });
    expect(there.cost).toBe(6);
    const away = bestRoute({ steps, ...costs, start: 'lane' });
    expect(away.ok && away.cost).toBe(14);
  });
  test('steps are counted', () => {
    const finished = derive(aFinishedJob()).plan;
    expect(finished.doneCount).toBe(finished.steps.length);
    expect(planOf([]).doneCount).toBe(0);
  });
});

describe('what decides comes before what hangs on it', () => {
  test('cams out of time are put right before cord, peep, paper and marks', () => {
    const plan = planOf([['timing', 4]]);
    const order = plan.visits.flatMap(({ steps }) => steps);
    const at = (id: string) => order.indexOf(id);
    for (const id of ['cord', 'peepArcher', 'trueHeights', 'paper', 'firstMark'])
      expect(at('timeCams')).toBeLessThan(at(id));
  });
  test('everything tight is a condition of the sheet', () => {
    const readings = FINISHED.filter(({ key }) => key !== 'fasteners');
    const snapshot = aFinishedJob({ rest: { readings } });
    const derived = derive(snapshot);
    expect(openWork(stageStates(snapshot, derived), derived)).toEqual([
      'Handover: Everything tight',
    ]);
  });
});

describe('steps a bow or a shop brings along', () => {
  test('a bow is looked over before any work is in it', () => {
    const steps = planOf([]).steps;
    for (const id of ['modules', 'limbBolts', 'rest'])
      expect(steps.find((step) => step.id === id)!.missing).toContain('asItCame');
    const off = planOf([['foundBrace', 150]]).steps.find(({ id }) => id === 'asItCame')!;
    const value = off.values.find(({ key }) => key === 'foundBrace')!;
    expect(value.standing).toBe('out');
    expect(mendText('foundBrace', value.reading!, value.target!, TRADE_UNITS)).toContain(
      'goes back',
    );
  });
  test('lock screws, once the weight is final; loosened first', () => {
    expect(ids([])).not.toContain('lockBolts');
    expect(ids([], { bow: { limbLocks: true } })).toContain('lockBolts');
    const { steps } = planOf([], { bow: { limbLocks: true } });
    const bolts = steps.find(({ id }) => id === 'limbBolts')!;
    const context = derive(onBench([], { bow: { limbLocks: true } })).context;
    expect(bolts.template.say(context)).toContain('Loosen the lock screws');
  });
  test('set screws are a school, the cord’s way the riser’s', () => {
    expect(ids([])).toContain('setScrews');
    expect(ids([], { schools: { setScrews: 'leftOut' } })).not.toContain('setScrews');
    expect(ids([])).not.toContain('leadCord');
    expect(ids([], { bow: { cordWay: true } })).toContain('leadCord');
  });
  test('a third axis to be shot in is not done by a reading of the bench', () => {
    const shotIn = (readings: Parameters<typeof readingsOf>) =>
      planOf(readings, { schools: { thirdAxis: 'shotIn' } }).steps.find(
        ({ id }) => id === 'thirdAxisShot',
      )!;
    expect(shotIn([['thirdAxis', 0]]).state).toBe('open');
    expect(
      shotIn([
        ['firstMark', 18],
        ['thirdAxisShot', 0.1],
      ]).state,
    ).toBe('done');
  });
  test('arrows built here are cut, glued, spun; what waits for the glue is another visit', () => {
    const parts = FULL_KIT.map((part) =>
      part.slot === 'arrows' ? { ...part, build: { name: 'A' } as never } : part,
    );
    const plan = planOf([], { parts });
    const at = (id: string) => plan.visits.findIndex(({ steps }) => steps.includes(id));
    expect(at('cutArrows')).toBeLessThanOrEqual(at('glueArrows'));
    expect(at('spinArrows')).toBeGreaterThan(at('glueArrows'));
    expect(plan.visits[at('glueArrows')]!.dryMinutes).toBe(240);
    expect(plan.steps.find(({ id }) => id === 'arrowMass')!.missing).toContain('weighSet');
    expect(ids([])).not.toContain('cutArrows');
  });
  test('first arrows near, before paper', () => {
    const paper = planOf([]).steps.find(({ id }) => id === 'paper')!;
    expect(paper.missing).toContain('firstArrows');
  });
});

describe('twists', () => {
  const fit = derive(onBench([])).context.fitDrawLengthMm!;
  const string = (...pairs: Parameters<typeof readingsOf>) =>
    targetOf('stringTwists', derive(onBench(pairs)).context)!;
  test('putting in what was asked for asks for no more', () => {
    const asked = string(['stringTwists', 0], ['drawLength', fit + 5]);
    expect(asked.si).toBe(4);
    const after = string(['stringTwists', 0], ['drawLength', fit + 5], ['stringTwists', 4]);
    expect(after.si).toBe(4);
  });
  test('more than six are answered with a module step, or a doubt', () => {
    const far = string(['moduleTop', 698.5], ['moduleBottom', 698.5], ['drawLength', fit + 25]);
    expect(far.si).toBe(0);
    expect(far.reason).toContain('The module step');
    const near = string(['moduleTop', 698.5], ['moduleBottom', 698.5], ['drawLength', fit + 200]);
    expect(near.reason).toMatch(/Read the draw board and the fit again|The module step/);
  });
  test.each([-2, 15])('%d cable twists where +2 were wanted are out', (twists) => {
    const { plan } = derive(
      onBench([
        ['timing', 3],
        ['cableTwists', twists],
      ]),
    );
    const step = plan.steps.find(({ id }) => id === 'timeCams')!;
    expect(step.values[0]!.target!.si).toBe(2);
    expect(step.values[0]!.standing).toBe('out');
  });
});

describe('weighings', () => {
  const bolts = (...pairs: Parameters<typeof readingsOf>) => {
    const snapshot = onBench(pairs);
    const job = { ...snapshot, job: { ...snapshot.job, peakTargetN: 200, peakReason: 'wish' } };
    const derived = derive(job);
    const advice = limbBoltAdvice(job, derived)!;
    if (!advice.ok) throw new Error(advice.message);
    return { advice, counted: countedWeighings(derived.history).length };
  };
  test('from before a module or a twist they do not speak for the bow after it', () => {
    expect(bolts(['peakWeight', 262, { si2: 0 }], ['peakWeight', 240, { si2: 2 }]).counted).toBe(2);
    expect(
      bolts(['moduleTop', 698.5], ['peakWeight', 262, { si2: 0 }], ['moduleTop', 711.2]).counted,
    ).toBe(0);
    expect(
      bolts(['peakWeight', 262, { si2: 0 }], ['stringTwists', 3], ['peakWeight', 255, { si2: 1 }])
        .counted,
    ).toBe(1);
  });
  test('a gain by turning out, and a weight this bow cannot have, are asked about', () => {
    const gain = bolts(['peakWeight', 250, { si2: 0 }], ['peakWeight', 262, { si2: 2 }]).advice;
    expect(gain.doubt).toMatchObject({ kind: 'gain', readings: [0, 1] });
    const heavy = bolts(['peakWeight', 369, { si2: 0 }]).advice;
    expect(heavy.doubt).toMatchObject({ kind: 'bow', readings: [0] });
    expect(
      bolts(['peakWeight', 265, { si2: 0 }], ['peakWeight', 243, { si2: 2 }]).advice.doubt,
    ).toBeNull();
  });
});

test('every value that is out says what to do', () => {
  const out: readonly [SetupKey, number, string][] = [
    ['nockHeight', 9, 'lower it 8.0 mm'],
    ['centreShot', 24, 'nearer to the riser by'],
    ['secondAxis', 2, 'turn it 2.0° down'],
    ['timing', 4, 'hold the top cam back by 4.0 mm'],
  ];
  for (const [key, si, words] of out) {
    const { context } = derive(onBench([[key, si]]));
    expect(mendText(key, aReading(1, key, si), targetOf(key, context)!, TRADE_UNITS)).toContain(
      words,
    );
  }
});
