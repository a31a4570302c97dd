import { aBow } from '../testing/fixtures';
import { bowOutline, drawLengthSteps, moduleLabel } from '.';

const numbers = (path: string) => (path.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

describe('the drawing of a bow', () => {
  const shape = { axleToAxleMm: 787, braceHeightMm: 165, camSystem: 'twoCam' as const };
  const outline = bowOutline(shape);

  test('is to scale in axle to axle and brace height', () => {
    const [top, bottom] = outline.cams;
    expect(bottom!.axle.y - top!.axle.y).toBeCloseTo(787, 6);
    expect(outline.stringX).toBe(165);
    expect(numbers(outline.string)).toEqual([165, -393.5, 165, 393.5]);
  });
  test('stays inside its box', () => {
    const paths = [
      outline.riser,
      outline.grip,
      ...outline.limbs,
      ...outline.pockets,
      ...outline.cams.map(({ edge }) => edge),
    ];
    for (const path of paths) {
      const all = numbers(path);
      const xs = all.filter((_, i) => i % 2 === 0);
      const ys = all.filter((_, i) => i % 2 === 1);
      expect(Math.min(...xs)).toBeGreaterThan(outline.box.left);
      expect(Math.max(...xs)).toBeLessThan(outline.box.right);
      expect(Math.min(...ys)).toBeGreaterThan(outline.box.top);
      expect(Math.max(...ys)).toBeLessThan(outline.box.bottom);
    }
  });
  test('no path holds anything but numbers', () => {
    const all = JSON.stringify(outline);
    expect(all).not.toMatch(/NaN|Infinity|undefined/);
  });
  /** Leftmost, rightmost, half the height: what stands where a technician looks for it. */
  const spanOf = (path: string) => {
    const all = numbers(path);
    const xs = all.filter((_, i) => i % 2 === 0);
    const ys = all.filter((_, i) => i % 2 === 1);
    return [Math.min(...xs), Math.max(...xs), Math.max(...ys) - Math.min(...ys)];
  };
  test('pockets sit in front of the grip and hold the limbs, both alike', () => {
    const [up, down] = outline.pockets.map(spanOf);
    expect(up).toEqual(down);
    const [left, right, height] = up!;
    // Forward of the throat, a hand's breadth high, no further forward than the riser and limbs reach.
    expect(right).toBeLessThan(0);
    expect(left).toBeGreaterThan(-100);
    expect(height).toBeGreaterThan(60);
    expect(height).toBeLessThan(100);
  });
  test('a cam is eccentric: long towards the target, short towards the archer, its mirror below', () => {
    const [top, bottom] = outline.cams;
    const reach = (path: string, axle: { x: number; y: number }, side: 1 | -1) => {
      const all = numbers(path);
      return all
        .filter((_, i) => i % 2 === 0)
        .map((x, i) => [x - axle.x, side * (all[2 * i + 1]! - axle.y)] as const);
    };
    const up = reach(top!.edge, top!.axle, -1);
    // 45 mm in the middle, a quarter more at the most, which lies ahead and a little above the axle.
    const [x, y] = up.reduce((far, at) => (Math.hypot(...at) > Math.hypot(...far) ? at : far));
    expect(Math.hypot(x, y)).toBeGreaterThan(54);
    expect(Math.hypot(x, y)).toBeLessThan(58);
    expect([Math.sign(x), Math.abs(y) < -x]).toEqual([-1, true]);
    expect(Math.min(...up.map((at) => Math.hypot(...at)))).toBeGreaterThan(34);
    expect(Math.max(...up.map(([ahead]) => ahead))).toBeLessThan(43);
    const down = reach(bottom!.edge, bottom!.axle, 1);
    down.forEach(([ahead, above], i) => {
      expect(ahead).toBeCloseTo(up[i]![0], 1);
      expect(above).toBeCloseTo(up[i]![1], 1);
    });
  });
  test('an idler is round about its axle, with five round holes evenly around it', () => {
    const { cams } = bowOutline({ ...shape, camSystem: 'single' });
    const [wheel] = cams;
    const [left, right, height] = spanOf(wheel!.edge);
    expect(right! - left!).toBeCloseTo(height!, 1);
    expect((left! + right!) / 2).toBeCloseTo(wheel!.axle.x, 1);
    const middles = wheel!.holes.map((hole) => {
      const all = numbers(hole);
      const half = (list: number[]) => (Math.min(...list) + Math.max(...list)) / 2;
      return [half(all.filter((_, i) => i % 2 === 0)), half(all.filter((_, i) => i % 2 === 1))];
    });
    expect(wheel!.holes.map((hole) => Math.round(spanOf(hole)[2]!))).toEqual([14, 14, 14, 14, 14]);
    const angles = middles.map(([x, y]) => Math.atan2(y! - wheel!.axle.y, x! - wheel!.axle.x));
    const sorted = angles.map((a) => ((a * 180) / Math.PI + 360) % 360).sort((a, b) => a - b);
    sorted
      .slice(1)
      .forEach((angle, i) => expect(Math.abs(angle - sorted[i]! - 72)).toBeLessThan(2));
    for (const [x, y] of middles)
      expect(Math.hypot(x! - wheel!.axle.x, y! - wheel!.axle.y)).toBeCloseTo(22, 0);
  });
  test('riser and grip have no corner: each curve goes on as the last one ended', () => {
    for (const path of [outline.riser, outline.grip]) {
      const [x0, y0, ...rest] = numbers(path);
      const curves = Array.from({ length: rest.length / 6 }, (_, i) =>
        rest.slice(6 * i, 6 * i + 6),
      );
      expect(curves.at(-1)!.slice(4)).toEqual([x0, y0]);
      curves.forEach(([, , x2, y2, x, y], i) => {
        const [nextX, nextY] = curves[(i + 1) % curves.length]!;
        const [inX, inY, outX, outY] = [x! - x2!, y! - y2!, nextX! - x!, nextY! - y!];
        const [long, on] = [Math.hypot(inX, inY), Math.hypot(outX, outY)];
        // Coordinates are written to a tenth of a millimetre.
        expect((inX * outX + inY * outY) / (long * on)).toBeGreaterThan(0.98);
      });
    }
  });
  test('the grip lies under the arrow, about the throat', () => {
    const [left, right, height] = spanOf(outline.grip);
    expect(left).toBeLessThan(0);
    expect(right).toBeGreaterThan(0);
    expect(height).toBeGreaterThan(90);
    expect(height).toBeLessThan(130);
  });
  /** Corners of a path: ends of its curves, or the corners that were rounded. */
  const cornersOf = (path: string) => {
    const ends = path.includes('Q')
      ? [...path.matchAll(/Q(-?[\d.]+) (-?[\d.]+)/g)]
      : [...path.matchAll(/C\S+ \S+ \S+ \S+ (-?[\d.]+) (-?[\d.]+)/g)];
    return ends.map(([, x, y]) => ({ x: Number(x), y: Number(y) }));
  };
  type Corner = ReturnType<typeof cornersOf>[number];
  const turn = (a: Corner, b: Corner, c: Corner) =>
    Math.sign((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x));
  const crosses = (a: Corner, b: Corner, c: Corner, d: Corner) =>
    turn(a, b, c) !== turn(a, b, d) && turn(c, d, a) !== turn(c, d, b);
  const inside = ({ x, y }: Corner, ring: readonly Corner[]) =>
    ring.filter((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      return a.y > y !== b.y > y && x < a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y);
    }).length %
      2 ===
    1;
  describe.each([
    ['a short hunting bow', 711, 152],
    ['a usual one', 838, 171],
    ['a long target bow', 1016, 203],
  ])('the outline of %s', (_, axleToAxleMm, braceHeightMm) => {
    const drawn = bowOutline({ axleToAxleMm, braceHeightMm, camSystem: 'twoCam' });
    const riser = cornersOf(drawn.riser);
    const windows = drawn.riserHoles.map(cornersOf);
    test('no edge crosses another of its own', () => {
      const rings = [riser, cornersOf(drawn.grip), ...windows, ...drawn.limbs.map(cornersOf)];
      for (const ring of [...rings, ...drawn.pockets.map(cornersOf)])
        ring.forEach((a, i) =>
          ring.forEach((c, k) => {
            const apart = Math.min(Math.abs(i - k), ring.length - Math.abs(i - k));
            if (apart < 2) return;
            const [b, d] = [ring[(i + 1) % ring.length]!, ring[(k + 1) % ring.length]!];
            expect([i, k, crosses(a, b, c, d)]).toEqual([i, k, false]);
          }),
        );
    });
    test('front and back go on from pocket to pocket without turning round', () => {
      const foot = riser.findIndex(({ y }) => y === Math.max(...riser.map((corner) => corner.y)));
      const top = riser.findIndex(({ y }) => y === Math.min(...riser.map((corner) => corner.y)));
      const round = [...riser.slice(top), ...riser.slice(0, top)];
      const down = (foot - top + riser.length) % riser.length;
      const [back, front] = [round.slice(0, down + 1), round.slice(down)];
      for (const side of [back, [...front].reverse()])
        side.slice(1).forEach(({ x, y }, i) => {
          expect(y).toBeGreaterThan(side[i]!.y - 0.06);
          // Between the pockets it never leaps sideways.
          if (Math.abs(y) < drawn.pocketY) expect(Math.abs(x - side[i]!.x)).toBeLessThan(30);
        });
    });
    test('windows are cut into the riser and leave webs', () => {
      windows.flat().forEach((corner) => expect(inside(corner, riser)).toBe(true));
      windows.forEach((ring, i) =>
        windows.slice(i + 1).forEach((other) => {
          const gap = Math.min(
            ...ring.flatMap((a) => other.map((b) => Math.hypot(a.x - b.x, a.y - b.y))),
          );
          expect(gap).toBeGreaterThan(3);
          other.forEach((corner) => expect(inside(corner, ring)).toBe(false));
        }),
      );
    });
    test('places of parts: guard behind the throat, peep over the arrow, sight and bar on the riser', () => {
      const [x1, y1, x2] = numbers(drawn.guard);
      expect(inside({ x: x1!, y: y1! }, riser)).toBe(true);
      expect(x2).toBeGreaterThan(0);
      // The arrow lies over the hand, which presses at the throat.
      expect(drawn.arrowY).toBeLessThan(0);
      expect(drawn.arrowY).toBeGreaterThan(-60);
      expect(drawn.peep.y).toBeLessThan(drawn.arrowY);
      expect(drawn.sightBase.y).toBeLessThan(drawn.arrowY);
      expect(drawn.barBase.y).toBeGreaterThan(0);
      for (const { x, y } of [drawn.sightBase, drawn.barBase])
        expect(riser.some((corner) => Math.hypot(corner.x - x, corner.y - y) < 45)).toBe(true);
      for (const { y } of drawn.bolts)
        expect(Math.abs(Math.abs(y) - drawn.pocketY)).toBeLessThan(10);
    });
  });
  test('a limb is 18 mm thick in its pocket and 11 at its tip, bowed 17 mm outwards, with its seam in the middle', () => {
    const middle = (a: Corner, b: Corner) => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
    const apart = (a: Corner, b: Corner) => Math.hypot(a.x - b.x, a.y - b.y);
    for (const path of outline.limbs) {
      const corners = cornersOf(path);
      const pairs = [0, 1, 2, 3, 4, 5, 6].map((k) => [corners[k]!, corners[13 - k]!] as const);
      const thick = pairs.map(([outer, inner]) => apart(outer, inner));
      [18, 16.8, 15.7, 14.5, 13.3, 12.2, 11].forEach((mm, k) =>
        expect(Math.abs(thick[k]! - mm)).toBeLessThan(0.2),
      );
      const line = pairs.map(([outer, inner]) => middle(outer, inner));
      const chord = middle(line[0]!, line[6]!);
      expect(Math.abs(apart(line[3]!, chord) - 17)).toBeLessThan(0.2);
      // Outwards: further from the middle of the bow than the straight line would be.
      expect(Math.abs(line[3]!.y)).toBeGreaterThan(Math.abs(chord.y));
      const seam = numbers(outline.limbSeams[outline.limbs.indexOf(path)]!);
      const near = { x: seam[6]!, y: seam[7]! };
      expect(apart(near, line[4]!)).toBeLessThan(0.2);
    }
  });
  test('a rounded corner begins at most so far from it, on its two sides', () => {
    const rings: readonly (readonly [readonly string[], number])[] = [
      [outline.riserHoles, 6],
      [outline.pockets, 9],
    ];
    for (const [paths, radius] of rings)
      for (const path of paths) {
        const corners = [
          ...path.matchAll(/(-?[\d.]+) (-?[\d.]+)Q(-?[\d.]+) (-?[\d.]+) (-?[\d.]+) (-?[\d.]+)/g),
        ].map((match) => match.slice(1).map(Number));
        corners.forEach(([x1, y1, x, y, x2, y2], i) => {
          const [, , px, py] = corners[(i + corners.length - 1) % corners.length]!;
          const [, , nx, ny] = corners[(i + 1) % corners.length]!;
          for (const [ex, ey, ox, oy] of [
            [x1, y1, px, py],
            [x2, y2, nx, ny],
          ] as const) {
            const [away, long] = [Math.hypot(ex! - x!, ey! - y!), Math.hypot(ox! - x!, oy! - y!)];
            expect(Math.abs(away - Math.min(radius, long / 2))).toBeLessThan(0.15);
            // On the side itself: the way over it is no longer than the side.
            expect(Math.abs(away + Math.hypot(ox! - ex!, oy! - ey!) - long)).toBeLessThan(0.15);
          }
        });
      }
  });
  test('holes and module of a cam lie inside its edge, each by itself, the module round its axle', () => {
    for (const { edge, track, holes, module, axle } of outline.cams) {
      const ring = cornersOf(edge);
      for (const inner of [track, ...holes, module!])
        cornersOf(inner).forEach((corner) => expect(inside(corner, ring)).toBe(true));
      const apart = holes.map(cornersOf);
      apart.forEach((hole, i) =>
        apart.slice(i + 1).forEach((other) => {
          hole.forEach((corner) => expect(inside(corner, other)).toBe(false));
        }),
      );
      const radii = cornersOf(module!).map(({ x, y }) => Math.hypot(x - axle.x, y - axle.y));
      expect(Math.min(...radii)).toBeGreaterThan(8);
      expect(Math.max(...radii)).toBeLessThan(36);
      // The track lies a tenth inside the edge.
      const far = (path: string) =>
        Math.max(...cornersOf(path).map(({ x, y }) => Math.hypot(x - axle.x, y - axle.y)));
      expect(far(track) / far(edge)).toBeCloseTo(0.89, 2);
    }
  });
  test('a curve passes each of its points between its neighbours, a sixth of their distance before and after', () => {
    // The round wheel: sixteen points on a circle of 38 mm; the handles of the spline touch it there.
    const wheel = bowOutline({ ...shape, camSystem: 'single' }).cams[0]!;
    const [, , ...rest] = numbers(wheel.edge);
    const { x: cx, y: cy } = wheel.axle;
    for (let i = 0; i < rest.length; i += 6) {
      const [, , hx, hy, x, y] = rest.slice(i, i + 6);
      expect(Math.hypot(x! - cx, y! - cy)).toBeCloseTo(38, 0);
      // Two points lie 45° apart: 2 · 38 · sin 22.5° = 29.08 mm, of which a sixth.
      expect(Math.abs(Math.hypot(x! - hx!, y! - hy!) - 4.85)).toBeLessThan(0.15);
      // Along the circle, at right angles to its spoke.
      expect(Math.abs((x! - hx!) * (x! - cx) + (y! - hy!) * (y! - cy))).toBeLessThan(6);
    }
  });
  test('each cable goes from behind one cam’s axle to before the other’s, and the two mirror each other', () => {
    const [one, other] = outline.cables.map(numbers);
    expect(other).toEqual(one!.map((value, i) => (i % 2 === 0 ? value : -value)));
    const [x1, y1, x2, y2] = one!;
    const { x: axle } = outline.cams[0]!.axle;
    expect([x1! > axle, x2! < axle]).toEqual([true, true]);
    expect([y1! < 787 / 2, y2! > -787 / 2]).toEqual([true, true]);
    for (const [x, y] of [
      [x1, 787 / 2 - y1!],
      [x2, 787 / 2 + y2!],
    ] as const) {
      expect(Math.hypot(x! - axle, y)).toBeGreaterThan(10);
      expect(Math.hypot(x! - axle, y)).toBeLessThan(22);
    }
  });
  test('upper and lower limb mirror each other', () => {
    const [up, down] = outline.limbs.map(numbers);
    expect(down).toEqual(up!.map((value, i) => (i % 2 === 0 ? value : -value)));
  });
  test('a single-cam bow has a round wheel on top, without a module', () => {
    const single = bowOutline({ ...shape, camSystem: 'single' });
    expect(single.cams[0]!.module).toBeNull();
    expect(single.cams[1]!.module).not.toBeNull();
    expect(outline.cams[0]!.module).not.toBeNull();
  });
  test('a longer bow has a longer riser, the grip stays where the hand is', () => {
    const long = bowOutline({ ...shape, axleToAxleMm: 965 });
    expect(long.pocketY).toBeGreaterThan(outline.pocketY);
    expect(long.arrowY).toBe(outline.arrowY);
  });
});

describe('a bow’s draw lengths', () => {
  test('are its modules, shortest first, whatever their order', () => {
    const bow = aBow({
      modules: [
        { label: 'B', drawLengthMm: 700 as never },
        { label: 'A', drawLengthMm: 650 as never },
      ],
    });
    expect(drawLengthSteps(bow)).toEqual([650, 700]);
    expect(moduleLabel(bow, 700.2)).toBe('B');
    expect(moduleLabel(bow, 720)).toBeNull();
  });
  test('or the one it was ordered with', () => {
    expect(drawLengthSteps(aBow({ modules: [], fixedDrawLengthMm: 711 as never }))).toEqual([711]);
  });
});
