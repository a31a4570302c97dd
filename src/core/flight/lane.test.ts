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
  test('1° of bubble costs about 9 cm at 60 m when the arrow leaves 5° up and starts 55 mm under the line', () =>
    // (60 000·tan 5° − 55)·sin 1°
    expect(
      tiltMissMm({ distanceM: metre(60), launchDeg: degree(5), pinAboveArrowMm: mm(55) }, 1),
    ).toBeCloseTo(90.65, 1));
  test.each([
    [1, 30, 0.5],
    [2, -30, -1],
    [3, 0, 0],
  ])('third axis %d° off seems %d° → %d° of bubble', (off, slope, tilt) =>
    expect(thirdAxisTiltDeg(off, slope)).toBeCloseTo(tilt, 2),
  );
  test('a rail that leans: the pin’s drop goes sideways', () =>
    // 20 mm of pin × tan 1° × (60 + 0.76) m / 0.76 m
    expect(railMissMm(metre(60), 20, mm(760), 1)).toBeCloseTo(27.91, 1));

  /** Sideways miss of a bow tilted about its sight line, flown in space in steps of a millisecond. */
  function flown(distance: number, slopeDeg: number, tiltDeg: number): number {
    const [leaving] = marksAt([distance], { slopeDeg: degree(slopeDeg) });
    const angle = (leaving!.launchDeg * Math.PI) / 180;
    const tilt = (tiltDeg * Math.PI) / 180;
    const slope = (slopeDeg * Math.PI) / 180;
    const drag = (1.225 * 2 * (Math.PI / 4) * 0.0069 ** 2) / (2 * 0.0246);
    // Along the line, up across it, right. The bow's own "up" leans to the right by the tilt.
    const up = [0, Math.cos(tilt), Math.sin(tilt)];
    let at = up.map((part) => (-part * leaving!.pinAboveArrowMm) / 1000);
    let speed = [0, 1, 2].map(
      (i) => 70 * ((i === 0 ? Math.cos(angle) : 0) + up[i]! * Math.sin(angle)),
    );
    const gravity = [-9.80665 * Math.sin(slope), -9.80665 * Math.cos(slope), 0];
    const pull = (v: number[]) => {
      const size = Math.hypot(...v);
      return v.map((part, i) => gravity[i]! - drag * size * part);
    };
    const dt = 1e-4;
    for (;;) {
      const half = speed.map((part, i) => part + (pull(speed)[i]! * dt) / 2);
      const next = speed.map((part, i) => part + pull(half)[i]! * dt);
      const then = at.map((part, i) => part + half[i]! * dt);
      if (then[0]! >= distance) {
        const part = (distance - at[0]!) / (then[0]! - at[0]!);
        return 1000 * (at[2]! + part * (then[2]! - at[2]!));
      }
      [at, speed] = [then, next];
    }
  }
  test.each([
    [15, 0, 2],
    [40, 0, -1.5],
    [60, 0, 3],
    [30, 25, 2],
  ])('a bubble off at %d m on %d° by %d°: as flown in space', (distance, slope, tilt) => {
    const [leaving] = marksAt([distance], { slopeDeg: degree(slope) });
    const miss = flown(distance, slope, tilt);
    // On a slope gravity slows the arrow along its way too, which the formula leaves out.
    expect(Math.abs(tiltMissMm(leaving!, tilt) - miss)).toBeLessThan(
      slope === 0 ? 0.05 : 0.02 * Math.abs(miss),
    );
  });
  test.each([15, 20, 30, 45, 60])(
    'a third axis 2° off reads 2° from groups flown in space at %d m',
    (distance) => {
      const at = (slopeDeg: number) => {
        const [leaving] = marksAt([distance], { slopeDeg: degree(slopeDeg) });
        // The sight stands half a millimetre to its side as well.
        const side = 0.5 * ((distance + 0.76) / 0.76);
        const rightMm = flown(distance, slopeDeg, thirdAxisTiltDeg(2, slopeDeg)) + side;
        return { ...leaving!, rightMm, slopeDeg };
      };
      const off = thirdAxisFromGroups(at(30), at(-30), mm(760));
      expect(Math.abs(off! - 2)).toBeLessThan(0.05);
    },
  );
  test('groups at different distances, the sight’s own side taken out', () => {
    const at = (slopeDeg: number, distance: number) => {
      const [leaving] = marksAt([distance], { slopeDeg: degree(slopeDeg) });
      const rightMm =
        tiltMissMm(leaving!, thirdAxisTiltDeg(-0.8, slopeDeg)) + 0.3 * ((distance + 0.76) / 0.76);
      return { ...leaving!, rightMm, slopeDeg };
    };
    expect(thirdAxisFromGroups(at(30, 30), at(-35, 40), mm(760))).toBeCloseTo(-0.8, 4);
  });
  test('too flat to tell', () => {
    const row = {
      rightMm: 10,
      distanceM: metre(30),
      launchDeg: degree(2),
      pinAboveArrowMm: mm(90),
    };
    expect(
      thirdAxisFromGroups({ ...row, slopeDeg: 8 }, { ...row, slopeDeg: -8 }, mm(760)),
    ).toBeNull();
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
  // Figures worked outside this program for a peep 110 mm up and a pin 820 mm ahead of it.
  test.each([
    [85, 20, 30, 15.45],
    [95, 20, 10, 19.55],
  ])('%d m/s, %d m on %d°: shot as %d m, and no dash', (speed, distance, slope, level) => {
    const [row] = slopeTable(
      { ...flight, speedMps: mps(speed), peepHeightMm: mm(110), peepToPinMm: mm(820) },
      [metre(distance)],
      [slope],
    );
    expect(row!.shootAsM).not.toBeNull();
    expect(Math.abs(row!.shootAsM! - level)).toBeLessThan(0.05);
  });
  test.each([55, 70, 85, 100])('no dash anywhere a mark stands, at %d m/s', (speed) => {
    const fast = { ...flight, speedMps: mps(speed) };
    for (const row of slopeTable(
      fast,
      [15, 18, 20, 25, 30, 50].map(metre),
      [-40, -25, -10, 10, 25, 40],
    )) {
      if (row.shootAsM !== null) continue;
      // Only where the slope's pin stands above every level one.
      const at = (d: number, slopeDeg = 0) => {
        const answer = sightMarks({ ...fast, distancesM: [metre(d)], slopeDeg: degree(slopeDeg) });
        return answer.ok ? answer.marks[0]!.pinAboveArrowMm : Number.NaN;
      };
      const highest = Math.max(...Array.from({ length: 300 }, (_, i) => at(1 + i / 10)));
      expect(at(row.distanceM, row.slopeDeg)).toBeGreaterThan(highest - 1e-3);
    }
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
    const rest = pinClicks({ rightMm: mm(3.2), upMm: mm(-2.6) }, 0.5);
    expect([rest.right, rest.up]).toEqual([6, -5]);
    expect(rest.leftMm.rightMm).toBeCloseTo(0.2, 9);
    expect(rest.leftMm.upMm).toBeCloseTo(-0.1, 9);
    expect(Object.is(pinClicks({ rightMm: mm(-0.01), upMm: mm(0) }, 0.1).right, 0)).toBe(true);
  });
});
