import { examples, expectAgrees } from '../testing/examples';
import { TRADE_UNITS, mm, newton, turns } from '../units';
import { bestRoute } from './order';
import type { RouteInput } from './types';
import { type BuildContext, NO_SHOP_STEPS, STEP_TEMPLATES } from '../bench';
import { workPlan } from './plan';
import { isFinished } from './job-step';
import {
  USUAL_SCHOOLS,
  historyOf,
  standing,
  targetOf,
  type Reading,
  type SetupKey,
} from '../setup';
import type { BowRecord } from '../bow';

/** Cheapest cost by trying every order: only for a handful of steps. */
function bruteForce({ steps, changeCost, archerCallCost }: RouteInput): number {
  const walk = (done: string[], station: string, archer: boolean, cost: number): number => {
    if (done.length === steps.length) return cost;
    return Math.min(
      ...steps
        .filter((s) => !done.includes(s.id) && s.needs.every((id) => done.includes(id)))
        .map((s) =>
          walk(
            [...done, s.id],
            s.station,
            s.archer,
            cost +
              (s.station === station ? 0 : changeCost[s.station]!) +
              (s.archer && !archer ? archerCallCost : 0),
          ),
        ),
    );
  };
  return walk([], '', false, 0);
}

describe('the route', () => {
  test.each(examples('route'))('$title', ({ request, response, tolerance }) => {
    const answer = bestRoute(request as unknown as RouteInput);
    expectAgrees(answer, response, tolerance);
    if (!answer.ok) throw new Error(answer.message);
    const seen = new Set<string>();
    for (const id of answer.order) {
      const step = (request as unknown as RouteInput).steps.find((s) => s.id === id)!;
      expect(step.needs.every((need) => seen.has(need))).toBe(true);
      seen.add(id);
    }
  });

  test('equals brute force on small cases of all shapes', () => {
    let seed = 7;
    const random = (n: number) => (seed = (seed * 48271) % 2147483647) % n;
    for (let run = 0; run < 40; run++) {
      const steps = Array.from({ length: 6 }, (_, i) => ({
        id: `s${i}`,
        station: ['vice', 'press', 'lane'][random(3)]!,
        archer: random(3) === 0,
        needs: Array.from({ length: i }, (__, j) => `s${j}`).filter(() => random(4) === 0),
      }));
      const input = { steps, changeCost: { vice: 2, press: 6, lane: 5 }, archerCallCost: 8 };
      const answer = bestRoute(input);
      expect(answer.ok && answer.cost).toBe(bruteForce(input));
    }
  });

  test.each([
    [
      'cycle',
      [
        { id: 'a', station: 'x', archer: false, needs: ['b'] },
        { id: 'b', station: 'x', archer: false, needs: ['a'] },
      ],
    ],
    ['unknown-need', [{ id: 'a', station: 'x', archer: false, needs: ['z'] }]],
    ['unknown-station', [{ id: 'a', station: 'moon', archer: false, needs: [] }]],
    [
      'duplicate-step',
      [
        { id: 'a', station: 'x', archer: false, needs: [] },
        { id: 'a', station: 'x', archer: false, needs: [] },
      ],
    ],
  ])('refuses: %s', (reason, steps) => {
    expect(bestRoute({ steps, changeCost: { x: 1 }, archerCallCost: 1 })).toMatchObject({
      ok: false,
      reason,
    });
  });
});

const bow = {
  modules: [{ label: 'D', drawLengthMm: mm(698.5) }],
  moduleCams: ['top', 'bottom'],
  maxTurns: turns(8),
  letOff: 0.8,
  braceHeightMm: mm(165),
  centreShotMm: null,
} as unknown as BowRecord;

const context = (readings: Reading[] = []): BuildContext => ({
  bow,
  kit: {},
  history: historyOf(readings),
  fitDrawLengthMm: mm(701),
  moduleStepMm: mm(698.5),
  peakTargetN: newton(190),
  peakReason: 'fit',
  oldBow: {},
  like: null,
  leftOut: [],
  curve: null,
  predictedSpeed: null,
  schools: USUAL_SCHOOLS,
  shopSteps: NO_SHOP_STEPS,
  stepTimes: {},
  shop: TRADE_UNITS,
});
let seq = 0;
const take = (key: SetupKey, si: number | null, si2: number | null = null): Reading => ({
  seq: ++seq,
  key,
  si,
  si2,
  choice: null,
  entered: '',
  method: '',
  who: '',
  at: '',
  data: null,
});

describe('steps of a job', () => {
  test('templates need only steps that exist', () => {
    const ids = STEP_TEMPLATES.map((step) => step.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const step of STEP_TEMPLATES) step.needs.forEach((need) => expect(ids).toContain(need));
  });

  test('the press is visited once, and never before what must be ready', () => {
    const plan = workPlan(context(), []);
    expect(plan.visits.filter((visit) => visit.station === 'press')).toHaveLength(1);
    const order = plan.visits.flatMap((visit) => visit.steps);
    expect(order.indexOf('loop')).toBeLessThan(order.indexOf('peepIn'));
    expect(order.indexOf('board')).toBeGreaterThan(order.indexOf('tracks'));
  });

  test('a module read on one cam only leaves the step open, unequal ones are out', () => {
    const step = (...readings: Reading[]) =>
      workPlan(context(readings), []).steps.find((s) => s.id === 'modules')!;
    expect(step(take('moduleTop', 698.5)).state).toBe('open');
    expect(step(take('moduleTop', 698.5), take('moduleBottom', 711.2)).state).toBe('out');
    expect(step(take('moduleTop', 698.5), take('moduleBottom', 698.5)).state).toBe('done');
  });

  test('an exception signs a step off until it is measured anew or goes stale', () => {
    const readings = [
      take('stringTwists', -2),
      take('camLeanUpper', 0),
      take('camLeanLower', 0),
      take('drawLength', 690),
      take('timing', 0),
    ];
    const board = (list: Reading[]) =>
      workPlan(context(list), [
        {
          stepId: 'board',
          reason: 'archer likes it',
          who: 'T.O.',
          at: '',
          seq: readings.at(-1)!.seq + 0.5,
        },
      ]).steps.find((s) => s.id === 'board')!;
    expect(board(readings).state).toBe('signed');
    expect(isFinished(board(readings))).toBe(true);
    expect(board([...readings, take('stringTwists', 4)]).state).toBe('again');
    expect(board([...readings, take('drawLength', 689)]).state).toBe('out');
  });
});

describe('targets', () => {
  test('2.5 mm short of the archer asks for two twists taken out', () => {
    expect(targetOf('stringTwists', context())).toMatchObject({ si: -2, source: 'shop rule' });
  });
  test('centre shot falls back to 13/16 in and says it is a shop rule', () => {
    expect(targetOf('centreShot', context())).toMatchObject({ si: 20.6375, source: 'shop rule' });
  });
  test('no rest, no cord target', () => expect(targetOf('restCord', context())).toBeNull());
  test('a tear counts by its length', () => {
    const target = targetOf('paperTear', context());
    expect(standing(take('paperTear', -4, 4), target)).toBe('in');
    expect(standing(take('paperTear', -6, 4), target)).toBe('out');
  });
});
