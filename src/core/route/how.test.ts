import { aFinishedJob } from '../__tests__/fixtures';
import { derive } from '../job';
import { REGISTRY, isOwnKey, isSetupKey, ownValue, setupValue } from './registry';
import { dependents, historyOf, staleValues } from './ripple';
import { STEP_TEMPLATES } from './steps';
import type { Reading, SetupKey } from './types';

describe('the registry', () => {
  test('sixty and more values, each once, none resting on itself by any way', () => {
    const keys = REGISTRY.map(({ key }) => key);
    expect(keys.length).toBeGreaterThanOrEqual(60);
    expect(new Set(keys).size).toBe(keys.length);
    for (const key of keys) {
      const above = new Set<SetupKey>();
      const walk = (one: SetupKey): void =>
        setupValue(one).dependsOn.forEach((parent) => {
          if (above.has(parent)) return;
          above.add(parent);
          walk(parent);
        });
      walk(key);
      expect(above).not.toContain(key);
    }
  });
  test('an own tick has its name from its key', () => {
    expect(ownValue('own:check-the-d-loop').name).toBe('Check the d loop');
    expect(['own:a-b', 'own:', 'own:A', 'loop', 'x'].map(isOwnKey)).toEqual([
      true,
      false,
      false,
      false,
      false,
    ]);
    expect([isSetupKey('own:wax'), isSetupKey('loop'), isSetupKey('weather')]).toEqual([
      true,
      true,
      false,
    ]);
  });
  test('where the archer has to be there, the step that takes it says so', () => {
    for (const { key, archer } of REGISTRY) {
      const steps = STEP_TEMPLATES.filter(({ reads }) => reads.includes(key));
      if (archer)
        steps.forEach((step) => expect([key, step.archer || key === 'pins']).toEqual([key, true]));
    }
  });
});

test('a change asks for what rests on it, near or far, and nothing else', () => {
  const keys = REGISTRY.map(({ key }) => key);
  const row = (key: SetupKey, seq: number, si: number): Reading => ({
    seq,
    key,
    si,
    si2: si,
    choice: null,
    entered: '',
    method: '',
    who: '',
    at: '',
    data: null,
  });
  // In an order that leaves nothing stale, as a bench would take them.
  const ordered: SetupKey[] = [];
  const put = (key: SetupKey): void => {
    if (ordered.includes(key)) return;
    setupValue(key).dependsOn.forEach(put);
    ordered.push(key);
  };
  keys.forEach(put);
  const base = ordered.map((key, i) => row(key, i + 1, setupValue(key).fromZero ? 0 : 1));
  expect(staleValues(historyOf(base))).toEqual([]);
  for (const key of keys) {
    if (['choice', 'group', 'mark'].includes(setupValue(key).kind)) continue;
    const stale = staleValues(historyOf([...base, row(key, 900, 90)])).map((entry) => entry.key);
    expect(stale.sort()).toEqual(dependents(key, keys).sort());
  }
});

test('a finished job has nothing left but what nobody is asked for', () => {
  const { plan } = derive(aFinishedJob());
  expect(plan.visits).toEqual([]);
  expect(plan.minutesLeft).toBe(0);
});
