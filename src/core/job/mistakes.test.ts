import {
  aBow,
  aFinishedJob,
  aPart,
  anItem,
  aReading,
  aSnapshot,
  FINISHED,
  FULL_KIT,
} from '../testing/fixtures';
import { derive, openWork, readOptionsFor, stageStates } from '../job';
import { read, TRADE_UNITS } from '../units';
import { isFinished } from '../route';
import { ripplePreview } from '../ripple';
import type { Reading, SetupKey } from '../setup';

/** The mistakes benches make, each caught by what the job’s own record says. */

const job = (...more: Reading[]) => aFinishedJob({ rest: { readings: [...FINISHED, ...more] } });
const planOf = (...more: Reading[]) => derive(job(...more)).plan;
const stepOf = (id: string, plan = planOf()) => plan.steps.find((step) => step.id === id)!;
const staleAfter = (key: SetupKey, si: number) =>
  planOf(aReading(900, key, si)).stale.map(({ key: k }) => k);
const withoutKeys = (...keys: SetupKey[]) =>
  derive(aFinishedJob({ rest: { readings: FINISHED.filter(({ key }) => !keys.includes(key)) } }))
    .plan;

describe('mistakes the bench must catch', () => {
  test('module moved on one cam only: the step is out, and the sheet says so', () => {
    const snapshot = job(aReading(900, 'moduleTop', 711.2));
    const derived = derive(snapshot);
    expect(stepOf('modules', derived.plan).state).toBe('out');
    expect(stepOf('modules', derived.plan).template.watch!.join()).toContain('one cam only');
    expect(openWork(stageStates(snapshot, derived), derived).join('\n')).toMatch(
      /top module.*out of tolerance/i,
    );
    expect(stepOf('modules', withoutKeys('moduleTop')).state).toBe('open');
  });

  test('limb bolts unequal: nothing counts until they stand alike', () => {
    const plan = planOf(aReading(900, 'limbTurnsLower', 5));
    expect(plan.stale.map(({ key }) => key)).toContain('peakWeight');
    expect(isFinished(stepOf('limbBolts', plan))).toBe(false);
  });

  test('limb bolts past the limit: the number is refused with the bow’s own limit', () => {
    const answer = read('9', readOptionsFor('limbTurnsUpper', TRADE_UNITS, aBow())!);
    expect(answer).toMatchObject({ ok: false });
    expect(!answer.ok && answer.message).toContain('8');
  });

  test('cord too tight: marks that meet too early are out of the wanted inch', () => {
    const step = stepOf('cord', planOf(aReading(900, 'restCord', 60)));
    expect(step.state).toBe('out');
    expect(step.values[0]!.target!.reason).toContain('too tight');
  });

  test('cord on the wrong cable: the down cable is found before it is tied', () => {
    const plan = withoutKeys('downCableFound', 'restCord');
    expect(stepOf('cord', plan).missing).toEqual(['downCable']);
    expect(stepOf('downCable', plan).template.watch!.join()).toContain('wrong cable');
  });

  test('cord cut before tuning: the last knot waits for the paper', () => {
    const plan = withoutKeys('paperTear', 'cordTied');
    expect(stepOf('cordTie', plan).missing).toEqual(['paper']);
    const order = plan.visits.flatMap(({ steps }) => steps);
    expect(order.indexOf('paper')).toBeLessThan(order.indexOf('cordTie'));
    // Tied, and then the paper says something else: it has to be looked at again.
    expect(
      planOf(aReading(900, 'paperTear', 25, { si2: 0 })).stale.map(({ key }) => key),
    ).toContain('cordTied');
  });

  test('loop tied before the nock height is settled: it waits, and goes stale with it', () => {
    expect(stepOf('loop', withoutKeys('nockHeight', 'loop')).missing).toEqual(['nockHeight']);
    expect(staleAfter('nockHeight', 4)).toContain('loop');
  });

  test('peep set before the draw length is final: stale with every change of it', () => {
    expect(stepOf('peepArcher', withoutKeys('drawLength', 'peepRotation')).missing).toEqual([
      'board',
    ]);
    for (const [key, si] of [
      ['stringTwists', -1],
      ['moduleBottom', 711.2],
      ['drawLength', 710],
    ] as const)
      expect(staleAfter(key, si)).toEqual(expect.arrayContaining(['peepTrueHeight']));
  });

  test('tape stuck on before the speed is final: it waits for it, and goes stale with it', () => {
    const plan = withoutKeys('arrowSpeed', 'firstMark', 'tape');
    const order = plan.visits.flatMap(({ steps }) => steps);
    expect(order.indexOf('speed')).toBeLessThan(order.indexOf('tape'));
    expect(stepOf('tape', plan).missing).toEqual(['firstMark']);
    expect(stepOf('firstMark', plan).missing).toEqual(['speed']);
    expect(staleAfter('arrowSpeed', 74)).toEqual(expect.arrayContaining(['tape']));
    expect(staleAfter('peakWeight', 210)).toEqual(expect.arrayContaining(['arrowSpeed', 'tape']));
  });

  test('sight moved, level not checked: the first axis, and only what is screwed with it', () => {
    expect(staleAfter('sightBase', 4).sort()).toEqual(['fasteners', 'firstAxis']);
  });

  test('press used three times for what one visit does: once, whatever rest', () => {
    for (const drive of ['cableDriven', 'limbDriven', 'containment'] as const) {
      const parts = FULL_KIT.map((part) =>
        part.slot === 'rest' ? { ...part, item: anItem('rest', { drive }) } : part,
      );
      const extra = {
        ...FULL_KIT[0]!,
        ...aPart(anItem('dampeners', { place: 'string' }), 'dampeners'),
      };
      const { plan } = derive(
        aSnapshot({ job: { bowId: 'test-31-r' }, rest: { bow: aBow(), parts: [...parts, extra] } }),
      );
      const press = plan.visits.filter(({ station }) => station === 'press');
      expect(press).toHaveLength(1);
      expect(press[0]!.steps).toEqual(
        expect.arrayContaining(['twists', 'peepIn', 'stringDampeners', 'tracks']),
      );
      // It says what has to be ready before, and which parts.
      expect(press[0]!.ready).toEqual(
        expect.arrayContaining(['modules', 'limbBolts', 'nockHeight', 'loop']),
      );
      expect([...press[0]!.parts].sort()).toEqual(['dampeners', 'peep']);
    }
  });

  test('a change made and the sheet left as it was: not deliverable, with the chain of reasons', () => {
    const snapshot = job(aReading(900, 'stringTwists', -1));
    const derived = derive(snapshot);
    const open = openWork(stageStates(snapshot, derived), derived);
    expect(open.length).toBeGreaterThan(5);
    expect(open.join('\n')).toContain('the string was twisted after');
    const peep = derived.plan.stale.find(({ key }) => key === 'peepTrueHeight')!;
    expect(peep.chain[0]).toBe('stringTwists');
    expect(peep.chain.at(-1)).toBe('peepTrueHeight');
    expect(derive(job()).plan.stale).toEqual([]);
  });
});

test('what a change would ask for is told before, and is what then comes', () => {
  const { plan, history } = derive(job());
  for (const [key, si] of [
    ['stringTwists', -1],
    ['moduleTop', 711.2],
    ['nockHeight', 4],
    ['sightBase', 5],
  ] as const) {
    const told = ripplePreview(key, history, plan);
    expect([...told.keys].sort()).toEqual([...staleAfter(key, si)].sort());
    expect(told.minutes).toBeGreaterThan(0);
  }
});
