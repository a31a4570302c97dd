import type { CamSystem } from './record';

/** Millimetres from the grip's throat; x towards the archer, y down as screens count it. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface BowShape {
  readonly axleToAxleMm: number;
  readonly braceHeightMm: number;
  readonly camSystem: CamSystem;
}

/** Outlines of a bow at rest as SVG path data, and where its parts are. */
export interface BowOutline {
  readonly riser: string;
  readonly riserHoles: readonly string[];
  readonly grip: string;
  readonly limbs: readonly string[];
  readonly limbSeams: readonly string[];
  readonly pockets: readonly string[];
  readonly cams: readonly {
    readonly edge: string;
    readonly track: string;
    readonly holes: readonly string[];
    readonly module: string | null;
    readonly axle: Point;
  }[];
  readonly bolts: readonly Point[];
  readonly string: string;
  readonly cables: readonly string[];
  readonly guard: string;
  readonly arrowY: number;
  readonly stringX: number;
  readonly peep: Point;
  readonly rest: Point;
  readonly sightBase: Point;
  readonly barBase: Point;
  readonly pocketY: number;
  readonly box: {
    readonly left: number;
    readonly right: number;
    readonly top: number;
    readonly bottom: number;
  };
}

/** Axle to the string's tangent at the back of the cam. */
const CAM_BACK_MM = 38;
/** Drop of the limb from axle to pocket: today's bows carry their limbs near level. */
const LIMB_RISE_MM = 108;
const NOCK_UP_MM = 24;
const FRONT_MM = 134;

/**
 * Draws a compound bow at rest from its own axle-to-axle length, brace height and cam system.
 * The side view is schematic but to scale in those three.
 */
export function bowOutline({ axleToAxleMm, braceHeightMm, camSystem }: BowShape): BowOutline {
  const half = axleToAxleMm / 2;
  const pocketY = half - LIMB_RISE_MM;
  const axleX = braceHeightMm - CAM_BACK_MM;
  const sides = [-1, 1] as const;
  const limbs = sides.map((side) => limb(side, axleX, half, pocketY));
  return {
    riser: smooth(riserEdge(pocketY)),
    riserHoles: riserHoles(pocketY).map((hole) => rounded(hole, 6)),
    grip: smooth(gripEdge(pocketY)),
    limbs: limbs.map((entry) => entry.outline),
    limbSeams: limbs.map((entry) => entry.seam),
    pockets: sides.map((side) => pocket(side, pocketY)),
    cams: sides.map((side) =>
      side === -1 && camSystem === 'single'
        ? idler({ x: axleX, y: side * half })
        : cam({ x: axleX, y: side * half }, side),
    ),
    bolts: sides.map((side) => ({ x: -54, y: side * (pocketY + 2) })),
    string: line({ x: braceHeightMm, y: -half }, { x: braceHeightMm, y: half }),
    cables: [
      line({ x: axleX + 14, y: half - 12 }, { x: axleX - 12, y: -half + 4 }),
      line({ x: axleX + 14, y: -half + 12 }, { x: axleX - 12, y: half - 4 }),
    ],
    guard: line({ x: -24, y: -pocketY * 0.3 }, { x: axleX + 2, y: -pocketY * 0.3 }),
    arrowY: -NOCK_UP_MM,
    stringX: braceHeightMm,
    peep: { x: braceHeightMm, y: -NOCK_UP_MM - 150 },
    rest: { x: -6, y: -NOCK_UP_MM + 5 },
    sightBase: { x: -50, y: -pocketY * 0.4 },
    barBase: { x: -44, y: pocketY * 0.42 },
    pocketY,
    box: { left: -FRONT_MM, right: braceHeightMm + 26, top: -half - 62, bottom: half + 62 },
  };
}

const n = (value: number) => value.toFixed(1);
const line = (a: Point, b: Point) => `M${n(a.x)} ${n(a.y)}L${n(b.x)} ${n(b.y)}`;
const at = (x: number, y: number): Point => ({ x, y });

