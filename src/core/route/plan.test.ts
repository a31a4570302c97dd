import {
  aBow,
  aFinishedJob,
  anItem,
  aPart,
  aReading,
  aSnapshot,
  FINISHED,
  FULL_KIT,
  kitOf,
} from '../testing/fixtures';
import { derive } from '../job';
import { METRIC_UNITS, TRADE_UNITS } from '../units';
import {
  readingText,
  targetText,
  tearWords,
  writeValue,
  REGISTRY,
  setupValue,
  standing,
  targetOf,
  type SetupKey,
} from '../setup';
import { applicableKeys } from './plan';
import { isFinished } from './job-step';
import { STATIONS, STEP_TEMPLATES } from '../bench';

const planOf = (snapshot: ReturnType<typeof aSnapshot>) => derive(snapshot).plan;
const stepOf = (snapshot: ReturnType<typeof aSnapshot>, id: string) =>
  planOf(snapshot).steps.find((step) => step.id === id)!;

describe('step templates', () => {
  test('every value that is measured at bench, lane or handover is read by one step of a job', () => {
    const read = STEP_TEMPLATES.flatMap((step) => step.reads);
    const twice = read.filter((key, i) => read.indexOf(key) !== i);
    // Two ways to do it, of which a job has one.
    expect(twice.sort()).toEqual(['dampenersFitted']);
    for (const [place, thirdAxis] of [
      ['limb', 'bench'],
      ['string', 'shotIn'],
      ['cable', 'bench'],
    ] as const) {
      const parts = [
        ...FULL_KIT,
        { ...FULL_KIT[0]!, ...aPart(anItem('dampeners', { place }), 'dampeners') },
      ];
      const { context } = derive(
        aFinishedJob({ rest: { parts }, job: { schools: { thirdAxis } } }),
      );
      const keys = STEP_TEMPLATES.filter((step) => step.applies(context)).flatMap((s) => s.reads);
      expect(new Set(keys).size).toBe(keys.length);
      expect(keys).toEqual(expect.arrayContaining(twice));
    }
    const wanted = REGISTRY.filter(({ stage, optional }) => stage !== 'steady' && !optional).map(
      ({ key }) => key,
    );
    expect(new Set(read)).toEqual(new Set(wanted));
  });
  test('every station exists and every step says what to do', () => {
    const context = derive(aFinishedJob()).context;
    const stations = STATIONS.map(({ id }) => id);
    for (const step of STEP_TEMPLATES) {
      expect(stations).toContain(step.station);
      expect(step.say(context).length).toBeGreaterThan(10);
      expect(step.minutes).toBeGreaterThan(0);
      expect(step.title).toMatch(/^[A-Z]/);
    }
  });
  test('drawing steps carry the caution', () => {
    for (const id of [
      'cord',
      'clearance',
      'peepArcher',
      'paper',
      'speed',
      'firstMark',
      'limbBolts',
    ])
      expect(STEP_TEMPLATES.find((step) => step.id === id)!.watch!.join()).toContain('safe target');
  });
  test('press steps carry the press’s caution', () => {
    for (const step of STEP_TEMPLATES.filter(({ station }) => station === 'press'))
      expect(step.watch!.join()).toContain('Press:');
  });
});

