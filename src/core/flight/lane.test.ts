import { degree, gram, metre, mm, mps } from '../units';
import {
  airDensity,
  candidateTapes,
  group,
  groupSpread,
  longestTapeMm,
  pinClicks,
  pinDistances,
  pinLayout,
  pressureAtHpa,
  railMissMm,
  sightMarks,
  sightTape,
  slopeTable,
  stripsThatFit,
  tapeSheet,
  thirdAxisFromGroups,
  thirdAxisTiltDeg,
  tiltMissMm,
  weatherTable,
  type Hit,
  type SightMarksInput,
  type Tape,
  type TapeOptions,
} from '.';

const flight: Omit<SightMarksInput, 'distancesM'> = {
  speedMps: mps(70),
  arrowG: gram(24.6),
  shaftOuterMm: mm(6.9),
  peepHeightMm: mm(120),
  peepToPinMm: mm(760),
};
const marksAt = (distances: number[], more: Partial<SightMarksInput> = {}) => {
  const answer = sightMarks({ ...flight, ...more, distancesM: distances.map(metre) });
  if (!answer.ok) throw new Error(answer.message);
  return answer.marks;
};

describe('levels', () => {
  test('1° of bubble costs about 9 cm at 60 m when the arrow leaves 5° up', () =>
    expect(tiltMissMm(metre(60), degree(5), 1)).toBeCloseTo(91.6, 1));
  test.each([
    [1, 30, 0.5],
    [2, -30, -1],
    [3, 0, 0],
  ])('third axis %d° off seems %d° → %d° of bubble', (off, slope, tilt) =>
    expect(thirdAxisTiltDeg(off, slope)).toBeCloseTo(tilt, 2),
  );
  test('a rail that leans: the pin’s drop goes sideways', () =>
    // 20 mm of pin × tan 1° × 60 m / 0.76 m
    expect(railMissMm(metre(60), 20, mm(760), 1)).toBeCloseTo(27.56, 1));
  test.each([-2.5, -0.8, 0, 1.2, 3])(
    'third axis %d° comes back from two groups on slopes',
    (off) => {
      const at = (slopeDeg: number, distance: number) => {
        const launchDeg = marksAt([distance], { slopeDeg: degree(slopeDeg) })[0]!.launchDeg;
        const tilt = thirdAxisTiltDeg(off, slopeDeg);
        // The sight itself stands 0.4 mm for each metre to the right.
        const rightMm = tiltMissMm(metre(distance), launchDeg, tilt) + 0.4 * distance;
        return { rightMm, slopeDeg, distanceM: metre(distance), launchDeg };
      };
      expect(thirdAxisFromGroups(at(30, 30), at(-35, 40))).toBeCloseTo(off, 4);
    },
  );
  test('too flat to tell', () => {
    const row = { rightMm: 10, distanceM: metre(30), launchDeg: degree(2) };
    expect(thirdAxisFromGroups({ ...row, slopeDeg: 8 }, { ...row, slopeDeg: -8 })).toBeNull();
  });
});

describe('slope table', () => {
  const table = slopeTable(flight, [metre(30), metre(60)], [-40, -20, 0, 20, 40]);
  const at = (distance: number, slope: number) =>
    table.find((row) => row.distanceM === distance && row.slopeDeg === slope)!.shootAsM!;
  test('level is level, and up or down is always nearer', () => {
    expect(at(60, 0)).toBeCloseTo(60, 2);
    for (const slope of [-40, -20, 20, 40]) expect(at(60, slope)).toBeLessThan(60);
  });
  test('near the cosine, uphill a little further than downhill: the arrow slows more', () => {
    expect(at(60, 40)).toBeGreaterThan(at(60, -40));
    for (const slope of [-40, -20, 20, 40])
      expect(Math.abs(at(60, slope) - 60 * Math.cos((slope * Math.PI) / 180))).toBeLessThan(3.5);
  });
  test('its mark is the slope’s mark', () => {
    const [slope] = marksAt([60], { slopeDeg: degree(40) });
    const [level] = marksAt([at(60, 40)]);
    expect(level!.pinAboveArrowMm).toBeCloseTo(slope!.pinAboveArrowMm, 2);
  });
});

