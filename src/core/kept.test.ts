import {
  bowOutline,
  camLean,
  camTiming,
  chronograph,
  rankDrawOff,
  speedModel,
  type CamSystem,
  type DrawOffMark,
} from './bow';
import {
  bowCover,
  chooseModule,
  doubtful,
  drawLength,
  drawWeight,
  growthPlan,
  limbBolts,
  postureEvidence,
  priorMedianN,
  retake,
  shopModules,
  turningPlan,
  POSTURE,
  type DrawLengthMethod,
} from './fit';
import {
  candidateTapes,
  groupSpread,
  pinClicks,
  pinDistances,
  pinLayout,
  sightFit,
  sightMarks,
  sightTape,
  slopeTable,
  tapeSheet,
  thirdAxisFromGroups,
  weatherTable,
  railMissMm,
  tiltMissMm,
} from './flight';
import { aimFindings, hiddenArcher, holdCompare, holdTrace, pathOf, simulatedHold } from './hold';
import {
  bareShaftAdvice,
  bareShaftTear,
  paperTune,
  simulatedBow,
  trueTear,
  walkBack,
  type PaperEvent,
} from './tuning';
import { aBow, aShop } from './testing/fixtures';
import { told } from './testing/told';
import { newtonMm, degree, gram, metre, mm, mps, newton, second, turns } from './units';

/*
 * Calculations over many cases, kept as they were when somebody last read them (`npx jest core/kept -u`,
 * then `git diff`): a change shows where it reaches. Whether a formula is right is asked by the table
 * beside it, whose figures come from elsewhere.
 */

const SHOP = aShop().units;