describe('the plan of a job', () => {
  test('a finished job has no visit left', () => {
    const plan = planOf(aFinishedJob());
    expect(plan.visits).toEqual([]);
    expect(plan.minutesLeft).toBe(0);
    expect(plan.steps.every(isFinished)).toBe(true);
  });
  test('an open job with a kit is led through the press once', () => {
    const plan = planOf(aSnapshot({ rest: { bow: aBow(), parts: FULL_KIT } }));
    expect(plan.visits.filter(({ station }) => station === 'press')).toHaveLength(1);
    expect(plan.minutesLeft).toBe(plan.visits.reduce((sum, visit) => sum + visit.minutes, 0));
  });
  test('the archer is called once', () => {
    const plan = planOf(aSnapshot({ rest: { bow: aBow(), parts: FULL_KIT } }));
    expect(plan.visits.filter(({ archer }) => archer)).toHaveLength(1);
  });
  test('a part that is not chosen brings no step', () => {
    const ids = planOf(aSnapshot({ rest: { bow: aBow(), parts: FULL_KIT } })).steps.map(
      (s) => s.id,
    );
    expect(ids).not.toContain('quiver');
    expect(ids).not.toContain('stabiliser');
    expect(ids).toContain('cord');
  });
  test('a containment rest has no cord to set', () => {
    const rest = {
      ...aPart(anItem('rest', { drive: 'containment' }), 'rest'),
      arrivesDay: null,
      orderedAt: null,
      arrivedAt: null,
      handedOver: false,
      short: [],
      build: null,
    };
    const parts = [...FULL_KIT.filter(({ slot }) => slot !== 'rest'), rest];
    expect(
      planOf(aSnapshot({ rest: { bow: aBow(), parts } })).steps.map((s) => s.id),
    ).not.toContain('cord');
  });
  test('a two-axis sight has no third axis to set', () => {
    const sight = {
      ...aPart(anItem('sight', { thirdAxis: false }), 'sight'),
      arrivesDay: null,
      orderedAt: null,
      arrivedAt: null,
      handedOver: false,
      short: [],
      build: null,
    };
    const parts = [...FULL_KIT.filter(({ slot }) => slot !== 'sight'), sight];
    expect(
      planOf(aSnapshot({ rest: { bow: aBow(), parts } })).steps.map((s) => s.id),
    ).not.toContain('thirdAxis');
  });
  test('one module on the bottom cam asks for that one only', () => {
    const snapshot = aSnapshot({ rest: { bow: aBow({ moduleCams: ['bottom'] }) } });
    const step = stepOf(snapshot, 'modules');
    expect(step.values.map(({ key }) => key)).toEqual(['moduleBottom']);
  });
  test('a bow without a turn limit is weighed, never turned', () => {
    const bow = aBow({ maxTurns: null });
    const limb = STEP_TEMPLATES.find(({ id }) => id === 'limbBolts')!;
    const { context } = derive(aSnapshot({ rest: { bow } }));
    expect(applicableKeys(limb, context)).toEqual(['peakWeight']);
  });
  test('a fixed-length bow has no module step', () => {
    const bow = aBow({ modules: [], fixedDrawLengthMm: 711 as never });
    expect(planOf(aSnapshot({ rest: { bow } })).steps.map((s) => s.id)).not.toContain('modules');
  });
  test('steps out of turn name what is missing', () => {
    const snapshot = aSnapshot({ rest: { bow: aBow(), parts: FULL_KIT } });
    expect(stepOf(snapshot, 'loop').missing).toEqual(['nockHeight']);
    // Nothing is done on a bow that was not looked over.
    expect(stepOf(snapshot, 'rest').missing).toEqual(['asItCame']);
  });
  test('a rest moved after tuning asks for cord, clearance and paper again', () => {
    const readings = [...FINISHED, aReading(90, 'centreShot', 23)];
    const again = planOf(aFinishedJob({ rest: { readings } })).stale.map(({ key }) => key);
    expect(again).toEqual(
      expect.arrayContaining(['restCord', 'vaneClearance', 'paperTear', 'fasteners']),
    );
    expect(again).not.toContain('peepHeight');
  });
});