/** Closed Catmull–Rom spline through the points, as cubic Béziers. */
function smooth(points: readonly Point[]): string {
  const count = points.length;
  const p = (i: number) => points[(i + count) % count]!;
  let path = `M${n(p(0).x)} ${n(p(0).y)}`;
  for (let i = 0; i < count; i++) {
    const [a, b, c, d] = [p(i - 1), p(i), p(i + 1), p(i + 2)];
    const first = at(b.x + (c.x - a.x) / 6, b.y + (c.y - a.y) / 6);
    const second = at(c.x - (d.x - b.x) / 6, c.y - (d.y - b.y) / 6);
    path += `C${n(first.x)} ${n(first.y)} ${n(second.x)} ${n(second.y)} ${n(c.x)} ${n(c.y)}`;
  }
  return `${path}Z`;
}

/** Closed polygon with its corners rounded by up to `radius`. */
function rounded(points: readonly Point[], radius: number): string {
  const count = points.length;
  const toward = (from: Point, to: Point): Point => {
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    const part = Math.min(radius, length / 2) / length;
    return at(from.x + (to.x - from.x) * part, from.y + (to.y - from.y) * part);
  };
  const corners = points.map((corner, i) => {
    const before = toward(corner, points[(i + count - 1) % count]!);
    const after = toward(corner, points[(i + 1) % count]!);
    return `${n(before.x)} ${n(before.y)}Q${n(corner.x)} ${n(corner.y)} ${n(after.x)} ${n(after.y)}`;
  });
  return `M${corners.join('L')}Z`;
}

/** Front edge from the top down, then the back edge up: shelf, throat and heel included. */
function riserEdge(u: number): Point[] {
  return [
    at(-74, -u - 4),
    at(-70, -0.84 * u),
    at(-61, -0.64 * u),
    at(-56, -0.44 * u),
    at(-52, -0.26 * u),
    at(-42, -0.13 * u),
    at(-34, 0),
    at(-34, 0.16 * u),
    at(-40, 0.32 * u),
    at(-50, 0.52 * u),
    at(-61, 0.74 * u),
    at(-69, 0.9 * u),
    at(-74, u + 4),
    at(-30, u + 8),
    at(-24, 0.9 * u),
    at(-13, 0.7 * u),
    at(-2, 0.5 * u),
    at(8, 0.385 * u),
    at(12, 0.3 * u),
    at(7, 0.16 * u),
    at(0, 0),
    at(-5, -0.055 * u),
    at(-16, -0.09 * u),
    at(-22, -0.17 * u),
    at(-23, -0.32 * u),
    at(-20, -0.48 * u),
    at(-19, -0.64 * u),
    at(-22, -0.84 * u),
    at(-28, -u - 8),
  ];
}

/** Windows between the riser's webs, as [x, y] corners in parts of the pocket's height. */
function riserHoles(u: number): Point[][] {
  const windows: [number, number][][] = [
    [
      [-61, -0.9],
      [-31, -0.9],
      [-33, -0.74],
      [-54, -0.68],
    ],
    [
      [-49, -0.64],
      [-30, -0.68],
      [-31, -0.5],
      [-46, -0.44],
    ],
    [
      [-43, -0.4],
      [-31, -0.44],
      [-32, -0.25],
      [-42, -0.22],
    ],
    [
      [-25, 0.4],
      [-6, 0.42],
      [-13, 0.55],
      [-36, 0.5],
    ],
    [
      [-42, 0.55],
      [-17, 0.6],
      [-24, 0.74],
      [-50, 0.7],
    ],
    [
      [-54, 0.75],
      [-29, 0.79],
      [-32, 0.91],
      [-60, 0.9],
    ],
  ];
  return windows.map((corners) => corners.map(([x, y]) => at(x, y * u)));
}

