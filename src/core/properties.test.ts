import { aBow } from './testing/fixtures';
import { neededSpineIn, spineVerdict, grainsPerPound } from './arrow';
import {
  forceAt,
  forceCurvePoints,
  launchSpeed,
  storedEnergyJ,
  strokeMm,
  type CamCharacter,
} from './bow';
import {
  chooseModule,
  drawLength,
  drawWeight,
  limbBolts,
  MM_PER_TWIST,
  priorMedianN,
  toQuarterTurns,
  turningPlan,
  type DrawLengthReading,
  type WeightTrial,
} from './fit';
import { airDensity, dragPerMetre, fly, group, sightMarks, type Hit } from './flight';
import {
  bayesianLeastSquares,
  bracketedRoot,
  incompleteBeta,
  inverse,
  simpson,
  times,
  upperGamma,
} from './numerics';
import {
  gram,
  metre,
  mm,
  mps,
  newton,
  read,
  TRADE_UNITS,
  turns,
  write,
  type ShopUnits,
} from './units';

/** Repeatable chance: a test that fails once fails always. */
function dice(seed: number) {
  let state = seed;
  return (low: number, high: number) => {
    state = (state * 48271) % 2147483647;
    return low + ((high - low) * state) / 2147483647;
  };
}
const RUNS = Array.from({ length: 40 }, (_, i) => i + 1);
const CHARACTERS: CamCharacter[] = ['smooth', 'balanced', 'fast'];

describe('numerics hold for whatever comes', () => {
  test.each(RUNS)('roots of random cubics, run %i', (run) => {
    const any = dice(run);
    const [a, b, c] = [any(0.1, 3), any(-2, 2), any(-5, 5)];
    // Rising for certain: a·x³ + |b|·x + c has one root.
    const f = (x: number) => a * x ** 3 + Math.abs(b) * x + c;
    const found = bracketedRoot(f, -20, 20, 1e-12);
    expect(found.converged).toBe(true);
    expect(Math.abs(f(found.x))).toBeLessThan(1e-8);
  });
  test.each(RUNS.slice(0, 15))('an inverse undoes its matrix, run %i', (run) => {
    const any = dice(run);
    const rows = Array.from({ length: 4 }, () => Array.from({ length: 4 }, () => any(-1, 1)));
    // B·Bᵀ + I is positive definite.
    const m = rows.map((r, i) =>
      rows.map((s, j) => r.reduce((sum, x, k) => sum + x * s[k]!, 0) + (i === j ? 1 : 0)),
    );
    const v = [any(-3, 3), any(-3, 3), any(-3, 3), any(-3, 3)];
    times(inverse(m)!, times(m, v)).forEach((x, i) => expect(x).toBeCloseTo(v[i]!, 9));
  });
  test.each([
    [(x: number) => x ** 3, 0, 2, 4],
    [Math.sin, 0, Math.PI, 2],
    [Math.exp, -1, 1, Math.E - 1 / Math.E],
    [(x: number) => 1 / x, 1, 10, Math.log(10)],
  ])('Simpson of case %#', (f, a, b, area) => expect(simpson(f, a, b, 400)).toBeCloseTo(area, 7));
  test('tails run from one to nought and never turn back', () => {
    let [gamma, beta] = [1, 0];
    for (let x = 0; x <= 20; x += 0.25) {
      const next = upperGamma(2.5, x);
      expect(next).toBeLessThanOrEqual(gamma + 1e-15);
      gamma = next;
    }
    for (let x = 0; x <= 1; x += 0.02) {
      const next = incompleteBeta(x, 2, 3.5);
      expect(next).toBeGreaterThanOrEqual(beta - 1e-15);
      beta = next;
    }
    expect(gamma).toBeLessThan(1e-5);
    expect(incompleteBeta(1, 2, 3.5)).toBeCloseTo(1, 12);
  });
  test('many exact readings overrule any prior; none leaves it as it was', () => {
    const prior = [
      { mean: 5, sd: 1 },
      { mean: 0, sd: 1 },
    ];
    expect(bayesianLeastSquares(prior, [], 1).mean).toEqual([5, 0]);
    const rows = Array.from({ length: 200 }, (_, i) => ({ x: [1, i / 100], y: 2 + (3 * i) / 100 }));
    const { mean } = bayesianLeastSquares(prior, rows, 0.01);
    expect(mean[0]).toBeCloseTo(2, 3);
    expect(mean[1]).toBeCloseTo(3, 3);
  });
});