describe('draw length and weight', () => {
  const METHODS: readonly [DrawLengthMethod, number][] = [
    ['armSpan', 1760],
    ['wallToMouth', 698],
    ['markedArrow', 655],
    ['fittingBow', 661],
  ];
  const steps = [660, 673, 686, 699, 711, 724].map(mm);
  test.each([true, false])('lengths read, the loop counting: %s', (loopCounts) => {
    const readings = METHODS.map(([method, valueMm]) => ({ method, valueMm: mm(valueMm) }));
    const some = [[0], [0, 1], [2, 3], [0, 1, 2, 3], [3, 3, 0]].map((which) =>
      which.map((i) => readings[i]!),
    );
    const apart = [...readings, { method: 'fittingBow' as const, valueMm: mm(690) }];
    expect(
      told({
        lengths: [...some, apart].map((read) =>
          drawLength(read, { loopCounts, moduleStepsMm: steps }),
        ),
        again: [658, 668, 690].map((valueMm) =>
          retake(readings, { method: 'fittingBow', valueMm: mm(valueMm) }, { loopCounts }),
        ),
        doubts: [500, 600, 780, 900].flatMap((valueMm) =>
          (['adult', 'child'] as const).map((who) =>
            doubtful({ method: 'wallToMouth', valueMm: mm(valueMm) }, who, loopCounts),
          ),
        ),
        modules: [640, 679, 679.5, 680, 705, 760].map((target) => chooseModule(mm(target), steps)),
        shop: shopModules([aBow(), aBow({ id: 'other', hand: 'left' })], mm(705), 'right'),
      }),
    ).toMatchSnapshot();
  });
  test('posture beside the number', () => {
    const all = POSTURE.map(({ id }) => id);
    const seen = [
      all.map((place) => ({ place, seen: 'tooLong' as const })),
      all.map((place) => ({ place, seen: 'right' as const })),
      all.slice(0, 2).map((place) => ({ place, seen: 'tooShort' as const })),
      all.map((place, i) => ({
        place,
        seen: i % 2 ? ('tooShort' as const) : ('tooLong' as const),
      })),
    ];
    const number = { drawLengthMm: mm(700), sigmaMm: mm(5) };
    expect(
      told(
        seen.flatMap((looks) =>
          [null, 685, 698, 712].map((drawn) =>
            postureEvidence(looks, drawn === null ? null : mm(drawn), number, SHOP),
          ),
        ),
      ),
    ).toMatchSnapshot();
  });
  test('weights: medians, trials, growth', () => {
    const trial = (peakN: number, outcome: 'smooth' | 'strained' | 'failed' | 'pain') => ({
      peakN: newton(peakN),
      outcome,
    });
    const ages = ['under12', '12to15', '16to59', 'from60'] as const;
    const medians = ages.flatMap((ageBand) =>
      (['none', 'returning', 'regular'] as const).map((experience) =>
        priorMedianN({ ageBand, build: 'medium', experience, injury: 'healed' }),
      ),
    );
    const trials = [
      [],
      [trial(150, 'smooth')],
      [trial(150, 'smooth'), trial(180, 'strained')],
      [trial(150, 'smooth'), trial(200, 'failed'), trial(180, 'smooth')],
      [trial(120, 'pain')],
    ].map((made) => {
      const { grid, ...rest } = drawWeight({ priorMedianN: newton(190), trials: made });
      return { ...rest, points: grid.length, middle: grid[Math.floor(grid.length / 2)] };
    });
    const growth = [
      growthPlan(newton(160), newton(220), '2026-11-24'),
      growthPlan(newton(160), newton(220), '2026-11-24', { isChild: true, strainedN: 172 }),
      growthPlan(newton(220), newton(220), '2026-11-24'),
      growthPlan(newton(160), newton(300), '2026-11-24', { most: 3 }),
    ];
    expect(told({ medians, trials, growth })).toMatchSnapshot();
  });
  test('limb bolts', () => {
    const bolts = (readings: [number, number][], targetN = 230) =>
      limbBolts({
        ...{ maxPeakN: newton(267), minPeakN: newton(200), maxTurns: turns(8) },
        ...{ targetN: newton(targetN) },
        readings: readings.map(([t, n]) => ({ turns: turns(t), peakN: newton(n) })),
      });
    expect(
      told([
        bolts([]),
        bolts([[0, 262]]),
        bolts([
          [0, 270],
          [2, 255],
          [4, 238],
        ]),
        bolts([
          [0, 262],
          [3, 266],
        ]),
        bolts([
          [0, 262],
          [0, 249],
        ]),
        bolts([[1, 180]]),
        bolts([[2, 250]], 180),
        bolts([[2, 250]], 300),
        bolts([[9, 200]]),
        turningPlan(turns(0), turns(3.5)),
        turningPlan(turns(4), turns(1.25)),
      ]),
    ).toMatchSnapshot();
  });
  test('bows held beside the fit', () => {
    const wanted = {
      drawLengthMm: mm(705),
      startN: newton(200),
      hand: 'right' as const,
      oldPeakN: null,
      shop: SHOP,
    };
    const more = {
      budgetCents: 50000,
      today: '2026-11-24',
      promisedDay: '2026-12-01',
      wall: 'firm' as const,
    };
    expect(
      told(
        (
          [
            [aBow(), wanted],
            [aBow(), { ...wanted, ...more, oldPeakN: newton(320) }],
            [aBow({ hand: 'left' }), wanted],
            [aBow(), { ...wanted, drawLengthMm: mm(600) }],
            [aBow(), { ...wanted, drawLengthMm: mm(767) }],
            [aBow(), { ...wanted, startN: newton(120) }],
            [aBow({ stock: 0 }), { ...wanted, ...more }],
            [aBow(), { ...wanted, drawLengthMm: null, startN: null }],
          ] as const
        ).map(([bow, fit]) => {
          const { bow: _bow, ...cover } = bowCover(bow, fit);
          return cover;
        }),
      ),
    ).toMatchSnapshot();
  });
});