describe('weather', () => {
  test('pressure by height, standard atmosphere', () => {
    expect(pressureAtHpa(0)).toBeCloseTo(1013.25, 2);
    expect(pressureAtHpa(1000)).toBeCloseTo(898.7, 0);
    expect(pressureAtHpa(3000)).toBeCloseTo(701.1, 0);
  });
  test('warmer and higher air is thinner: the arrow hits high; colder the other way', () => {
    const rows = weatherTable(flight, [metre(30), metre(70)]);
    const of = (id: string) => rows.find((row) => row.id === id)!;
    for (const id of ['warmer', 'higher']) {
      expect(of(id).airDensityKgM3).toBeLessThan(1.225);
      expect(of(id).hitMm[1]!).toBeGreaterThan(of(id).hitMm[0]!);
      expect(of(id).hitMm[0]!).toBeGreaterThan(0);
      // It would want the pin higher: less drop.
      expect(of(id).pinMm[1]!).toBeLessThan(0);
    }
    expect(of('colder').hitMm[1]!).toBeLessThan(0);
  });
  test('what is told agrees with the marks themselves', () => {
    const warm = airDensity({ temperatureC: 35, pressureHpa: 1013.25, humidity: 0 });
    const move =
      marksAt([70], { airDensityKgM3: 1.225 })[0]!.pinAboveArrowMm -
      marksAt([70], { airDensityKgM3: warm })[0]!.pinAboveArrowMm;
    const row = weatherTable(flight, [metre(70)]).find(({ id }) => id === 'warmer')!;
    expect(row.pinMm[0]).toBeCloseTo(move, 2);
  });
});

describe('pins', () => {
  const housing = { pins: 4, pinMm: mm(0.74), roomMm: mm(24) };
  const distances = [20, 30, 40, 50].map(metre);
  const drops = (mms: number[]) => mms.map(mm);
  test('gaps are differences of drops, all fit, and how low the first may stand is said', () => {
    const layout = pinLayout(housing, distances, drops([0, 6, 13, 21]));
    expect(layout.pins.map(({ gapMm }) => gapMm)).toEqual([null, 6, 7, 8]);
    expect(layout.pins.every(({ fits }) => fits)).toBe(true);
    expect(layout.firstAtMostMm).toBeCloseTo(24 - 0.37 - 21, 9);
    expect(layout.furthestM).toBe(50);
  });
  test('those outside are named', () => {
    const layout = pinLayout(housing, distances, drops([0, 8, 17, 27]));
    expect(layout.pins.map(({ fits }) => fits)).toEqual([true, true, true, false]);
    expect(layout.firstAtMostMm).toBeNull();
    expect(layout.furthestM).toBe(40);
  });
  test('a first pin set too low pushes the last one out', () => {
    const layout = pinLayout(housing, distances, drops([0, 6, 13, 21]), mm(4));
    expect(layout.pins.at(-1)!.fits).toBe(false);
    expect(layout.firstAtMostMm!).toBeLessThan(4);
  });
  test('dots that touch', () =>
    expect(pinLayout(housing, distances, drops([0, 0.5, 7, 14])).pins[1]!.touches).toBe(true));
  test.each([
    [1, 20, 60, [20]],
    [5, 20, 60, [20, 30, 40, 50, 60]],
    [3, 18, 40, [18, 30, 40]],
    [5, 20, 25, [20, 25]],
    [3, 40, 30, [40]],
  ])('%d pins from %d to %d', (pins, first, far, wanted) =>
    expect(pinDistances(pins, first, far)).toEqual(wanted),
  );
});

const OPTIONS: TapeOptions = {
  unit: 'm',
  numbersEvery: 5,
  side: 'left',
  lineMm: 0.25,
  widthMm: 12,
  from: 15,
  to: 60,
  ratio: 1,
};
const tape = (more: Partial<TapeOptions> = {}, also: Partial<SightMarksInput> = {}): Tape => {
  const answer = sightTape({ ...flight, ...also }, { ...OPTIONS, ...more });
  if (!answer.ok) throw new Error(answer.message);
  return answer;
};

