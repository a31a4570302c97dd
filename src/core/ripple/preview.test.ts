import { aFinishedJob } from '../testing/fixtures';
import { derive } from '../job';
import { ripplePreview } from './preview';
import { REGISTRY, historyOf, type Reading } from '../setup';
import { staleValues } from './ripple';

const finished = aFinishedJob();
const { history, plan } = derive(finished);

describe('what a change would ask for again', () => {
  test.each(REGISTRY.map(({ key }) => key).filter((key) => history.has(key)))(
    '%s: just what the change then asks for',
    (key) => {
      const { keys } = ripplePreview(key, history, plan);
      const last = history.get(key)!.at(-1)!;
      const next: Reading = {
        ...last,
        seq: 10_000,
        si: (last.si ?? 0) + 500,
        choice: last.choice === null ? null : 'otherwise',
      };
      const after = staleValues(historyOf([...finished.readings, next])).map((entry) => entry.key);
      expect([...keys].sort()).toEqual(after.filter((other) => other !== key).sort());
    },
  );

  test('the minutes are those of the steps that take them', () => {
    const { keys, minutes } = ripplePreview('moduleTop', history, plan);
    expect(keys.length).toBeGreaterThan(5);
    const steps = plan.steps.filter(({ values }) => values.some(({ key }) => keys.includes(key)));
    expect(minutes).toBe(steps.reduce((sum, { template }) => sum + template.minutes, 0));
    expect(minutes).toBeGreaterThan(10);
  });

  test('moving the sight’s base asks for little, and what nothing rests on for nothing', () => {
    expect(ripplePreview('sightBase', history, plan).keys.length).toBeLessThan(4);
    expect(ripplePreview('bowMass', history, plan)).toEqual({ keys: [], minutes: 0 });
  });

  test('what was never taken changes nothing; what is stale already is not asked twice', () => {
    const few = historyOf(finished.readings.filter(({ key }) => key !== 'moduleTop'));
    expect(ripplePreview('moduleTop', few, plan)).toEqual({ keys: [], minutes: 0 });
    const twisted: Reading = { ...finished.readings[0]!, key: 'stringTwists', seq: 9000, si: 40 };
    const now = historyOf([...finished.readings, twisted]);
    const stale = staleValues(now).map((entry) => entry.key);
    expect(stale.length).toBeGreaterThan(0);
    for (const key of ripplePreview('stringTwists', now, plan).keys)
      expect(stale).not.toContain(key);
  });
});
