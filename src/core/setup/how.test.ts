import { aFinishedJob } from '../testing/fixtures';
import { derive } from '../job';
import { PARTS_OF_VALUES, REGISTRY, isOwnKey, isSetupKey, ownValue, setupValue } from './registry';
import { dependents, staleValues } from '../ripple';
import { historyOf } from './reading';
import { STEP_TEMPLATES } from '../bench';
import type { Reading, SetupKey } from './registry';

/** A shot before it was done anew says nothing of the bow after. */
const PAPERS_AFTER: readonly string[] = [
  'arrowMass',
  'cableTwists',
  'drawLength',
  'launcherSet',
  'moduleBottom',
  'moduleTop',
  'newLimb',
  'newModule',
  'newString',
  'peakWeight',
  'restFitted',
  'stringTwists',
  'timing',
];

describe('the registry', () => {
  test('what makes papers fresh when it is done anew', () =>
    expect(
      REGISTRY.filter(({ startsPapers }) => startsPapers)
        .map(({ key }) => key)
        .sort(),
    ).toEqual(PAPERS_AFTER));
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
  test('no key stands at two parts of the bow; a threshold is of a cause it has', () => {
    const keys = PARTS_OF_VALUES.flatMap((part) => Object.keys(part));
    expect(keys.length).toBe(REGISTRY.length);
    for (const { key, over = {}, dependsOn } of REGISTRY)
      for (const cause of Object.keys(over))
        expect([key, dependsOn]).toEqual([key, expect.arrayContaining([cause])]);
  });
  test('a target asks for values that exist', () => {
    const asked = new Set<string>();
    const { context } = derive(aFinishedJob());
    const watched = new Map(context.history);
    watched.get = (key) => (asked.add(key), context.history.get(key));
    for (const { target } of REGISTRY)
      target?.({ ...context, history: watched }, (key, others) => {
        [key, ...others].forEach((name) => asked.add(name));
        return context.history.get(key as SetupKey) ?? [];
      });
    expect(asked.size).toBeGreaterThan(8);
    expect([...asked].filter((key) => !isSetupKey(key))).toEqual([]);
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
    if (['choice', 'group', 'mark', 'text'].includes(setupValue(key).kind)) continue;
    const stale = staleValues(historyOf([...base, row(key, 900, 90)])).map((entry) => entry.key);
    expect(stale.sort()).toEqual(dependents(key, keys).sort());
  }
});

test('a finished job has nothing left but what nobody is asked for', () => {
  const { plan } = derive(aFinishedJob());
  expect(plan.visits).toEqual([]);
  expect(plan.minutesLeft).toBe(0);
});
