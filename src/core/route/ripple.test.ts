import { aBow, A_FIT, aSnapshot, readingsOf } from '../__tests__/fixtures';
import { derive, type JobDerived } from '../job';
import { REGISTRY, setupValue } from './registry';
import { dependents, historyOf, staleValues } from './ripple';
import { targetOf } from './targets';
import { cableMoves, stringMoves } from './twist-moves';
import type { Reading, SetupKey } from './types';

let seq = 0;
const take = (key: SetupKey, si: number | null = null, si2: number | null = null): Reading => ({
  seq: ++seq,
  key,
  si,
  si2,
  choice: null,
  entered: '',
  method: 'typed',
  who: 'T.O.',
  at: '2026-11-24T09:00:00Z',
  data: null,
});
const stale = (...readings: Reading[]) =>
  staleValues(historyOf(readings))
    .map((entry) => entry.key)
    .sort();

describe('the registry', () => {
  test('keys are unique, dependencies exist and have no cycle', () => {
    const keys = REGISTRY.map((value) => value.key);
    expect(new Set(keys).size).toBe(keys.length);
    expect(keys.length).toBeGreaterThanOrEqual(20);
    const visit = (key: SetupKey, path: SetupKey[]): void => {
      expect(path).not.toContain(key);
      setupValue(key).dependsOn.forEach((parent) => visit(parent, [...path, key]));
    };
    keys.forEach((key) => visit(key, []));
  });
});

describe('ripple', () => {
  test('twisting the string after the peep was set makes the peep stale, with the chain', () => {
    const readings = [
      take('stringTwists', 0),
      take('drawLength', 700),
      take('loop', 12),
      take('peepHeight', 150),
    ];
    expect(stale(...readings)).toEqual([]);
    const after = [...readings, take('stringTwists', 2)];
    expect(stale(...after)).toEqual(['drawLength', 'peepHeight']);
    const peep = staleValues(historyOf(after)).find((entry) => entry.key === 'peepHeight')!;
    expect(peep.chain).toEqual(['stringTwists', 'drawLength', 'peepHeight']);
    expect(peep.sentence).toBe('the string was twisted after “peep on the string” was taken');
  });

  test('a value in between measured again and unchanged stops the ripple; changed, it goes on', () => {
    const readings = [
      take('stringTwists', 0),
      take('drawLength', 700),
      take('loop', 12),
      take('peepHeight', 150),
      take('stringTwists', 2),
    ];
    expect(stale(...readings, take('drawLength', 700.5))).toEqual([]);
    expect(stale(...readings, take('drawLength', 705))).toEqual(['peepHeight']);
  });

  test('the same value read again changes nothing', () => {
    expect(
      stale(take('limbTurnsUpper', 4), take('peakWeight', 220), take('limbTurnsUpper', 4.1)),
    ).toEqual([]);
  });

  test('turned and turned back is still a change', () => {
    expect(
      stale(
        take('limbTurnsUpper', 4),
        take('peakWeight', 220),
        take('limbTurnsUpper', 5),
        take('limbTurnsUpper', 4),
      ),
    ).toEqual(['peakWeight']);
  });

  test('moving the sight’s base asks for the first axis only', () => {
    const all = REGISTRY.filter((v) => v.key !== 'sightBase').map((v) => v.key);
    const readings = [
      take('sightFitted'),
      take('sightBase', 2),
      ...all
        .filter((k) => k !== 'sightFitted')
        .map((k) => take(k, setupValue(k).fromZero ? 0 : 1, 1)),
    ];
    expect(stale(...readings, take('sightBase', 3)).filter((key) => key !== 'fasteners')).toEqual([
      'firstAxis',
    ]);
  });

  test('a move at the rest asks for the cord again', () => {
    expect(stale(take('centreShot', 20), take('restCord', 10), take('centreShot', 22))).toEqual([
      'restCord',
    ]);
  });

  test('a change passes through a value never measured', () => {
    expect(
      stale(take('stringTwists', 0), take('peepTrueHeight', 120), take('stringTwists', 3)),
    ).toEqual(['peepTrueHeight']);
  });

  test('what a twist would ask for is known before it is done', () => {
    const list = dependents(
      'stringTwists',
      REGISTRY.map((v) => v.key),
    );
    expect(list).toEqual(
      expect.arrayContaining(['drawLength', 'peakWeight', 'timing', 'peepHeight', 'firstMark']),
    );
    expect(list).not.toContain('secondAxis');
  });
});

describe('what twists did on this bow', () => {
  test('a move is learned from two looks with nothing but twists between them', () => {
    const history = historyOf(
      readingsOf(
        ['drawLength', 704],
        ['stringTwists', 2],
        ['drawLength', 701],
        ['moduleTop', 685],
        ['stringTwists', 4],
        ['drawLength', 686],
      ),
    );
    expect(stringMoves(history)).toEqual([{ twists: 2, movedMm: -3 }]);
  });
  test('cable twists and timing; a look repeated without twists is no move', () => {
    const history = historyOf(
      readingsOf(
        ['timing', 4],
        ['timing', 3.8],
        ['cableTwists', 1.5],
        ['timing', 1.2],
        ['limbTurnsUpper', 3],
        ['cableTwists', 2],
        ['timing', 0],
      ),
    );
    const moves = cableMoves(history);
    expect(moves).toHaveLength(1);
    expect(moves[0]!.twists).toBe(1.5);
    expect(moves[0]!.movedMm).toBeCloseTo(-2.6);
  });
  test('the string’s target starts from the module and goes on from the draw board', () => {
    const context = (readings: Reading[]) =>
      derive(
        aSnapshot({
          job: { bowId: 'test-31-r' },
          rest: { bow: aBow(), fitReadings: A_FIT, readings },
        }),
      ).context;
    const fit = context([]).fitDrawLengthMm!;
    const first = targetOf('stringTwists', context([]))!;
    expect(first.reason).toContain('between module and archer');
    const off = readingsOf(['stringTwists', first.si], ['drawLength', fit + 6]);
    const next = targetOf('stringTwists', context(off))!;
    expect(next.si).toBe(first.si + 5);
    expect(next.reason).toContain('between draw board and archer');
    const there = readingsOf(['stringTwists', first.si], ['drawLength', fit + 1]);
    expect(targetOf('stringTwists', context(there))!.si).toBe(first.si);
  });
  test('a cable is asked for only where the cams run apart, and the look is asked for again', () => {
    const plan = (...pairs: Parameters<typeof readingsOf>) =>
      derive(
        aSnapshot({
          job: { bowId: 'test-31-r' },
          rest: { bow: aBow(), fitReadings: A_FIT, readings: readingsOf(...pairs) },
        }),
      );
    const has = (derived: JobDerived) => derived.plan.steps.find(({ id }) => id === 'timeCams');
    expect(has(plan(['timing', 0.5]))).toBeUndefined();
    const apart = plan(['timing', 3]);
    expect(has(apart)).toBeDefined();
    expect(targetOf('cableTwists', apart.context)).toMatchObject({ si: 2 });
    const twisted = plan(['timing', 3], ['cableTwists', 2]);
    expect(twisted.plan.stale.map(({ key }) => key)).toContain('timing');
    expect(targetOf('cableTwists', twisted.context)!.reason).toContain('Look at the timing again');
    const again = plan(['timing', 3], ['cableTwists', 2], ['timing', 1.6]);
    expect(targetOf('cableTwists', again.context)!.si).toBeGreaterThan(2);
  });
});
