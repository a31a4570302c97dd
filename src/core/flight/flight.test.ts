import { examples, expectAgrees } from '../testing/examples';
import { degree, gram, metre, mm, mps } from '../units';
import {
  airDensity,
  dragPerMetre,
  fly,
  group,
  sightMarks,
  type GroupInput,
  type SightMarksInput,
} from '.';

describe('air', () => {
  test.each([
    [15, 1013.25, 0, 1.225],
    [20, 1013.25, 0.5, 1.1992],
    [-10, 1013.25, 0, 1.3413],
    [30, 900, 0.8, 1.0195],
  ])('%d °C, %d hPa, %d', (temperatureC, pressureHpa, humidity, density) => {
    expect(airDensity({ temperatureC, pressureHpa, humidity })).toBeCloseTo(density, 3);
  });
});

const base: SightMarksInput = {
  speedMps: mps(70),
  arrowG: gram(25),
  shaftOuterMm: mm(6),
  peepHeightMm: mm(120),
  peepToPinMm: mm(760),
  distancesM: [metre(20), metre(40), metre(60)],
};

describe('sight marks', () => {
  test.each(examples('sight-marks'))('$title', ({ request, response, tolerance }) => {
    expectAgrees(sightMarks(request as unknown as SightMarksInput), response, tolerance);
  });

  test('without drag the arrow flies a parabola', () => {
    const end = fly({ speedMps: mps(60), dragPerM: 0, slopeRad: 0 }, 0.05, 50)!;
    const t = 50 / (60 * Math.cos(0.05));
    expect(end.timeS).toBeCloseTo(t, 12);
    expect(end.riseM).toBeCloseTo(60 * Math.sin(0.05) * t - (9.80665 / 2) * t * t, 9);
  });

  test('pin error against a fine-step integration stays under 0.005 mm', () => {
    const k = dragPerMetre(gram(22), mm(9), 2.6, 1.3);
    const flight = { speedMps: mps(55), dragPerM: k, slopeRad: 0.3 };
    for (const distance of [10, 37, 60, 90]) {
      const coarse = fly(flight, 0.08, distance)!.riseM;
      const fine = fly(flight, 0.08, distance, 0.01)!.riseM;
      // A rise wrong by e moves the pin by e·R/d.
      expect((Math.abs(coarse - fine) * 760) / distance).toBeLessThan(0.005);
    }
  });

  test('the pin sinks with distance, and up- or downhill needs less drop', () => {
    const flat = sightMarks(base);
    const hill = sightMarks({ ...base, slopeDeg: degree(25) });
    if (!flat.ok || !hill.ok) throw new Error('refused');
    expect(flat.marks[0]!.pinAboveArrowMm).toBeGreaterThan(flat.marks[2]!.pinAboveArrowMm);
    expect(hill.marks[2]!.pinAboveArrowMm).toBeGreaterThan(flat.marks[2]!.pinAboveArrowMm);
  });

  test('a distance out of reach is refused by name', () => {
    expect(
      sightMarks({ ...base, speedMps: mps(15), distancesM: [metre(10), metre(60)] }),
    ).toMatchObject({
      ok: false,
      reason: 'out-of-reach',
      field: 'distancesM/1',
    });
  });

  test('the furthest clear mark is where the housing meets the vane', () => {
    const clearance = { housingRadiusMm: mm(22), vaneHeightMm: mm(12) };
    const answer = sightMarks({ ...base, clearance });
    if (!answer.ok) throw new Error(answer.message);
    const there = sightMarks({ ...base, distancesM: [answer.furthestClearM!] });
    expect(there.ok && there.marks[0]!.pinAboveArrowMm).toBeCloseTo(22 + 12 + 3, 3);
    const never = sightMarks({
      ...base,
      clearance: { housingRadiusMm: mm(200), vaneHeightMm: mm(12) },
    });
    expect(never.ok && never.furthestClearM).toBe(0);
  });
});

describe('group', () => {
  test.each(examples('group'))('$title', ({ request, response, tolerance }) => {
    expectAgrees(group(request as unknown as GroupInput), response, tolerance);
  });
  const at = (...points: [number, number][]): GroupInput => ({
    hits: points.map(([r, u]) => ({ rightMm: mm(r), upMm: mm(u) })),
    distanceM: metre(18),
    peepToPinMm: mm(760),
  });
  test('fewer than three hits never move a pin', () => {
    expect(group(at([80, 80]))).toMatchObject({ pValue: null, adjust: false, hitsNeeded: 2 });
  });
  test('three arrows in one hole off the aim do', () => {
    expect(group(at([50, 0], [50, 0], [50, 0]))).toMatchObject({ adjust: true });
  });
  test('a group that is not off says how many more arrows would show it', () => {
    const answer = group(at([30, 20], [-10, 30], [40, -20], [10, 5]));
    expect(answer.adjust).toBe(false);
    expect(answer.hitsNeeded).toBeGreaterThan(0);
    expect(group(at([5, 0], [-5, 0], [0, 5], [0, -5])).hitsNeeded).toBeUndefined();
  });
});