describe('what is written reads back', () => {
  const shops: ShopUnits[] = [
    TRADE_UNITS,
    { ...TRADE_UNITS, length: 'in32' },
    { length: 'mm', force: 'N', mass: 'g', speed: 'm/s', distance: 'yd' },
  ];
  const quantities = ['length', 'force', 'mass', 'speed', 'distance', 'angle', 'turns'] as const;
  test.each(RUNS)('any quantity in any shop, run %i', (run) => {
    const any = dice(run);
    for (const shop of shops)
      for (const quantity of quantities) {
        const text = write(any(1, 900), quantity, shop);
        const result = read(text, { quantity, shop });
        expect([text, result.ok]).toEqual([text, true]);
        // Written, read and written again it is the same to the letter.
        if (result.ok) expect(write(result.si, quantity, shop)).toBe(text);
      }
  });
  test.each([
    ['28 3/8', '28 3/8 in'],
    ['28-3/8"', '28 3/8 in'],
    ['28⅜', '28 3/8 in'],
    ['2 ft 4 3/8', null],
    ['2\' 4 3/8"', '28 3/8 in'],
    ['720,725 mm', '28 3/8 in'],
    ['.5', '1/2 in'],
    ['+3', '3 in'],
    ['−3', '−3 in'],
  ])('“%s” is %s', (text, written) => {
    const result = read(text, { quantity: 'length', shop: TRADE_UNITS });
    if (written === null && !result.ok) return;
    expect(result.ok && write(result.si, 'length', TRADE_UNITS)).toBe(written ?? '28 3/8 in');
  });
});

describe('draw length', () => {
  const methods = ['armSpan', 'wallToMouth', 'markedArrow', 'fittingBow'] as const;
  const readingsOf = (any: ReturnType<typeof dice>): DrawLengthReading[] =>
    Array.from({ length: Math.ceil(any(1, 6)) }, () => {
      const method = methods[Math.floor(any(0, 3.999))]!;
      const length = any(600, 800);
      const value =
        method === 'armSpan' ? length * 2.5 : method === 'wallToMouth' ? length : length - 44.45;
      return { method, valueMm: mm(value) };
    });
  test.each(RUNS)(
    'the consensus lies among its estimates and is surer than each, run %i',
    (run) => {
      const answer = drawLength(readingsOf(dice(run)))!;
      const lengths = answer.estimates.map((estimate) => estimate.drawLengthMm);
      expect(answer.drawLengthMm).toBeGreaterThanOrEqual(Math.min(...lengths) - 1e-9);
      expect(answer.drawLengthMm).toBeLessThanOrEqual(Math.max(...lengths) + 1e-9);
      for (const estimate of answer.estimates)
        expect(answer.sigmaMm).toBeLessThanOrEqual(estimate.sigmaMm + 1e-9);
      if (answer.pValue !== null) expect(answer.disagree).toBe(answer.pValue < 0.05);
    },
  );
  test.each(RUNS)('the order of the readings does not matter, run %i', (run) => {
    const readings = readingsOf(dice(run));
    const [a, b] = [drawLength(readings)!, drawLength([...readings].reverse())!];
    expect(b.drawLengthMm).toBeCloseTo(a.drawLengthMm, 9);
    expect(b.sigmaMm).toBeCloseTo(a.sigmaMm, 9);
  });
  test.each(RUNS.slice(0, 20))('module and twists make up the whole way, run %i', (run) => {
    const any = dice(run);
    const target = mm(any(640, 780));
    const steps = Array.from({ length: 12 }, (_, i) => mm(635 + i * 12.7));
    const { stepMm, remainderMm, twists } = chooseModule(target, steps)!;
    expect(stepMm + remainderMm).toBeCloseTo(target, 9);
    expect(Math.abs(-twists * MM_PER_TWIST - remainderMm)).toBeLessThanOrEqual(
      MM_PER_TWIST / 4 + 1e-9,
    );
    const cost = (step: number) => (step > target ? 1.5 * (step - target) : target - step);
    for (const other of steps) expect(cost(stepMm)).toBeLessThanOrEqual(cost(other) + 1e-9);
  });
});

