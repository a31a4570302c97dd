import { readFileSync } from 'node:fs';
import { aBow, A_FIT, aSnapshot, readingsOf } from '../testing/fixtures';
import { derive, type JobDerived } from '../job';
import {
  REGISTRY,
  setupValue,
  historyOf,
  targetOf,
  cableMoves,
  stringMoves,
  type Reading,
  type SetupKey,
} from '../setup';
import { dependents, staleValues } from './ripple';

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

/** Causes before what rests on them. */
const depth = (key: SetupKey): number =>
  1 + Math.max(0, ...setupValue(key).dependsOn.map((parent) => depth(parent)));

test('the page of what rests on what says what the registry says', () => {
  const page = readFileSync('docs/decisions/0005-what-rests-on-what.md', 'utf8');
  const rows = new Map(
    [...page.matchAll(/^\| `(\w+)` +\| (.*?) +\| (.*?) +\|$/gm)].map(([, key, causes, why]) => [
      key,
      { causes: causes!, why: why! },
    ]),
  );
  for (const value of REGISTRY) {
    const row = rows.get(value.key)!;
    expect(row.why.length).toBeGreaterThan(8);
    const named = [...row.causes.matchAll(/`([\w:]+)`/g)].map(([, key]) => key);
    expect([value.key, named]).toEqual([value.key, value.dependsOn]);
  }
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

  test('turned and turned back is no cause any more', () => {
    const there = [take('limbTurnsUpper', 4), take('peakWeight', 220), take('limbTurnsUpper', 5)];
    expect(stale(...there)).toEqual(['peakWeight']);
    expect(stale(...there, take('limbTurnsUpper', 4))).toEqual([]);
  });

  test('creep adds up: four steps of one are a change of four', () => {
    const readings = [take('nockHeight', 9), take('loop', 12), take('vaneClearance')];
    const creep = [9.5, 10, 10.5, 11, 12, 13].map((si) => take('nockHeight', si));
    expect(stale(...readings, creep[0]!)).toEqual([]);
    expect(stale(...readings, ...creep)).toEqual(['loop', 'vaneClearance']);
    const { cause } = staleValues(historyOf([...readings, ...creep]))[0]!;
    // From where on it stood further off than is noticed.
    expect(cause.si).toBe(10.5);
  });

  test('the dependent says what it notices, not the cause’s own tolerance', () => {
    // The paper notices three quarters of a millimetre at the rest, the loop a whole one at the nock.
    const readings = [take('centreShot', 20), take('paperTear', 3, 2)];
    expect(stale(...readings, take('centreShot', 20.7))).toEqual([]);
    expect(stale(...readings, take('centreShot', 20.8))).toEqual(['paperTear']);
    const loop = [take('nockHeight', 2), take('loop', 12)];
    expect(stale(...loop, take('nockHeight', 2.9))).toEqual([]);
    expect(stale(...loop, take('nockHeight', 3.1))).toEqual(['loop']);
  });

  test('read again and found as it was: what hangs on it is not asked for', () => {
    const readings = [
      take('braceHeight', 165),
      take('stringStop', 3),
      take('limbTurnsUpper', 5),
      take('limbTurnsUpper', 3),
    ];
    expect(stale(...readings)).toEqual(['braceHeight', 'stringStop']);
    const same = { ...take('braceHeight', 165), method: 'confirmed' };
    expect(stale(...readings, same)).toEqual([]);
    expect(stale(...readings, take('braceHeight', 167))).toEqual(['stringStop']);
  });

  test('a tick is a change each time, but not one that was only looked at again', () => {
    const readings = [take('sightFitted'), take('secondAxis', 0)];
    expect(stale(...readings, { ...take('sightFitted'), method: 'confirmed' })).toEqual([]);
    expect(stale(...readings, take('sightFitted'))).toEqual(['secondAxis']);
    // Also the first tick of all, where the work was done after the value was read.
    expect(stale(take('arrowSpeed', 70), take('dampenersFitted'))).toEqual(['arrowSpeed']);
  });

  const part = (key: SetupKey, choice: string | null) => ({ ...take(key), choice });
  test('another sight asks for mounting and all that rests on it; the old one again for nothing', () => {
    const all = REGISTRY.filter(({ stage, key }) => stage !== 'handover' && key !== 'newString');
    const first = [part('part:sight', 'a'), take('sightFitted')];
    const rest = [...all]
      .filter(({ key }) => key !== 'sightFitted')
      .sort((a, b) => depth(a.key) - depth(b.key))
      .map(({ key, fromZero }) => take(key, fromZero ? 0 : 1, 1));
    const swap = part('part:sight', 'b');
    const asked = stale(...first, ...rest, swap);
    expect(asked).toEqual(
      expect.arrayContaining([
        'sightFitted',
        'sightBase',
        'housingHeight',
        'housingWindage',
        'firstAxis',
        'secondAxis',
        'thirdAxis',
        'peepToPin',
        'firstMark',
        'markShot',
        'tape',
        'pins',
      ]),
    );
    for (const key of ['nockHeight', 'paperTear', 'drawLength', 'arrowSpeed'])
      expect(asked).not.toContain(key);
    expect(stale(...first, ...rest, swap, part('part:sight', 'a'))).toEqual([]);
  });
  test.each<[SetupKey, SetupKey[]]>([
    ['part:arrows', ['arrowMass', 'paperTear', 'arrowSpeed', 'vaneClearance', 'firstMark', 'tape']],
    [
      'part:rest',
      ['restFitted', 'centreShot', 'nockHeight', 'restCord', 'vaneClearance', 'paperTear'],
    ],
    ['part:peep', ['inTracks', 'peepHeight', 'peepTrueHeight', 'peepRotation', 'firstMark']],
    ['part:stabiliser', ['stabiliserFitted', 'bowMass', 'steadyTip']],
    ['part:quiver', ['quiverFitted', 'bowMass', 'steadyTip']],
    [
      'newString',
      [
        'drawLength',
        'peakWeight',
        'timing',
        'braceHeight',
        'nockHeight',
        'loop',
        'peepHeight',
        'dampenersFitted',
        'paperTear',
      ],
    ],
  ])('%s changed asks for %j', (key, wanted) => {
    const rest = REGISTRY.filter((v) => v.key !== 'newString').map((v) =>
      take(v.key, v.fromZero ? 0 : 1, 1),
    );
    // Nothing is stale to begin with: each was ticked or read once, in the registry’s order of causes.
    const sorted = [...rest]
      .sort((a, b) => depth(a.key) - depth(b.key))
      .map((r) => ({ ...r, seq: ++seq }));
    const before = part(key, 'old');
    expect(stale({ ...before, seq: 0.5 }, ...sorted)).toEqual([]);
    expect(stale({ ...before, seq: 0.5 }, ...sorted, part(key, 'new'))).toEqual(
      expect.arrayContaining(wanted),
    );
  });
  test('the first twists ever noted are counted from none', () => {
    expect(stale(take('peakWeight', 220), take('stringTwists', 3))).toEqual(['peakWeight']);
    expect(stale(take('peakWeight', 220), take('stringTwists', 0))).toEqual([]);
  });
  test('a yoke leg asks for timing and draw length, a moved guard for clearance', () => {
    expect(stale(take('timing', 0), take('drawLength', 700), take('leanFixUpper', 1))).toEqual([
      'drawLength',
      'timing',
    ]);
    expect(stale(take('cableGuard', 30), take('vaneClearance'), take('cableGuard', 33))).toEqual([
      'vaneClearance',
    ]);
  });
  test('a brace height that moved asks for draw length, peak, timing and the string stop', () => {
    expect(
      stale(
        take('braceHeight', 165),
        take('drawLength', 700),
        take('peakWeight', 220),
        take('timing', 0),
        take('stringStop', 3),
        take('braceHeight', 170),
      ),
    ).toEqual(['drawLength', 'peakWeight', 'stringStop', 'timing']);
  });

  test('moving the sight’s base asks for the first axis only', () => {
    const all = REGISTRY.filter((v) => v.key !== 'sightBase').map((v) => v.key);
    const readings = [
      take('sightFitted'),
      take('sightBase', 2),
      ...all
        .filter((k) => k !== 'sightFitted' && k !== 'newString')
        .sort((a, b) => depth(a) - depth(b))
        .map((k) => take(k, setupValue(k).fromZero ? 0 : 1, 1)),
    ];
    const screwed = ['fasteners', 'setScrews'];
    expect(
      stale(...readings, take('sightBase', 3)).filter((key) => !screwed.includes(key)),
    ).toEqual(['firstAxis']);
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
