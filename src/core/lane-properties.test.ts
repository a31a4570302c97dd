import { chronograph, modelSpeed, speedModel } from './bow';
import {
  groupSpread,
  pinLayout,
  sightFit,
  sightMarks,
  sightTape,
  slopeTable,
  weatherTable,
  type Hit,
} from './flight';
import { normal, seeded } from './numerics';
import {
  adjustmentRule,
  ADJUSTMENTS,
  paperTune,
  walkBack,
  type PaperEvent,
  type PaperSchool,
} from './tuning';
import { gram, metre, mm, mps } from './units';

/** Repeatable chance: a test that fails once fails always. */
const dice = (seed: number) => {
  const random = seeded(seed);
  return {
    between: (low: number, high: number) => low + (high - low) * random(),
    bell: (sigma: number) => sigma * normal(random),
    one: <T>(items: readonly T[]) => items[Math.floor(random() * items.length)]!,
  };
};
const RUNS = Array.from({ length: 30 }, (_, i) => i + 1);
const SCHOOLS: readonly PaperSchool[] = ['rest', 'cams', 'guard'];

const arrowOf = (run: number) => {
  const { between } = dice(run);
  return {
    speedMps: mps(between(52, 98)),
    arrowG: gram(between(19, 34)),
    shaftOuterMm: mm(between(4.5, 9)),
    dragCoefficient: between(1.6, 2.6),
    peepHeightMm: mm(between(105, 135)),
    peepToPinMm: mm(between(690, 860)),
  };
};

describe('paper, whatever comes', () => {
  /** Shots and moves as they might come, also ones nobody advised. */
  const history = (run: number): PaperEvent[] => {
    const { between, bell, one } = dice(run);
    return Array.from({ length: Math.round(between(1, 18)) }, (): PaperEvent => {
      const kind = between(0, 1);
      if (kind < 0.62) return { kind: 'shot', rightMm: bell(14), upMm: bell(9) };
      if (kind < 0.94)
        return { kind: 'move', adjustment: one(ADJUSTMENTS), amount: between(-2, 2) };
      return { kind: 'fresh' };
    });
  };
  test.each(RUNS)(
    'an answer that can be carried out, never one that is no number, run %i',
    (run) => {
      const { one } = dice(run + 500);
      const hand = one(['right', 'left'] as const);
      const tune = paperTune({ hand, school: one(SCHOOLS), history: history(run) });
      expect(tune.chanceGood).toBeGreaterThanOrEqual(0);
      expect(tune.chanceGood).toBeLessThanOrEqual(1);
      expect(Number.isFinite(tune.response.scatterMm)).toBe(true);
      expect(tune.state === 'adjust').toBe(tune.advice !== undefined);
      expect(tune.state === 'checkCauses').toBe(tune.causes !== undefined);
      for (const advice of [tune.advice, tune.runnerUp]) {
        if (!advice) continue;
        const { most, reach, step } = adjustmentRule(advice.adjustment, hand);
        expect(Math.abs(advice.amount)).toBeGreaterThanOrEqual(step - 1e-9);
        expect(Math.abs(advice.amount)).toBeLessThanOrEqual(most + 1e-9);
        const after = tune.response.moved[advice.adjustment] + advice.amount;
        const before = tune.response.moved[advice.adjustment];
        expect(Math.abs(after)).toBeLessThanOrEqual(Math.max(reach, Math.abs(before)) + 1e-9);
        expect(Number.isFinite(advice.expected.rightMm + advice.expected.upMm)).toBe(true);
      }
    },
  );
  test.each(RUNS)('mirrored bow, mirrored tears, mirrored moves, run %i', (run) => {
    const { one } = dice(run + 900);
    const school = one(SCHOOLS);
    const events = history(run);
    const mirrored = events.map((event): PaperEvent => {
      if (event.kind === 'shot') return { ...event, rightMm: -event.rightMm };
      if (event.kind !== 'move') return event;
      const sideways = ['restSideways', 'camShim'].includes(event.adjustment);
      return sideways ? { ...event, amount: -event.amount } : event;
    });
    const own = paperTune({ hand: 'right', school, history: events });
    const other = paperTune({ hand: 'left', school, history: mirrored });
    expect(other.state).toBe(own.state);
    expect(other.advice?.adjustment).toBe(own.advice?.adjustment);
    expect(other.answers.logRatio).toBeCloseTo(own.answers.logRatio, 9);
    expect(other.chanceGood).toBeCloseTo(own.chanceGood, 9);
  });
  test.each(RUNS)('a straight drift is found and answered against, run %i', (run) => {
    const { between, bell } = dice(run);
    const slope = between(0.8, 2.6) * (run % 2 === 0 ? 1 : -1);
    const hits = [10, 18, 26, 34, 42].map((d) => ({
      distanceM: metre(d),
      rightMm: between(-1, 1) + 15 + slope * d + bell(1.5),
    }));
    const answer = walkBack(hits, mm(between(620, 740)));
    if (!answer.ok) throw new Error(answer.message);
    expect(Math.abs(answer.mmPerM - slope)).toBeLessThan(0.35);
    // Under a millimetre a metre it may be told and not matter.
    expect(answer.told).not.toBe('notTold');
    if (!answer.bends && answer.told === 'off')
      expect(Math.sign(answer.restMm)).toBe(-Math.sign(slope));
  });
});