describe('the bow', () => {
  const SYSTEMS: readonly CamSystem[] = ['single', 'twoCam', 'hybrid', 'camAndAHalf'];
  test.each(SYSTEMS)('drawn with %s cams, and timed', (camSystem) => {
    const outline = bowOutline({ axleToAxleMm: 812, braceHeightMm: 178, camSystem });
    const timing = [-6, -3, -0.5, 2, 4].flatMap((gapMm) =>
      [
        [],
        [{ twists: 1, movedMm: -2.2 }],
        [
          { twists: 1, movedMm: -1 },
          { twists: -2, movedMm: 2.5 },
        ],
      ].map((moves) => camTiming({ camSystem, gapMm, moves })),
    );
    expect(told({ outline, timing })).toMatchSnapshot();
  });
  test('leaning cams', () => {
    expect(
      told(
        (['upper', 'lower'] as const).flatMap((cam) =>
          ([null, 'none', 'top', 'both'] as const).flatMap((yokes) =>
            [-4, -1, 2, 5].flatMap((leanMm) =>
              [[], [{ twists: 1, movedMm: -1.6 }]].map((moves) =>
                camLean({ cam, yokes, leanMm, moves }),
              ),
            ),
          ),
        ),
      ),
    ).toMatchSnapshot();
  });
  test('speeds', () => {
    const shots = [
      [70],
      [70, 70.4],
      [70.1, 70.2, 69.9, 70],
      [70.1, 70.2, 69.9, 70, 66],
      [0.1, 70, 70],
    ];
    const measured = [
      [350, 70],
      [420, 65.2],
      [300, 74.1],
    ].map(([g, v]) => ({
      arrowG: gram(g! * 0.0648),
      speedMps: mps(v!),
    }));
    expect(
      told({
        shots: shots.map(chronograph),
        models: [1, 2, 3].map((n) => speedModel(measured.slice(0, n), 85, 2.2)),
      }),
    ).toMatchSnapshot();
  });
  test('bows drawn side by side', () => {
    const mark = (
      first: string,
      second: string,
      better: string | null,
      aspect: DrawOffMark['aspect'] = 'grip',
    ): DrawOffMark => ({
      first,
      second,
      better,
      aspect,
    });
    const off = (marks: DrawOffMark[], speedCounts = false) =>
      rankDrawOff(
        { bowIds: ['a', 'b', 'c'], speedCounts, marks },
        speedCounts ? { a: 80, b: 84, c: 79 } : undefined,
      );
    expect(
      told([
        off([]),
        off([mark('a', 'b', 'a'), mark('b', 'c', 'c', 'draw'), mark('a', 'c', null, 'wall')]),
        off(
          [
            mark('a', 'b', 'a'),
            mark('a', 'b', 'a', 'draw'),
            mark('a', 'c', 'a'),
            mark('b', 'c', 'b'),
          ],
          true,
        ),
        off([mark('a', 'a', 'a')]),
        rankDrawOff(
          { bowIds: ['a', 'b', 'c'], speedCounts: true, marks: [mark('a', 'b', null)] },
          { a: 80, c: 83 },
        ),
        rankDrawOff({ bowIds: ['a', 'b'], speedCounts: true, marks: [] }, {}),
        off([mark('a', 'x', 'a')]),
      ]),
    ).toMatchSnapshot();
  });
});

const FLIGHT = {
  ...{ speedMps: mps(76), arrowG: gram(24), shaftOuterMm: mm(6.2) },
  ...{ peepHeightMm: mm(112), peepToPinMm: mm(745) },
};
const AT = [15, 20, 30, 45, 60, 80].map(metre);