describe('tape', () => {
  test('every line stands where its mark does', () => {
    const { lines } = tape();
    const marks = marksAt(lines.map(({ distance }) => distance));
    expect(lines).toHaveLength(46);
    lines.forEach((line, i) =>
      expect(line.yMm).toBeCloseTo(marks[0]!.pinAboveArrowMm - marks[i]!.pinAboveArrowMm, 9),
    );
  });
  test('yards, every ten, and a sight that travels further than its pin', () => {
    const { lines, lengthMm } = tape({ unit: 'yd', numbersEvery: 10, ratio: 1.5 });
    expect(lines[1]!.distanceM / 0.9144).toBeCloseTo(16, 9);
    expect(lines.filter(({ number }) => number !== null).map(({ number }) => number)).toEqual([
      '20',
      '30',
      '40',
      '50',
      '60',
    ]);
    expect(lengthMm).toBeCloseTo(tape({ unit: 'yd' }).lengthMm * 1.5, 9);
  });
  test('nothing past the furthest clear mark, and it says so', () => {
    const clearance = { housingRadiusMm: mm(40), vaneHeightMm: mm(14) };
    const { lines, furthestClearM, cut } = tape({ to: 100 }, { clearance });
    expect(cut).toBe(true);
    expect(lines.at(-1)!.distanceM).toBeLessThanOrEqual(furthestClearM!);
    expect(lines.at(-1)!.distanceM).toBeGreaterThan(furthestClearM! - 1);
  });
  test('numbers too close to be read are left out, their lines stay', () => {
    const { lines } = tape({ from: 10 });
    let last = -9;
    for (const { yMm, number } of lines) {
      if (number === null) continue;
      expect(yMm - last).toBeGreaterThanOrEqual(2.2);
      last = yMm;
    }
  });
  test('a very near start folds back: the tape begins where the pin is highest', () => {
    const { lines } = tape({ from: 5 });
    lines.forEach((line, i) => i > 0 && expect(line.yMm).toBeGreaterThan(lines[i - 1]!.yMm));
  });
  test.each<[string, Partial<TapeOptions>, string]>([
    ['no length', { from: 40, to: 40 }, 'no-length'],
    ['the wrong way', { from: 60, to: 20 }, 'no-length'],
    ['from the archer’s feet', { from: 1 }, 'out-of-range'],
    ['lines as broad as the gaps', { lineMm: 3 }, 'out-of-range'],
    ['no width', { widthMm: 0 }, 'out-of-range'],
    ['a travel of nothing', { ratio: 0 }, 'out-of-range'],
  ])('%s is refused', (_, more, reason) =>
    expect(sightTape(flight, { ...OPTIONS, ...more })).toMatchObject({ ok: false, reason }),
  );
  test('a housing in the way from the start leaves no length, said as that', () => {
    const clearance = { housingRadiusMm: mm(110), vaneHeightMm: mm(14) };
    expect(sightTape({ ...flight, clearance }, OPTIONS)).toMatchObject({
      ok: false,
      message: expect.stringContaining('housing is in the arrow’s way') as unknown,
    });
  });
  test('neighbouring speeds, slowest first and longest', () => {
    const tapes = candidateTapes(flight, OPTIONS, [71, 69, 70]).map((answer) => {
      if (!answer.ok) throw new Error(answer.message);
      return answer;
    });
    expect(tapes.map(({ speedMps }) => speedMps)).toEqual([69, 70, 71]);
    expect(tapes[0]!.lengthMm).toBeGreaterThan(tapes[2]!.lengthMm);
  });
});