describe('draw weight', () => {
  test.each(RUNS.slice(0, 20))(
    'a heavier smooth trial never lowers the start, a lighter failed one never raises it, run %i',
    (run) => {
      const any = dice(run);
      const priorMedianN = newton(any(120, 280));
      const start = (...trials: WeightTrial[]) => drawWeight({ priorMedianN, trials }).startN;
      const weight = newton(any(100, 300));
      const none = start();
      const smooth = start({ peakN: weight, outcome: 'smooth' });
      const strained = start({ peakN: weight, outcome: 'strained' });
      const failed = start({ peakN: weight, outcome: 'failed' });
      expect(smooth).toBeGreaterThanOrEqual(none - 1e-6);
      expect(failed).toBeLessThanOrEqual(none + 1e-6);
      expect(strained).toBeLessThanOrEqual(none + 1e-6);
      expect(failed).toBeLessThanOrEqual(strained + 1e-6);
    },
  );
  test.each(RUNS.slice(0, 20))(
    'the picture sums to one and the next trial keeps its limits, run %i',
    (run) => {
      const any = dice(run);
      const trials: WeightTrial[] = Array.from({ length: 4 }, () => ({
        peakN: newton(any(100, 300)),
        outcome: (['smooth', 'strained', 'failed', 'pain'] as const)[Math.floor(any(0, 3.999))]!,
      }));
      const { grid, nextTrialN, w50 } = drawWeight({ priorMedianN: newton(200), trials });
      expect(grid.reduce((sum, point) => sum + point.probability, 0)).toBeCloseTo(1, 9);
      expect(w50.lowN).toBeLessThanOrEqual(w50.medianN);
      expect(w50.medianN).toBeLessThanOrEqual(w50.highN);
      for (const { peakN, outcome } of trials)
        if (outcome !== 'smooth') expect(nextTrialN).toBeLessThan(peakN);
    },
  );
  test('age, build and experience all count, and an injury lowers', () => {
    const who = { ageBand: '16to59', build: 'medium', experience: 'some', injury: 'no' } as const;
    const base = priorMedianN(who);
    expect(priorMedianN({ ...who, ageBand: 'under12' })).toBeLessThan(base);
    expect(priorMedianN({ ...who, build: 'strong' })).toBeGreaterThan(base);
    expect(priorMedianN({ ...who, experience: 'none' })).toBeLessThan(base);
    expect(priorMedianN({ ...who, injury: 'yes' })).toBeLessThan(base);
  });
});

