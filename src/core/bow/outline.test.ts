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
