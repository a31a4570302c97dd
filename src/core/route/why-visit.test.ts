import { aBow, aPart, anItem, aSnapshot, FULL_KIT } from '../testing/fixtures';
import { derive } from '../job';
import { bestRoute } from './order';
import { STATIONS, STEP_TEMPLATES, ARCHER_CALL_COST } from '../bench';

const planOf = (changes: Parameters<typeof aSnapshot>[0] = {}) =>
  derive(
    aSnapshot({ job: { bowId: 'test-31-r' }, rest: { bow: aBow(), parts: FULL_KIT }, ...changes }),
  ).plan;

describe('why a visit is made', () => {
  test('every visit has its reason, and names steps of the job', () => {
    const { visits, steps } = planOf();
    const ids = new Set(steps.map(({ id }) => id));
    visits.forEach((visit, i) => {
      const { why } = visit;
      expect(visit.steps).toContain(why.step);
      if (why.kind === 'opens') {
        expect(why.then.length).toBeGreaterThan(0);
        why.then.forEach((id) => expect(ids).toContain(id));
      }
      if (why.kind === 'again') {
        const after = visits.findIndex((other) => other.steps.includes(why.after));
        expect(after).toBeLessThan(i);
        const before = visits.findLastIndex(
          (other, k) => k < i && other.station === visit.station && other.archer === visit.archer,
        );
        expect(after).toBeGreaterThan(before);
      }
    });
  });

  test('what has to be ready comes before, and all of it', () => {
    const { visits, steps } = planOf();
    visits.forEach((visit, i) => {
      const done = new Set(visits.slice(0, i).flatMap((other) => other.steps));
      visit.ready.forEach((id) => expect(done).toContain(id));
      for (const id of visit.steps)
        for (const need of steps.find((step) => step.id === id)!.missing)
          expect(visit.steps.includes(need) || visit.ready.includes(need)).toBe(true);
    });
  });

  test('the press says its parts: peep, and dampeners where they go in the string', () => {
    const dampeners = {
      ...FULL_KIT[0]!,
      ...aPart(anItem('dampeners', { place: 'string' }), 'dampeners'),
    };
    const press = (parts: typeof FULL_KIT) =>
      planOf({ rest: { bow: aBow(), parts } }).visits.find(({ station }) => station === 'press')!;
    expect(press(FULL_KIT).parts).toEqual(['peep']);
    expect([...press([...FULL_KIT, dampeners]).parts].sort()).toEqual(['dampeners', 'peep']);
  });
});

/** Cheapest cost by trying every order. */
function bruteForce(
  steps: readonly { id: string; station: string; archer: boolean; needs: readonly string[] }[],
) {
  const cost = Object.fromEntries(STATIONS.map((s) => [s.id, s.changeCost]));
  let best = Infinity;
  const walk = (done: string[], station: string, archer: boolean, paid: number): void => {
    if (paid >= best) return;
    if (done.length === steps.length) {
      best = paid;
      return;
    }
    for (const step of steps) {
      if (done.includes(step.id) || step.needs.some((need) => !done.includes(need))) continue;
      const more =
        (step.station === station ? 0 : cost[step.station]!) +
        (step.archer && !archer ? ARCHER_CALL_COST : 0);
      walk([...done, step.id], step.station, step.archer, paid + more);
    }
  };
  walk([], '', false, 0);
  return best;
}

describe('the route of real steps', () => {
  const every = STEP_TEMPLATES.map(({ id }) => id);
  /** Seven steps in a row of the list, with the needs that are among them. */
  test.each(Array.from({ length: 12 }, (_, i) => [i]))(
    'steps %i ff.: as cheap as every order tried',
    (i) => {
      const ids = every.filter((_, k) => k >= i * 3).slice(0, 7);
      const steps = STEP_TEMPLATES.filter(({ id }) => ids.includes(id)).map(
        ({ id, station, archer, needs }) => ({
          id,
          station,
          archer,
          needs: needs.filter((need) => ids.includes(need)),
        }),
      );
      const route = bestRoute({
        steps,
        changeCost: Object.fromEntries(STATIONS.map((s) => [s.id, s.changeCost])),
        archerCallCost: ARCHER_CALL_COST,
      });
      expect(route.ok && route.cost).toBe(bruteForce(steps));
    },
  );
});