describe('limb bolts', () => {
  test.each(RUNS)('the plan ends on the target, both limbs alike at every pause, run %i', (run) => {
    const any = dice(run);
    const [from, to] = [toQuarterTurns(any(0, 10)), toQuarterTurns(any(0, 10))];
    const plan = turningPlan(from, to);
    expect(plan.length % 2).toBe(0);
    let [upper, lower] = [from as number, from as number];
    plan.forEach(({ limb, turns: by }, i) => {
      expect(Math.abs(by)).toBeLessThanOrEqual(2);
      if (limb === 'upper') upper += by;
      else lower += by;
      if (i % 2 === 1) expect(upper).toBeCloseTo(lower, 9);
      else expect(limb).toBe('upper');
    });
    expect(upper).toBeCloseTo(to, 9);
  });
  test.each(RUNS.slice(0, 20))(
    'weighings of a bow that loses evenly find its turns within half a pound, run %i',
    (run) => {
      const any = dice(run);
      const [atZero, perTurn] = [any(255, 275), any(9, 13)];
      const readings = [0, 3, 5].map((t) => ({
        turns: turns(t),
        peakN: newton(atZero - perTurn * t),
      }));
      const targetN = newton(any(atZero - perTurn * 6.5, atZero - perTurn));
      const answer = limbBolts({
        maxPeakN: newton(267),
        minPeakN: newton(178),
        maxTurns: turns(8),
        readings,
        targetN,
      });
      if (!answer.ok) throw new Error(answer.message);
      expect(Math.abs(atZero - perTurn * answer.turns - targetN)).toBeLessThan(2.3);
      expect(answer.turns).toBeGreaterThanOrEqual(0);
      expect(answer.turns).toBeLessThanOrEqual(8);
    },
  );
  test('more weighings make it surer', () => {
    const sigma = (n: number) => {
      const readings = Array.from({ length: n }, (_, i) => ({
        turns: turns(i),
        peakN: newton(266 - 11 * i),
      }));
      const answer = limbBolts({
        maxPeakN: newton(267),
        minPeakN: newton(178),
        maxTurns: turns(8),
        readings,
        targetN: newton(220),
      });
      return answer.ok ? answer.sigmaN : Infinity;
    };
    expect(sigma(1)).toBeLessThan(sigma(0));
    expect(sigma(3)).toBeLessThan(sigma(1));
    expect(sigma(6)).toBeLessThan(sigma(3));
  });
});

describe('draw force and speed', () => {
  const curve = (character: CamCharacter) => ({
    drawLengthMm: mm(711),
    peakN: newton(230),
    braceHeightMm: mm(165),
    letOff: 0.8,
    character,
  });
  test.each(CHARACTERS)(
    'a %s cam never pulls harder than its peak, and ends at the holding weight',
    (character) => {
      const points = forceCurvePoints(curve(character), 200);
      for (const { forceN } of points) {
        expect(forceN).toBeLessThanOrEqual(230 + 1e-9);
        expect(forceN).toBeGreaterThanOrEqual(0);
      }
      expect(points.at(-1)!.forceN).toBeCloseTo(46, 9);
      expect(points.at(-1)!.drawnMm).toBeCloseTo(strokeMm(mm(711), mm(165)), 9);
    },
  );
  test('a fast cam stores more than a balanced one, that more than a smooth one', () => {
    const [smooth, balanced, fast] = CHARACTERS.map((character) => storedEnergyJ(curve(character)));
    expect(balanced).toBeGreaterThan(smooth!);
    expect(fast).toBeGreaterThan(balanced!);
  });
  test.each(CHARACTERS)('a %s curve has no jump where its pieces meet', (character) => {
    for (let u = 0.001; u < 1; u += 0.001) {
      const jump = Math.abs(forceAt(u, curve(character)) - forceAt(u - 0.001, curve(character)));
      expect(jump).toBeLessThan(3);
    }
  });
  const speed = (
    changes: { peakN?: number; drawLengthMm?: number; arrowG?: number; items?: number } = {},
  ) => {
    const answer = launchSpeed({
      bow: aBow(),
      setting: {
        drawLengthMm: mm(changes.drawLengthMm ?? 711),
        peakN: newton(changes.peakN ?? 230),
      },
      arrowG: gram(changes.arrowG ?? 25),
      stringItems: changes.items ? [{ massG: gram(changes.items), fromNockMm: mm(100) }] : [],
    });
    if (!answer.ok) throw new Error(answer.message);
    return answer;
  };
  test('heavier arrows are slower and carry more energy; more weight and length are faster', () => {
    expect(speed({ arrowG: 30 }).speedMps).toBeLessThan(speed().speedMps);
    expect(speed({ arrowG: 30 }).arrowEnergyJ).toBeGreaterThan(speed().arrowEnergyJ);
    expect(speed({ peakN: 250 }).speedMps).toBeGreaterThan(speed().speedMps);
    expect(speed({ drawLengthMm: 730 }).speedMps).toBeGreaterThan(speed().speedMps);
    expect(speed({ items: 2 }).speedMps).toBeLessThan(speed().speedMps);
  });
  test('the arrow never carries more than was stored', () => {
    const { arrowEnergyJ, storedEnergyJ: stored, efficiency } = speed();
    expect(arrowEnergyJ).toBeLessThan(stored * efficiency);
    expect(efficiency).toBeLessThan(1);
  });
});

