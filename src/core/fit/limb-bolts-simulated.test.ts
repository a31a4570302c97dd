import { normal, seeded, type Random } from '../numerics';
import { newton, turns } from '../units';
import { drawWeight, limbBolts, priorMedianN, SCALE_SIGMA_N, toQuarterTurns } from '.';

const BOWS = 100;
const SHAPE = { maxPeakN: newton(267), minPeakN: newton(178), maxTurns: turns(8) };
const PER_TURN = (SHAPE.maxPeakN - SHAPE.minPeakN) / SHAPE.maxTurns;

/** A bow as the shop might get it: off its catalogue figures by as much as the prior says. */
function simulatedBow(random: Random) {
  const w0 = SHAPE.maxPeakN * (1 + 0.05 * normal(random));
  const b = PER_TURN * (1 + 0.35 * normal(random));
  const c = 0.01 * PER_TURN * normal(random);
  const peak = (t: number) => w0 - b * t + c * t * t;
  return { peak, weigh: (t: number) => newton(peak(t) + SCALE_SIGMA_N * normal(random)) };
}

/** The start weight of somebody medium who shot a little, after three trials. */
const START = drawWeight({
  priorMedianN: priorMedianN({
    ageBand: '16to59',
    build: 'medium',
    experience: 'some',
    injury: 'no',
  }),
  trials: [
    { peakN: newton(222), outcome: 'smooth' },
    { peakN: newton(245), outcome: 'smooth' },
    { peakN: newton(267), outcome: 'strained' },
  ],
}).startN;

interface Run {
  /** Prediction less truth in its own σ, for the turns advised after each weighing. */
  readonly z: readonly number[];
  /** Truth less target after the third setting, N; null where the bow cannot be set to it. */
  readonly missN: number | null;
}

/** From factory maximum: weigh, turn as advised, weigh again; three weighings in all. */
function setUp(seed: number): Run {
  const bow = simulatedBow(seeded(seed));
  const readings = [{ turns: turns(0), peakN: bow.weigh(0) }];
  const z: number[] = [];
  for (;;) {
    const advice = limbBolts({ ...SHAPE, readings, targetN: START });
    if (!advice.ok) throw new Error(advice.message);
    z.push((advice.predictedN - bow.peak(advice.turns)) / advice.sigmaN);
    const at = toQuarterTurns(advice.turns);
    if (readings.length === 3) {
      const reachable = bow.peak(SHAPE.maxTurns) <= START && bow.peak(0) >= START;
      // Set to the advised turns: a key is read to about a sixteenth.
      return { z, missN: reachable ? bow.peak(Math.round(advice.turns * 16) / 16) - START : null };
    }
    readings.push({ turns: at, peakN: bow.weigh(at) });
  }
}

describe(`limb bolts on ${BOWS} simulated bows`, () => {
  const runs = Array.from({ length: BOWS }, (_, i) => setUp(9000 + i));
  const within = (weighings: number) =>
    runs.filter(({ z }) => Math.abs(z[weighings - 1]!) <= 2).length;
  const reached = runs.filter(({ missN }) => missN !== null);
  const close = reached.filter(({ missN }) => Math.abs(missN!) <= 4).length;

  test('the prediction lies within 2σ in 90 to 99 of 100, after each weighing', () => {
    const counts = [1, 2, 3].map(within);
    console.info(
      `limb bolts, ${BOWS} simulated bows, start weight ${START.toFixed(0)} N: within 2σ after 1, 2, 3 weighings ` +
        `${counts.join(', ')}; within 4 N of the target after three weighings ${close} of ${reached.length} that can be set to it`,
    );
    for (const count of counts) {
      expect(count).toBeGreaterThanOrEqual(90);
      expect(count).toBeLessThanOrEqual(99);
    }
  });

  test('the weight is within 4 N of the target after three weighings', () => {
    expect(reached.length).toBeGreaterThan(BOWS / 2);
    expect(close / reached.length).toBeGreaterThanOrEqual(0.95);
  });

  test('over 4,000 bows the coverage is what 2σ promises, 95.4 %', () => {
    const many = Array.from({ length: 4000 }, (_, i) => setUp(20000 + i));
    const shares = [0, 1, 2].map(
      (i) => many.filter(({ z }) => Math.abs(z[i]!) <= 2).length / many.length,
    );
    console.info(
      `4,000 simulated bows: ${shares.map((s) => `${(100 * s).toFixed(1)} %`).join(', ')}`,
    );
    for (const share of shares) expect(Math.abs(share - 0.9545)).toBeLessThan(0.012);
  });
});
