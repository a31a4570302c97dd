import { aBow, aFitReading, A_FIT, anItem, aPart, aSnapshot } from '../testing/fixtures';
import { DRAW_LENGTH_METHODS, OLD_BOW, POSTURE } from '../fit';
import { fitNotes } from '../sheet/fit-notes';
import { gram, newton } from '../units';
import {
  asked,
  conversation,
  derive,
  drawOffSetup,
  fitKeyName,
  isFitKey,
  nextQuestion,
  postureKey,
  postureLooks,
  QUESTION_IDS,
  readOptionsFor,
  TAKEN_OVER,
  type FitReading,
  type JobSnapshot,
} from '.';

type Changes = Parameters<typeof aSnapshot>[0];
const question = (id: string, changes: Changes = {}) =>
  conversation(aSnapshot(changes)).find((entry) => entry.id === id)!;
const FRESH: Changes = { archer: { dominantEye: 'unsure' } };

describe('the conversation', () => {
  test('every question once, in an order that begins with who', () => {
    expect(QUESTION_IDS[0]).toBe('who');
    expect(new Set(QUESTION_IDS).size).toBe(QUESTION_IDS.length);
    expect(nextQuestion(conversation(aSnapshot(FRESH)))).toBe('who');
  });
  test('gone past or put off; those put off come when nothing else is open', () => {
    let job = aSnapshot(FRESH).job;
    const state = () => conversation({ ...aSnapshot(FRESH), job });
    job = { ...job, ...asked(job, 'who', true) };
    expect(state()[0]!.state).toBe('later');
    for (const id of QUESTION_IDS.slice(1)) {
      expect(nextQuestion(state())).toBe(id);
      job = { ...job, ...asked(job, id, false) };
    }
    expect(nextQuestion(state())).toBe('who');
    job = { ...job, ...asked(job, 'who', false) };
    expect(job.skipped).toEqual([]);
    expect(nextQuestion(state())).toBeNull();
  });
  test('what an earlier job knows of the archer is known, what is of the job is asked', () => {
    const earlier = [
      {
        jobId: 'x',
        number: 1,
        createdAt: '2026-01-01T00:00:00Z',
        deliveredAt: null,
        bow: null,
        sheetRevision: null,
        readings: [],
      },
    ];
    expect(question('experience', { rest: { earlier } }).state).toBe('known');
    expect(question('purpose', { rest: { earlier } }).state).toBe('open');
  });
  test.each<[string, Changes, string]>([
    ['light', { job: { lowLight: true } }, 'fewer and larger pins'],
    ['light', {}, 'Fine pins will do'],
    ['release', { archer: { release: 'thumb' } }, 'A firm wall is looked for'],
    ['release', { archer: { release: 'backTension' } }, 'A softer wall'],
    ['release', { archer: { release: 'thumb', wall: 'either' } }, 'try both'],
    ['injury', { archer: { injured: 'yes', injury: 'wrist' } }, 'lower; stop at the first pain'],
    ['who', { archer: { minor: true } }, 'Guardian decides'],
    ['hand', { archer: { dominantEye: 'left' } }, 'do not match'],
    ['hand', { archer: { dominantEye: 'right' } }, 'Right-hand bows'],
    ['distance', { job: { furthestM: 60 } }, 'all three axes'],
    ['purpose', { job: { purpose: 'hunting' } }, 'legal least weight'],
    ['rules', { job: { legalMinimumN: 178 } }, 'their authority decides'],
    ['own', { rest: { fitReadings: [aFitReading(1, 'oldPeak', 200)] } }, 'target for the new one'],
    ['experience', { archer: { ageBand: 'under12' } }, 'The first trial is near 18'],
  ])('%s %j is used: %s', (id, changes, words) =>
    expect(question(id, changes).use).toContain(words),
  );
  test.each<[string, Changes, string]>([
    ['money', { job: { budgetCents: 90000 } }, '900'],
    ['rules', { job: { legalMinimumN: 200.17, legalPlace: 'abroad' } }, 'abroad'],
    [
      'who',
      { archer: { phone: '0151', minor: true, guardianName: 'Gerd' } },
      '0151, 16 or 17 years, minor, with Gerd',
    ],
    ['release', { archer: { release: 'index', wall: 'soft' } }, 'index finger, soft wall'],
  ])('%s is answered and says so', (id, changes, words) =>
    expect(question(id, changes)).toMatchObject({
      state: 'answered',
      answer: expect.stringContaining(words),
    }),
  );
});