describe('targets', () => {
  const context = derive(aFinishedJob()).context;
  test.each([
    ['moduleTop', 698.5],
    ['moduleBottom', 698.5],
    ['drawLength', context.fitDrawLengthMm],
    ['peakWeight', 190],
    ['holdingWeight', 38],
    ['braceHeight', 165],
    ['timing', 0],
    ['centreShot', 20.6],
    ['loop', 12.7],
    ['restCord', 12.5],
    ['firstAxis', 0],
    ['arrowMass', 24.6],
  ] as const)('%s wants %s, in a band around it, with a reason', (key, wanted) => {
    const target = targetOf(key, context)!;
    expect(target.si).toBeCloseTo(wanted!, 6);
    expect(target.low).toBeLessThanOrEqual(target.si);
    expect(target.high).toBeGreaterThanOrEqual(target.si);
    expect(target.reason.length).toBeGreaterThan(8);
  });
  test('what hangs on a missing fit or part has no target', () => {
    const bare = derive(aSnapshot()).context;
    for (const key of [
      'moduleTop',
      'drawLength',
      'peakWeight',
      'holdingWeight',
      'restCord',
      'arrowMass',
      'arrowSpeed',
      'braceHeight',
    ] as const)
      expect([key, targetOf(key, bare)]).toEqual([key, null]);
  });
  test('a limb-driven cord goes by the draw: 44 mm at 25 in to 64 mm at 31 in', () => {
    const rest = aPart(anItem('rest', { drive: 'limbDriven' }), 'rest');
    const at = (drawLength: number) =>
      targetOf('restCord', {
        ...context,
        kit: kitOf(rest),
        history: new Map([['drawLength', [aReading(1, 'drawLength', drawLength)]]]),
      })!.si;
    expect(at(635)).toBeCloseTo(44, 9);
    expect(at(787)).toBeCloseTo(64, 9);
    expect(at(711)).toBeCloseTo(54, 9);
    expect(at(600)).toBeCloseTo(44, 9);
  });
  test('a reading at the band’s very edge is in; past it, out', () => {
    const target = targetOf('nockHeight', context);
    expect(standing(aReading(1, 'nockHeight', 3), target)).toBe('in');
    expect(standing(aReading(1, 'nockHeight', 3.01), target)).toBe('out');
    expect(standing(aReading(1, 'nockHeight', 3), null)).toBe('noTarget');
  });
});

describe('values in words', () => {
  const units = TRADE_UNITS;
  test.each([
    ['drawLength', 698.5, '27 1/2 in'],
    ['nockHeight', -1.5, '−1.5 mm'],
    ['bowMass', 2760.4, '2760 g'],
    ['sightBase', 3, 'mark 3'],
    ['stringTwists', 1, '+1 twist'],
    ['stringTwists', -2.5, '−2 1/2 twists'],
    ['limbTurnsUpper', 4.25, '4 1/4 turns'],
    ['peakWeight', 190, '42.7 lb'],
    ['firstAxis', -0.2, '−0.2°'],
  ] as const)('%s of %s is “%s”', (key, si, text) => expect(writeValue(key, si, units)).toBe(text));

  test.each([
    [0, 0, 'one hole'],
    [0.3, -0.3, 'one hole'],
    [-14, 5, 'nock 5 mm high, 14 mm left'],
    [6, 0, 'nock 6 mm right'],
    [0, -8, 'nock 8 mm low'],
  ])('a tear of %s right, %s up is “%s”', (right, up, text) =>
    expect(tearWords(right, up)).toBe(text),
  );

  test.each([
    ['restFitted', { si: 1 }, 'done'],
    ['steadyTip', { si: null, choice: 'left' }, 'tips left'],
    ['paperTear', { si: 2, si2: 3 }, 'nock 3 mm high, 2 mm right'],
    ['firstMark', { si: 18 }, '18.0 m confirmed'],
    ['braceHeight', { si: 165.1 }, '6 1/2 in'],
  ] as const)('a reading of %s', (key, changes, text) => {
    expect(readingText(aReading(1, key, null, changes), units)).toBe(text);
  });

  test('a band says its unit once', () => {
    const band = (key: SetupKey, low: number, high: number, shop = units) =>
      targetText(key, { si: low, low, high, reason: '', source: 'shop rule' }, shop);
    expect(band('drawLength', 698.5, 704.85)).toBe('27 1/2 to 27 3/4 in');
    expect(band('drawLength', 698.5, 704.85, METRIC_UNITS)).toBe('699 to 705 mm');
    expect(band('firstAxis', -0.3, 0.3)).toBe('−0.3 to 0.3°');
    expect(band('moduleTop', 698, 699)).toBe('27 1/2 in');
    expect(band('paperTear', 0, 6)).toBe('under 6 mm');
  });

  test('every value has words a technician would use, and sane limits', () => {
    for (const value of REGISTRY) {
      expect(value.how.length).toBeGreaterThan(8);
      expect(value.short.length).toBeLessThanOrEqual(14);
      expect(value.changed).toMatch(/^(the|a|an) /);
      if (value.min !== undefined) expect(value.max!).toBeGreaterThan(value.min);
      value.dependsOn.forEach((key) => expect(setupValue(key)).toBeDefined());
    }
  });
});
