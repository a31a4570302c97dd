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
const FRONT_MM = 128;

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
    riserHoles: riserHoles(pocketY).map(smooth),
    grip: smooth(gripEdge(pocketY)),
    limbs: limbs.map((entry) => entry.outline),
    limbSeams: limbs.map((entry) => entry.seam),
    pockets: sides.map((side) => pocket(side, pocketY)),
    cams: sides.map((side) =>
      side === -1 && camSystem === 'single'
        ? idler({ x: axleX, y: side * half })
        : cam({ x: axleX, y: side * half }, side),
    ),
    bolts: sides.map((side) => ({ x: -47, y: side * (pocketY + 3) })),
    string: line({ x: braceHeightMm, y: -half }, { x: braceHeightMm, y: half }),
    cables: [
      line({ x: axleX + 14, y: half - 12 }, { x: axleX - 12, y: -half + 4 }),
      line({ x: axleX + 14, y: -half + 12 }, { x: axleX - 12, y: half - 4 }),
    ],
    guard: line({ x: -18, y: -pocketY * 0.3 }, { x: axleX + 2, y: -pocketY * 0.3 }),
    arrowY: -NOCK_UP_MM,
    stringX: braceHeightMm,
    peep: { x: braceHeightMm, y: -NOCK_UP_MM - 150 },
    rest: { x: -6, y: -NOCK_UP_MM + 5 },
    sightBase: { x: -44, y: -pocketY * 0.4 },
    barBase: { x: -38, y: pocketY * 0.42 },
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

/** Front edge from the top down, then the back edge up: shelf, throat and heel included. */
function riserEdge(u: number): Point[] {
  return [
    at(-64, -u - 6),
    at(-61, -0.84 * u),
    at(-53, -0.64 * u),
    at(-49, -0.44 * u),
    at(-46, -0.26 * u),
    at(-37, -0.13 * u),
    at(-31, 0),
    at(-31, 0.16 * u),
    at(-35, 0.32 * u),
    at(-43, 0.52 * u),
    at(-53, 0.74 * u),
    at(-61, 0.9 * u),
    at(-64, u + 6),
    at(-31, u + 12),
    at(-29, 0.9 * u),
    at(-20, 0.7 * u),
    at(-9, 0.5 * u),
    at(4, 0.385 * u),
    at(11, 0.3 * u),
    at(7, 0.16 * u),
    at(0, 0),
    at(-5, -0.055 * u),
    at(-19, -0.095 * u),
    at(-26, -0.17 * u),
    at(-28, -0.32 * u),
    at(-27, -0.48 * u),
    at(-25, -0.64 * u),
    at(-27, -0.84 * u),
    at(-31, -u - 12),
  ];
}

function riserHoles(u: number): Point[][] {
  const slot = (points: [number, number, number][]) => [
    ...points.map(([x, y, w]) => at(x - w, y * u)),
    ...[...points].reverse().map(([x, y, w]) => at(x + w, y * u)),
  ];
  return [
    slot([
      [-45, -0.92, 4],
      [-44, -0.82, 8],
      [-40, -0.7, 5.5],
      [-39, -0.62, 2],
    ]),
    slot([
      [-38, -0.56, 2],
      [-38, -0.47, 4.5],
      [-37, -0.36, 4],
      [-36, -0.29, 1.5],
    ]),
    slot([
      [-19, 0.38, 3],
      [-24, 0.46, 8],
      [-31, 0.58, 8.5],
      [-37, 0.68, 4],
    ]),
    slot([
      [-40, 0.74, 3],
      [-44, 0.82, 7],
      [-46, 0.92, 4],
    ]),
  ];
}

const gripEdge = (u: number): Point[] => [
  at(-17, -0.02 * u),
  at(-21, 0.1 * u),
  at(-19, 0.22 * u),
  at(-9, 0.32 * u),
  at(9, 0.32 * u),
  at(13, 0.27 * u),
  at(9, 0.15 * u),
  at(2, 0.02 * u),
  at(-3, -0.04 * u),
];

function limb(side: -1 | 1, axleX: number, half: number, pocketY: number) {
  const root = at(-60, side * (pocketY - 10));
  const tip = at(axleX + 7, side * (half + 3));
  const along = at(tip.x - root.x, tip.y - root.y);
  const length = Math.hypot(along.x, along.y);
  // Normal that points away from the riser's middle.
  const normal = at((-along.y / length) * -side, (along.x / length) * side);
  const bow = 13;
  const edge = (t: number, offset: number) => {
    const lift = bow * 4 * t * (1 - t) + offset;
    return at(root.x + along.x * t + normal.x * lift, root.y + along.y * t + normal.y * lift);
  };
  const thickness = (t: number) => 7.5 - 3 * t;
  const steps = [0, 0.25, 0.5, 0.75, 1];
  const outer = steps.map((t) => edge(t, thickness(t)));
  const inner = [...steps].reverse().map((t) => edge(t, -thickness(t)));
  return {
    outline: smooth([...outer, ...inner]),
    seam: `M${steps
      .slice(2)
      .map((t) => `${n(edge(t, 0).x)} ${n(edge(t, 0).y)}`)
      .join('L')}`,
  };
}

function pocket(side: -1 | 1, pocketY: number): string {
  const y = (value: number) => side * (pocketY + value);
  return smooth([
    at(-73, y(-24)),
    at(-74, y(6)),
    at(-56, y(20)),
    at(-22, y(36)),
    at(-8, y(30)),
    at(-14, y(14)),
    at(-34, y(-8)),
    at(-52, y(-28)),
  ]);
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