const gripEdge = (u: number): Point[] => [
  at(-19, -0.01 * u),
  at(-24, 0.1 * u),
  at(-22, 0.22 * u),
  at(-12, 0.33 * u),
  at(9, 0.33 * u),
  at(15, 0.28 * u),
  at(10, 0.15 * u),
  at(2, 0.01 * u),
  at(-4, -0.045 * u),
];

function limb(side: -1 | 1, axleX: number, half: number, pocketY: number) {
  const root = at(-66, side * (pocketY - 14));
  const tip = at(axleX + 10, side * (half + 2));
  const along = at(tip.x - root.x, tip.y - root.y);
  const length = Math.hypot(along.x, along.y);
  // Normal that points away from the riser's middle.
  const normal = at((-along.y / length) * side, (along.x / length) * side);
  const bow = 17;
  const edge = (t: number, offset: number) => {
    const lift = bow * 4 * t * (1 - t) + offset;
    return at(root.x + along.x * t + normal.x * lift, root.y + along.y * t + normal.y * lift);
  };
  const thickness = (t: number) => 9 - 3.5 * t;
  const steps = [0, 0.17, 0.33, 0.5, 0.67, 0.83, 1];
  const outer = steps.map((t) => edge(t, thickness(t)));
  const inner = [...steps].reverse().map((t) => edge(t, -thickness(t)));
  const seam = [0.34, 0.45, 0.56, 0.67, 0.78, 0.88].map((t) => edge(t, 0));
  return {
    outline: rounded([...outer, ...inner], 6),
    seam: `M${seam.map(({ x, y }) => `${n(x)} ${n(y)}`).join('L')}`,
  };
}

function pocket(side: -1 | 1, pocketY: number): string {
  const y = (value: number) => side * (pocketY + value);
  return rounded(
    [
      at(-86, y(-30)),
      at(-82, y(6)),
      at(-30, y(43)),
      at(-4, y(39)),
      at(-14, y(10)),
      at(-34, y(-12)),
      at(-54, y(-34)),
    ],
    9,
  );
}

const polar = (centre: Point, radius: number, angle: number, side: -1 | 1) =>
  at(centre.x + radius * Math.cos(angle), centre.y - side * radius * Math.sin(angle));

/** Eccentric cam; at rest its long side stands towards the target. */
function cam(axle: Point, side: -1 | 1) {
  const lobe = Math.PI * 0.86;
  const radius = (angle: number) =>
    45 * (1 + 0.2 * Math.cos(angle - lobe) + 0.05 * Math.cos(2 * (angle - lobe)));
  const ring = (scale: number, from = 0, to = 2 * Math.PI, steps = 24) =>
    Array.from({ length: steps }, (_, i) => {
      const angle = from + ((to - from) * i) / (to - from > 6 ? steps : steps - 1);
      return polar(axle, radius(angle) * scale, angle, side);
    });
  const kidney = (from: number, to: number) =>
    smooth([...ring(0.78, from, to, 6), ...ring(0.5, from, to, 6).reverse()]);
  const module = smooth([...ring(0.6, 1.1, 3.3, 9), ...ring(0.26, 1.1, 3.3, 9).reverse()]);
  return {
    edge: smooth(ring(1)),
    track: smooth(ring(0.89)),
    holes: [kidney(3.7, 4.55), kidney(4.85, 5.7), kidney(0, 0.75)],
    module,
    axle,
  };
}

/** Round idler wheel of a single-cam bow. */
function idler(axle: Point) {
  const ring = (radius: number) =>
    smooth(Array.from({ length: 16 }, (_, i) => polar(axle, radius, (i * Math.PI) / 8, 1)));
  const hole = (i: number) => {
    const centre = polar(axle, 22, (i * 2 * Math.PI) / 5 + 0.3, 1);
    return smooth(Array.from({ length: 8 }, (_, k) => polar(centre, 7, (k * Math.PI) / 4, 1)));
  };
  return {
    edge: ring(CAM_BACK_MM),
    track: ring(33),
    holes: [0, 1, 2, 3, 4].map(hole),
    module: null,
    axle,
  };
}