describe('marks, whatever the bow', () => {
  test.each(RUNS)('a scale made from its own marks gives the arrow back, run %i', (run) => {
    const { speedMps, ...arrow } = arrowOf(run);
    const { between } = dice(run + 300);
    const distancesM = [18, between(28, 36), between(44, 58)].map(metre);
    const answer = sightMarks({ ...arrow, speedMps, distancesM });
    if (!answer.ok) throw new Error(answer.message);
    const shots = answer.marks.map((mark) => ({
      distanceM: mark.distanceM,
      dropMm: mm(answer.marks[0]!.pinAboveArrowMm - mark.pinAboveArrowMm),
    }));
    const fit = sightFit({ ...arrow, shots });
    if (!fit.ok) throw new Error(fit.message);
    expect(fit.speedMps).toBeCloseTo(speedMps, 3);
    expect(fit.sigmaSpeedMps!).toBeLessThan(0.01);
    expect(fit.odd).toBeNull();
  });
  test.each(RUNS)('a tape only goes down, each line further than the one before, run %i', (run) => {
    const { one } = dice(run + 700);
    const tape = sightTape(arrowOf(run), {
      unit: one(['m', 'yd'] as const),
      numbersEvery: one([5, 10] as const),
      side: one(['left', 'right'] as const),
      lineMm: 0.25,
      widthMm: 12,
      from: 8,
      to: 70,
      ratio: one([0.8, 1, 1.4]),
    });
    if (!tape.ok) throw new Error(tape.message);
    tape.lines.forEach((line, i) => {
      const near = tape.lines[i - 1];
      if (near) expect(line.yMm).toBeGreaterThan(near.yMm);
      // Past twenty the arrow falls faster and faster: gaps grow.
      const nearer = tape.lines[i - 2];
      if (near && nearer && nearer.distance > 20)
        expect(line.yMm - near.yMm).toBeGreaterThan(near.yMm - nearer.yMm);
    });
    expect(tape.lengthMm).toBe(tape.lines.at(-1)!.yMm);
  });
  test.each(RUNS.slice(0, 12))('slopes shorten, thin air lifts, run %i', (run) => {
    const arrow = arrowOf(run);
    for (const { distanceM, shootAsM } of slopeTable(arrow, [metre(30), metre(55)], [-35, 35]))
      expect(shootAsM!).toBeLessThan(distanceM);
    for (const { id, hitMm } of weatherTable(arrow, [metre(40)]))
      expect(Math.sign(hitMm[0]!)).toBe(id === 'colder' ? -1 : 1);
  });
  test.each(RUNS)('pins said to fit do, with the first as low as was said, run %i', (run) => {
    const { between } = dice(run);
    const housing = { pins: 4, pinMm: mm(0.5), roomMm: mm(between(14, 34)) };
    const drops = [0, between(3, 6), between(8, 13), between(15, 26)].map(mm);
    const distances = [20, 30, 40, 50].map(metre);
    const high = pinLayout(housing, distances, drops);
    const all = high.pins.every(({ fits }) => fits);
    expect(all).toBe(high.firstAtMostMm !== null);
    if (high.firstAtMostMm === null) return;
    const low = pinLayout(housing, distances, drops, high.firstAtMostMm);
    expect(low.pins.every(({ fits }) => fits)).toBe(true);
    const lower = pinLayout(housing, distances, drops, mm(high.firstAtMostMm + 0.01));
    expect(lower.pins.at(-1)!.fits).toBe(false);
  });
});

describe('groups and speeds, whatever is shot', () => {
  test.each(RUNS)('the ellipse turns with the group and holds its middle, run %i', (run) => {
    const { bell, between } = dice(run);
    const hits: Hit[] = Array.from({ length: Math.round(between(3, 9)) }, () => ({
      rightMm: mm(bell(30)),
      upMm: mm(bell(18)),
    }));
    const a = between(0, Math.PI);
    const turned = hits.map(({ rightMm, upMm }) => ({
      rightMm: mm(rightMm * Math.cos(a) - upMm * Math.sin(a)),
      upMm: mm(rightMm * Math.sin(a) + upMm * Math.cos(a)),
    }));
    const [own, other] = [groupSpread(hits), groupSpread(turned)];
    expect(other.rmsMm).toBeCloseTo(own.rmsMm, 6);
    expect(other.widestMm).toBeCloseTo(own.widestMm, 6);
    expect(other.confidence!.longMm).toBeCloseTo(own.confidence!.longMm, 4);
    expect(other.confidence!.shortMm).toBeCloseTo(own.confidence!.shortMm, 4);
  });
  test.each(RUNS)(
    'a bow that was measured gives its own arrows their own speeds, run %i',
    (run) => {
      const { between } = dice(run);
      const [efficiency, virtual, energyJ] = [between(0.72, 0.9), between(1, 4), between(55, 110)];
      const speed = (g: number) => mps(Math.sqrt((2000 * efficiency * energyJ) / (g + virtual)));
      const masses = [between(20, 23), between(27, 32)];
      const model = speedModel(
        masses.map((g) => ({ arrowG: gram(g), speedMps: speed(g) })),
        energyJ,
      );
      if (!model.ok) throw new Error(model.message);
      for (const g of [...masses, 25])
        expect(modelSpeed(model, gram(g), energyJ)).toBeCloseTo(speed(g), 6);
    },
  );
  test.each(RUNS)('shots: the middle lies among them, no order matters, run %i', (run) => {
    const { bell, between } = dice(run);
    const shots = Array.from({ length: Math.round(between(1, 8)) }, () => 75 + bell(0.5));
    const [own, turned] = [chronograph(shots)!, chronograph([...shots].reverse())!];
    expect(own.speedMps).toBeGreaterThanOrEqual(own.slowestMps - 1e-9);
    expect(own.speedMps).toBeLessThanOrEqual(own.fastestMps + 1e-9);
    expect(turned.speedMps).toBeCloseTo(own.speedMps, 9);
    expect(turned.outlier).toBe(own.outlier === null ? null : shots.length - 1 - own.outlier);
  });
});