describe('its sheet', () => {
  const words = {
    title: 'Tape',
    lines: ['one', 'two'],
    ruler: 'true',
    strip: (one: Tape) => [`${one.speedMps}`],
  };
  test.each(['A4', 'LETTER'] as const)('%s: ruler of 100 mm, every line on the paper', (paper) => {
    const sheet = tapeSheet([tape(), tape({ side: 'right' })], paper, words);
    const lines = sheet.items.flatMap((item) => (item.kind === 'line' ? [item] : []));
    expect(lines.some(({ x1, x2, y1, y2 }) => y1 === y2 && Math.abs(x2 - x1 - 100) < 1e-9)).toBe(
      true,
    );
    for (const { x1, x2, y1, y2 } of lines) {
      for (const x of [x1, x2]) expect(x).toBeGreaterThan(0);
      expect(Math.max(x1, x2)).toBeLessThan(sheet.widthMm);
      expect(Math.max(y1, y2)).toBeLessThan(sheet.heightMm);
    }
    expect(sheet.strips).toHaveLength(2);
  });
  test('ticks stand at the strip’s first line and the tape’s own mm; numbers on their side', () => {
    for (const side of ['left', 'right'] as const) {
      const sheet = tapeSheet([tape({ side })], 'A4', words);
      const { x, y, tape: drawn } = sheet.strips[0]!;
      const ticks = sheet.items.flatMap((item) =>
        item.kind === 'line' && item.widthMm === 0.25 ? [item] : [],
      );
      expect(ticks).toHaveLength(drawn.lines.length);
      ticks.forEach((tick, i) => {
        expect(tick.y1).toBeCloseTo(y + drawn.lines[i]!.yMm, 9);
        expect(
          side === 'left' ? Math.max(tick.x1, tick.x2) : Math.min(tick.x1, tick.x2),
        ).toBeCloseTo(side === 'left' ? x + 12 : x, 9);
      });
    }
  });
  test('as many strips as fit, and how long a tape may be', () => {
    const many = Array.from({ length: 9 }, () => tape({ widthMm: 30 }));
    const fit = stripsThatFit(many, 'A4');
    expect(fit).toBeGreaterThan(2);
    expect(fit).toBeLessThan(6);
    expect(tapeSheet(many, 'A4', words).strips).toHaveLength(fit);
    expect(longestTapeMm('A4')).toBeGreaterThan(longestTapeMm('LETTER'));
    expect(longestTapeMm('LETTER')).toBeGreaterThan(150);
  });
});

describe('a group’s spread', () => {
  const hits = (...rows: [number, number][]): Hit[] =>
    rows.map(([r, u]) => ({ rightMm: mm(r), upMm: mm(u) }));
  test('an aim outside the ellipse is the same as to move the pin', () => {
    const shots = hits([12, 30], [25, 44], [18, 38], [30, 33]);
    for (const shift of [0, 10, 18, 22, 26, 40]) {
      const moved = shots.map((hit) => ({ ...hit, upMm: mm(hit.upMm - shift) }));
      const { confidence } = groupSpread(moved);
      const { adjust } = group({ hits: moved, distanceM: metre(20), peepToPinMm: mm(760) });
      const { centre, longMm, shortMm, tiltDeg } = confidence!;
      const a = (tiltDeg * Math.PI) / 180;
      const along = -centre.rightMm * Math.cos(a) - centre.upMm * Math.sin(a);
      const across = centre.rightMm * Math.sin(a) - centre.upMm * Math.cos(a);
      expect((along / longMm) ** 2 + (across / shortMm) ** 2 > 1).toBe(adjust);
    }
  });
  test('tilt from right towards up, widest and middle distance', () => {
    const { confidence, widestMm, rmsMm } = groupSpread(
      hits([-20, -20], [20, 20], [0, 2], [0, -2]),
    );
    expect(confidence!.tiltDeg).toBeCloseTo(45, 0);
    expect(confidence!.longMm).toBeGreaterThan(confidence!.shortMm * 5);
    expect(widestMm).toBeCloseTo(56.6, 1);
    expect(rmsMm).toBeCloseTo(20.05, 1);
  });
  test('no ellipse from two, and none that is not a number from one hole', () => {
    expect(groupSpread(hits([1, 2], [3, 4])).confidence).toBeNull();
    const one = groupSpread(hits([5, 5], [5, 5], [5, 5])).confidence!;
    expect(Number.isFinite(one.longMm + one.shortMm + one.tiltDeg)).toBe(true);
  });
  test('the move in whole clicks, with what is left', () => {
    const clicks = pinClicks({ rightMm: mm(-0.52), upMm: mm(1.98) }, 0.1);
    expect(clicks).toMatchObject({ right: -5, up: 20 });
    expect(clicks.leftMm.rightMm).toBeCloseTo(-0.02, 9);
    expect(Object.is(pinClicks({ rightMm: mm(-0.01), upMm: mm(0) }, 0.1).right, 0)).toBe(true);
  });
});