describe('spine and mass', () => {
  const load = {
    peakN: newton(222),
    character: 'balanced' as const,
    shaftLengthMm: mm(737),
    pointAndInsertG: gram(8.1),
  };
  test('more weight, length, point or a faster cam ask for a stiffer shaft', () => {
    const base = neededSpineIn(load);
    expect(neededSpineIn({ ...load, peakN: newton(260) })).toBeLessThan(base);
    expect(neededSpineIn({ ...load, shaftLengthMm: mm(780) })).toBeLessThan(base);
    expect(neededSpineIn({ ...load, pointAndInsertG: gram(12) })).toBeLessThan(base);
    expect(neededSpineIn({ ...load, character: 'fast' })).toBeLessThan(base);
    expect(neededSpineIn({ ...load, character: 'smooth' })).toBeGreaterThan(base);
  });
  test.each([
    [0.5, 'good'],
    [0.529, 'good'],
    [0.531, 'weak'],
    [0.441, 'good'],
    [0.439, 'stiff'],
  ])('%s against a needed 0.500 is %s', (spine, verdict) =>
    expect(spineVerdict(spine, 0.5)).toBe(verdict),
  );
  test('grains per pound', () =>
    expect(grainsPerPound(gram(25.919564), newton(50 * 4.4482216152605))).toBeCloseTo(8, 6));
});