describe('flight', () => {
  test.each([-40, -10, 0, 25, 55])('marks on a slope of %d degrees', (slopeDeg) => {
    const clearance = { housingRadiusMm: mm(24), vaneHeightMm: mm(11) };
    const marks = (input: object) =>
      sightMarks({ ...FLIGHT, distancesM: AT, slopeDeg, ...input } as never);
    expect(
      told([
        marks({}),
        marks({ clearance }),
        marks({ speedMps: 45, clearance }),
        marks({ speedMps: 25 }),
      ]),
    ).toMatchSnapshot();
  });
  test('slopes, weather, levels', () => {
    const leaving = { distanceM: metre(50), launchDeg: degree(2.4), pinAboveArrowMm: mm(81) };
    const group = (rightMm: number, slopeDeg: number) => ({ ...leaving, rightMm, slopeDeg });
    expect(
      told({
        slopes: slopeTable(FLIGHT, AT, [-30, -15, 0, 15, 30, 50]),
        slow: slopeTable({ ...FLIGHT, speedMps: mps(38) }, [5, 12, 40, 120].map(metre), [-45, 30]),
        weather: weatherTable(FLIGHT, AT),
        hot: weatherTable(FLIGHT, AT, { temperatureC: 34, pressureHpa: 940, humidity: 0.7 }),
        tilts: [-2, 1, 4].map((deg) => tiltMissMm(leaving, deg)),
        rails: [-1, 2].map((deg) => railMissMm(metre(50), 31, mm(745), deg)),
        thirds: [
          thirdAxisFromGroups(group(40, 30), group(-35, -30), mm(745)),
          thirdAxisFromGroups(group(40, 25), group(40, -25), mm(745)),
          thirdAxisFromGroups(group(40, 8), group(0, -8), mm(745)),
          thirdAxisFromGroups(group(4000, 30), group(-4000, -30), mm(745)),
        ],
      }),
    ).toMatchSnapshot();
  });
  test('tapes', () => {
    const usual = {
      unit: 'm',
      numbersEvery: 10,
      side: 'left',
      lineMm: 0.25,
      widthMm: 10,
      from: 18,
      to: 70,
      ratio: 1,
    } as const;
    const tape = (options: object) => sightTape(FLIGHT, { ...usual, ...options });
    const made = candidateTapes(FLIGHT, usual, [74, 78, 76]).flatMap((one) =>
      one.ok ? [one] : [],
    );
    const words = {
      title: 'Tape',
      lines: ['one', 'two'],
      ruler: 'a ruler',
      strip: () => ['76 m/s', 'own'],
    };
    expect(
      told({
        plain: tape({}),
        yards: tape({ unit: 'yd', numbersEvery: 5, from: 20, to: 60, side: 'right', ratio: 1.4 }),
        clear: sightTape(
          {
            ...FLIGHT,
            speedMps: mps(60),
            clearance: { housingRadiusMm: mm(24), vaneHeightMm: mm(11) },
          },
          { ...usual, to: 100 },
        ),
        bad: [
          { from: 70, to: 20 },
          { widthMm: 3 },
          { lineMm: 4 },
          { ratio: 0 },
          { from: 0.5 },
          { to: 5000 },
        ].map(tape),
        sheet: tapeSheet(made, 'A4', words),
        narrow: tapeSheet(made.slice(0, 1), 'LETTER', words).strips,
      }),
    ).toMatchSnapshot();
  });
  test('marks fitted, and the odd one named', () => {
    const { speedMps: _speed, ...geometry } = FLIGHT;
    const marks = sightMarks({ ...FLIGHT, distancesM: AT });
    if (!marks.ok) throw new Error(marks.message);
    const first = marks.marks[0]!.pinAboveArrowMm;
    const shots = (off: readonly number[]) =>
      marks.marks.map(({ distanceM, pinAboveArrowMm }, i) => ({
        distanceM,
        dropMm: mm(first - pinAboveArrowMm + (off[i] ?? 0)),
      }));
    const fit = (off: readonly number[], most = 6, fitDrag = false) =>
      sightFit({ ...geometry, shots: shots(off).slice(0, most), fitDrag });
    expect(
      told([
        fit([]),
        fit([], 2),
        fit([0, 0.2, -0.1, 0.3, -0.2, 0.1]),
        fit([0, 0.2, -0.1, 3, -0.2, 0.1]),
        fit([0, 0.2, -0.1, 0.3, -0.2, 0.1], 6, true),
        fit([0, 30, -10]),
        fit([], 1),
        sightFit({ ...geometry, shots: [...shots([]).slice(0, 2), shots([])[1]!] }),
      ]),
    ).toMatchSnapshot();
  });
  test('pins and groups', () => {
    const housing = { pins: 5, pinMm: mm(0.7), roomMm: mm(40) };
    const drops = [0, 6, 14, 25, 38].map(mm);
    const at = [20, 30, 40, 50, 60].map(metre);
    const hits = [
      [3, 4],
      [8, -2],
      [5, 9],
      [11, 3],
      [-2, 6],
    ].map(([x, y]) => ({ rightMm: mm(x!), upMm: mm(y!) }));
    expect(
      told({
        pins: [null, 0.1, 0.35, 1.2, 9].map((from) =>
          pinLayout(housing, at, drops, from === null ? null : mm(from)),
        ),
        close: pinLayout(housing, at, [0, 0.5, 1.3, 2, 60].map(mm)),
        // All but no room: the first stands at the edge of its slot, the last at the other edge.
        full: [39.3, 39.31].map((span) => pinLayout(housing, at.slice(0, 2), [mm(0), mm(span)])),
        none: pinLayout(housing, at.slice(0, 1), [mm(0)], mm(60)),
        distances: [
          pinDistances(5, 20, 60),
          pinDistances(3, 18, 50),
          pinDistances(1, 20, 60),
          pinDistances(5, 20, 21),
        ],
        spread: [1, 2, 3, 5].map((n) => groupSpread(hits.slice(0, n))),
        line: groupSpread([0, 5, 10].map((x) => ({ rightMm: mm(x), upMm: mm(x) }))),
        clicks: [0.3, -1.2, 2].map((x) => pinClicks({ rightMm: mm(x), upMm: mm(-x) }, 0.25)),
      }),
    ).toMatchSnapshot();
  });
});

