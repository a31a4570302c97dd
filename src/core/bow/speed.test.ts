import { gram, mps, newton } from '../units';
import { arrowFigures, chronograph, modelSpeed, speedModel } from '.';

describe('shots of a chronograph', () => {
  test('none, one, several', () => {
    expect(chronograph([])).toBeNull();
    expect(chronograph([70])).toMatchObject({ speedMps: 70, scatterMps: null, sigmaMps: 0.3 });
    const three = chronograph([70, 71, 69.5])!;
    // The middle shot, not their mean.
    expect(three.speedMps).toBe(70);
    expect(three.scatterMps).toBeCloseTo(0.7638, 3);
    // The median of three scatters 1.16 times as far as their mean (Kendall and Stuart).
    expect(three.sigmaMps).toBeCloseTo((1.16 * 0.7638) / Math.sqrt(3), 3);
    expect([three.slowestMps, three.fastestMps]).toEqual([69.5, 71]);
  });
  test('an instrument is never surer than it is', () =>
    expect(chronograph([70, 70, 70, 70])!.sigmaMps).toBeCloseTo(1.09 * 0.15, 9));
  test('an odd shot pulls nothing', () => {
    const odd = chronograph([70, 70.2, 58, 70.1, 69.9])!;
    expect(odd.speedMps).toBe(70);
    expect(odd.outlier).toBe(2);
    expect(odd.sigmaMps).toBeLessThan(0.3);
  });
  test.each([
    [[70, 70.3, 66.1, 69.9], 2],
    [[70, 70.3, 74.5], 2],
    [[70, 70.3, 69.6, 70.9], null],
    [[70, 66], null],
  ])('%j: the odd one is %s', (shots, odd) => expect(chronograph(shots)!.outlier).toBe(odd));
});

describe('this bow’s own model', () => {
  const energyJ = 78;
  const speed = (arrow: number, efficiency: number, virtual: number, string = 0.6) =>
    mps(Math.sqrt((2000 * efficiency * energyJ) / (arrow + virtual + string)));
  test('one arrow gives the efficiency with the usual virtual mass', () => {
    const arrowG = gram(24.6);
    const answer = speedModel([{ arrowG, speedMps: speed(24.6, 0.84, 1.9439673) }], energyJ, 0.6);
    if (!answer.ok) throw new Error(answer.message);
    expect(answer.efficiency).toBeCloseTo(0.84, 6);
    expect(answer.fittedMass).toBe(false);
    expect(modelSpeed(answer, arrowG, energyJ, 0.6)).toBeCloseTo(speed(24.6, 0.84, 1.944), 3);
  });
  test('two at least 3 g apart give both; nearer ones do not', () => {
    const both = (a: number, b: number) =>
      speedModel(
        [a, b].map((g) => ({ arrowG: gram(g), speedMps: speed(g, 0.83, 2.6) })),
        energyJ,
        0.6,
      );
    const far = both(22, 27);
    if (!far.ok) throw new Error(far.message);
    expect(far.fittedMass).toBe(true);
    expect(far.efficiency).toBeCloseTo(0.83, 6);
    expect(far.virtualMassG).toBeCloseTo(2.6, 4);
    expect(both(24, 26)).toMatchObject({ ok: true, fittedMass: false });
  });
  test('readings that cannot be are refused with the reason', () => {
    expect(speedModel([], energyJ)).toMatchObject({ ok: false, reason: 'too-few' });
    expect(speedModel([{ arrowG: gram(24), speedMps: mps(90) }], energyJ)).toMatchObject({
      ok: false,
      reason: 'too-fast',
      // (24 + 1.944) g at 90 m/s carry 105.07 J of the 78.
      message: expect.stringContaining('135 % of the stored energy'),
    });
    const turned = [
      { arrowG: gram(22), speedMps: mps(69) },
      { arrowG: gram(28), speedMps: mps(69.5) },
    ];
    expect(speedModel(turned, energyJ)).toMatchObject({ ok: false });
    const steep = [
      { arrowG: gram(22), speedMps: mps(76) },
      { arrowG: gram(28), speedMps: mps(66) },
    ];
    expect(speedModel(steep, energyJ)).toMatchObject({ ok: false, reason: 'masses-contradict' });
  });
  test('what an arrow carries', () => {
    const figures = arrowFigures(gram(25), mps(80), newton(222.41108076));
    expect(figures.energyJ).toBeCloseTo(80, 9);
    expect(figures.momentumNs).toBeCloseTo(2, 9);
    // 50 lb, 385.8 gr
    expect(figures.grainsPerPound).toBeCloseTo(7.716, 3);
  });
});