describe('flight', () => {
  const base = {
    speedMps: mps(75),
    arrowG: gram(24),
    shaftOuterMm: mm(7),
    peepHeightMm: mm(118),
    peepToPinMm: mm(760),
    distancesM: [10, 20, 30, 40, 50, 60].map(metre),
  };
  const marks = (changes: Partial<Parameters<typeof sightMarks>[0]> = {}) => {
    const answer = sightMarks({ ...base, ...changes });
    if (!answer.ok) throw new Error(answer.message);
    return answer.marks;
  };
  test('further takes longer, arrives slower, with a lower pin', () => {
    marks().forEach((mark, i, all) => {
      if (i === 0) return;
      expect(mark.timeOfFlightS).toBeGreaterThan(all[i - 1]!.timeOfFlightS);
      expect(mark.impactSpeedMps).toBeLessThan(all[i - 1]!.impactSpeedMps);
      expect(mark.pinAboveArrowMm).toBeLessThan(all[i - 1]!.pinAboveArrowMm);
    });
  });
  test.each([
    ['a faster arrow', { speedMps: mps(85) }, 1],
    ['a slower one', { speedMps: mps(65) }, -1],
    ['more drag', { dragCoefficient: 2.6 }, -1],
    ['thin air', { airDensityKgM3: 0.9 }, 1],
    ['a heavier arrow of the same speed', { arrowG: gram(32) }, 1],
    ['a thicker shaft', { shaftOuterMm: mm(9.3) }, -1],
  ])('%s moves the far pin the right way', (_, changes, way) => {
    const [now, then] = [marks().at(-1)!, marks(changes).at(-1)!];
    expect(Math.sign(then.pinAboveArrowMm - now.pinAboveArrowMm)).toBe(way);
  });
  test.each([-45, -20, 20, 45])('on a slope of %i° the same distance needs less drop', (slope) => {
    const flat = marks().at(-1)!;
    const steep = marks({ slopeDeg: slope as never }).at(-1)!;
    expect(steep.pinAboveArrowMm).toBeGreaterThan(flat.pinAboveArrowMm);
  });
  test('half the step changes nothing that could be seen', () => {
    const flight = {
      speedMps: mps(70),
      dragPerM: dragPerMetre(gram(24), mm(7), 2, 1.225),
      slopeRad: 0,
    };
    const [coarse, fine] = [fly(flight, 0.03, 60)!, fly(flight, 0.03, 60, 0.5)!];
    expect(Math.abs(coarse.riseM - fine.riseM)).toBeLessThan(1e-6);
    expect(Math.abs(coarse.timeS - fine.timeS)).toBeLessThan(1e-7);
  });
  test('an arrow that turns back is told so', () => {
    const flight = { speedMps: mps(20), dragPerM: 0.05, slopeRad: 1 };
    expect(fly(flight, 0.2, 90)).toBeNull();
  });
  test.each([
    [15, 1013.25, 0, 1.225],
    [0, 1013.25, 0, 1.292],
    [30, 1013.25, 0, 1.164],
    [20, 1013.25, 1, 1.194],
    [15, 850, 0.5, 1.023],
  ])(
    'air at %s °C, %s hPa, humidity %s weighs %s kg/m³',
    (temperatureC, pressureHpa, humidity, density) => {
      expect(airDensity({ temperatureC, pressureHpa, humidity })).toBeCloseTo(density, 2);
    },
  );
});

describe('groups', () => {
  const round = (any: ReturnType<typeof dice>, n: number, right: number, up: number): Hit[] =>
    Array.from({ length: n }, () => ({
      rightMm: mm(right + any(-30, 30)),
      upMm: mm(up + any(-30, 30)),
    }));
  test.each(RUNS.slice(0, 15))('a group far off moves the pin towards it, run %i', (run) => {
    const any = dice(run);
    const [right, up] = [any(150, 250) * (run % 2 ? 1 : -1), any(150, 250) * (run % 3 ? 1 : -1)];
    const answer = group({
      hits: round(any, 6, right, up),
      distanceM: metre(20),
      peepToPinMm: mm(760),
    });
    expect(answer.adjust).toBe(true);
    expect(Math.sign(answer.pinMove!.rightMm)).toBe(Math.sign(right));
    expect(Math.sign(answer.pinMove!.upMm)).toBe(Math.sign(up));
    expect(answer.pinMove!.rightMm).toBeCloseTo((answer.centre.rightMm * 760) / (20000 + 760), 9);
  });
  test('turning the target by a right angle turns the answer, not its certainty', () => {
    const hits = round(dice(5), 5, 40, 10);
    const turned = hits.map(({ rightMm, upMm }) => ({ rightMm: mm(-upMm), upMm: rightMm }));
    const at = (list: Hit[]) => group({ hits: list, distanceM: metre(20), peepToPinMm: mm(760) });
    expect(at(turned).pValue).toBeCloseTo(at(hits).pValue!, 9);
    expect(at(turned).centre.rightMm).toBeCloseTo(-at(hits).centre.upMm, 9);
  });
  test('seldom moves a pin that stands right: about one group in ten', () => {
    const any = dice(11);
    const moved = Array.from({ length: 400 }, () =>
      group({ hits: round(any, 5, 0, 0), distanceM: metre(20), peepToPinMm: mm(760) }),
    ).filter((answer) => answer.adjust).length;
    expect(moved / 400).toBeGreaterThan(0.04);
    expect(moved / 400).toBeLessThan(0.18);
  });
});