describe('tuning', () => {
  test.each([
    ['right', 'rest', 3],
    ['left', 'cams', 8],
    ['right', 'guard', 21],
  ] as const)('a %s-handed bow through paper, %s first', (hand, school, seed) => {
    const bow = simulatedBow({ hand, seed });
    const moved: Record<string, number> = {};
    const history: PaperEvent[] = [];
    const steps: unknown[] = [bow];
    for (let shot = 0; shot < 9; shot++) {
      const tear = trueTear(bow, moved);
      history.push({
        kind: 'shot',
        rightMm: tear.rightMm + (shot % 3) - 1,
        upMm: tear.upMm - (shot % 2),
      });
      const { advice, ...rest } = paperTune({ hand, school, history });
      steps.push({ tear, advice, ...rest });
      if (advice && advice.amount !== 0) {
        moved[advice.adjustment] = (moved[advice.adjustment] ?? 0) + advice.amount;
        history.push({ kind: 'move', adjustment: advice.adjustment, amount: advice.amount });
      }
    }
    expect(told(steps)).toMatchSnapshot();
  });
  test('bare shafts', () => {
    const pair = (rightMm: number, distanceM = 18) => ({
      kind: 'pair' as const,
      pair: { distanceM: metre(distanceM), rightMm: mm(rightMm), upMm: mm(-20) },
    });
    const move = (restMm: number) => ({ kind: 'move' as const, restMm });
    const fresh = { kind: 'fresh' as const };
    expect(
      told({
        tears: [pair(120), pair(-300, 30), pair(10, 9)].map((one) => bareShaftTear(one.pair)),
        advice: [
          [],
          [pair(20)],
          [pair(180)],
          [pair(180), move(1)],
          [pair(180), move(1), pair(90)],
          [pair(180), move(1), pair(90), move(1), pair(0)],
          [pair(180), move(1), pair(182), move(1), pair(179), move(1), pair(180)],
          [pair(180), move(1), pair(90), fresh],
          [pair(180), move(1), pair(90), fresh, pair(-150)],
        ].map((history) => bareShaftAdvice(history)),
      }),
    ).toMatchSnapshot();
  });
  test('walk-back', () => {
    const hit = (distanceM: number, rightMm: number) => ({ distanceM: metre(distanceM), rightMm });
    expect(
      told(
        [
          [10, 20, 30].map((d) => hit(d, 4 * d)),
          [10, 20, 30, 40].map((d, i) => hit(d, 2 * d + (i % 2) * 5)),
          [10, 20, 30, 40, 50].map((d) => hit(d, d * d * 0.1)),
          [10, 20, 30, 40].map((d, i) => hit(d, (i % 2) * 8 - 4)),
          [10, 10, 10].map((d) => hit(d, 3)),
          [10, 20, 30, 10, 20, 30].map((d, i) => hit(d, 0.2 * d + (i % 3))),
        ].map((hits) => walkBack(hits, mm(700))),
      ),
    ).toMatchSnapshot();
  });
});

describe('aim', () => {
  const bow = { massG: gram(2900), steadiness: 3.1, awayNmm: newtonMm(60) };
  const shotsOf = (seed: number, count: number) =>
    Array.from({ length: count }, (_, shot) => {
      const archer = hiddenArcher(seed);
      const held = simulatedHold({ archer, bow, shot, seed: seed * 100 + shot, rateHz: 120 });
      return { ...held, releaseS: second(held.releaseS) };
    });
  const read = (seed: number, count: number) =>
    shotsOf(seed, count).flatMap((shot) => {
      const trace = holdTrace(shot);
      return trace.ok ? [trace] : [];
    });
  test.each([1, 2, 3])('of archer %d', (seed) => {
    const shots = shotsOf(seed, 8);
    const traces = read(seed, 8);
    const path = pathOf(shots[0]!.samples);
    expect(
      told({
        archer: hiddenArcher(seed),
        samples: [0, 200, 500].map((i) => shots[0]!.samples[i]),
        path: [path.length, path[0], path[70], path.at(-1)],
        traces: traces.slice(0, 3),
        findings: aimFindings(traces),
      }),
    ).toMatchSnapshot();
  });
  test('two ways held against each other, and traces that cannot be read', () => {
    const rms = (seed: number) => read(seed, 8).map(({ hold }) => hold.rmsMrad);
    const { samples, releaseS } = shotsOf(4, 1)[0]!;
    expect(
      told({
        two: [
          holdCompare({ a: rms(1), b: rms(2) }),
          holdCompare({ a: rms(1).slice(0, 3), b: rms(3).slice(0, 4), hopedPart: 0.2 }),
          holdCompare({ a: [1], b: [] }),
        ],
        bad: [
          holdTrace({ samples: samples.slice(0, 3), releaseS }),
          holdTrace({ samples, releaseS: second(0.2) }),
          holdTrace({ samples, releaseS: second(90) }),
          holdTrace({ samples: samples.filter((_, i) => i % 20 === 0), releaseS }),
        ],
      }),
    ).toMatchSnapshot();
  });
});