describe('readings of the fit', () => {
  const seen = (seq: number, key: FitReading['key'], choice: string): FitReading => ({
    ...aFitReading(seq, key, 0),
    si: null,
    choice,
  });
  test('every key has a name, and a number’s key its limits', () => {
    const keys = [
      ...DRAW_LENGTH_METHODS.map(({ method }) => method),
      ...OLD_BOW.map(({ key }) => key),
      ...POSTURE.map(({ id }) => postureKey(id)),
      'weightTrial' as const,
      'postureBow' as const,
      'eyeTest' as const,
    ];
    for (const key of keys) {
      expect(isFitKey(key)).toBe(true);
      expect(fitKeyName(key)).toMatch(/^[A-Z]/);
      const number = !key.startsWith('posture.') && key !== 'eyeTest';
      expect([key, readOptionsFor(key, aSnapshot().shop.units, null) !== null]).toEqual([
        key,
        number,
      ]);
    }
    expect(isFitKey('posture.knee')).toBe(false);
    for (const key of Object.values(TAKEN_OVER)) expect(isFitKey(key)).toBe(true);
  });
  test('only what was seen since the last bow in hand counts, the newest of each place', () => {
    const { drawnMm, looks } = postureLooks([
      aFitReading(1, 'postureBow', 711),
      seen(2, 'posture.lean', 'tooLong'),
      aFitReading(3, 'postureBow', 698),
      seen(4, 'posture.lean', 'tooShort'),
      seen(5, 'posture.lean', 'right'),
    ]);
    expect(drawnMm).toBe(698);
    expect(looks).toEqual([{ place: 'lean', seen: 'right' }]);
  });
});

describe('setting the bows of a draw-off alike', () => {
  const job = (rest: Partial<JobSnapshot> = {}) =>
    derive(aSnapshot({ rest: { fitReadings: A_FIT, ...rest } }));
  test('module, turns and what the catalogue makes of them', () => {
    const setup = drawOffSetup(aBow(), job());
    expect(setup).toMatchObject({ label: 'D', topLabel: null });
    expect(setup.stepMm).toBeCloseTo(698.5, 6);
    expect(setup.targetN!).toBeGreaterThanOrEqual(178);
    expect(Math.abs(setup.predictedN! - setup.targetN!)).toBeLessThan(1);
    expect(setup.sigmaN!).toBeGreaterThan(5);
    expect(setup.speedMps!).toBeGreaterThan(50);
  });
  test('without a limit of turns it is weighed only; without a fit nothing is made up', () => {
    expect(drawOffSetup(aBow({ maxTurns: null }), job())).toMatchObject({
      turns: null,
      predictedN: null,
    });
    expect(drawOffSetup(aBow(), derive(aSnapshot()))).toMatchObject({
      stepMm: null,
      targetN: null,
      turns: null,
      speedMps: null,
    });
  });
  test('the arrow of the kit is the one the speeds are told with', () => {
    const light = { ...anItem('arrows', {}, { massG: gram(18) }) };
    const parts = [
      {
        ...aPart(light, 'arrows'),
        arrivesDay: null,
        orderedAt: null,
        arrivedAt: null,
        handedOver: false,
        short: [],
        build: null,
      },
    ];
    const [own, middling] = [drawOffSetup(aBow(), job({ parts })), drawOffSetup(aBow(), job())];
    expect(own.speedMps!).toBeGreaterThan(middling.speedMps!);
  });
});

describe('what the sheet says of the fit besides numbers', () => {
  const notes = (changes: Changes) => {
    const snapshot = aSnapshot(changes);
    return fitNotes(snapshot, derive(snapshot));
  };
  test('nothing where nothing was found', () => expect(notes({})).toEqual([]));
  test('eye, release, old bow, law', () => {
    const all = notes({
      archer: { dominantEye: 'left', eyeHandling: 'cover', release: 'thumb', wall: 'firm' },
      job: { legalMinimumN: newton(177.93), legalPlace: 'abroad' },
      rest: { fitReadings: [{ ...aFitReading(1, 'oldPeak', 231), entered: '52 lb' }] },
    });
    expect(all[0]).toBe('right hand, left eye: cover the other eye');
    expect(all[1]).toBe('Release: thumb button, firm wall liked');
    expect(all[2]).toBe('The old bow: peak weight 52 lb');
    expect(all[3]).toMatch(/^Legal least weight as the archer states it: 40.lb, abroad$/);
  });
});
