import { bowOutline, type BowOutline, type Point } from '../bow';
import type { SheetItem } from '../flight';
import { apart } from '../numerics';
import { setupValue, type SetupKey } from '../setup';
import type { SheetDocument } from './sheet-document';

/** One outline of the bow, in millimetres of the bow; `scale`, `left` and `top` bring it onto the paper. */
interface SketchPath {
  readonly d: string;
  readonly fill: 'ink' | 'paper' | 'none';
  /** Of the line on the bow's own scale; 0 for none. */
  readonly lineMm: number;
}

export interface SheetSketch {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly scale: number;
  /** Where the grip's throat stands on the paper. */
  readonly left: number;
  readonly top: number;
  readonly paths: readonly SketchPath[];
  readonly items: readonly SheetItem[];
}

type Side = 'left' | 'right';

/** Where on the drawn bow a number is measured, and on which side it is written. */
interface Spot {
  readonly side: Side;
  readonly at: (o: BowOutline) => Point;
  readonly keys: readonly SetupKey[];
}

const at = (x: number, y: number): Point => ({ x, y });

const SPOTS: readonly Spot[] = [
  {
    side: 'left',
    at: (o) => o.bolts[0]!,
    keys: ['limbTurnsUpper', 'peakWeight', 'holdingWeight'],
  },
  {
    side: 'left',
    at: (o) => at(o.sightBase.x - 58, o.sightBase.y),
    keys: ['sightBase', 'peepToPin', 'housingHeight', 'housingWindage'],
  },
  { side: 'left', at: (o) => o.rest, keys: ['centreShot', 'restHeight'] },
  {
    side: 'left',
    at: (o) => at(o.barBase.x - 70, o.barBase.y),
    keys: ['frontBarDown', 'frontDiscs', 'rearBarSide', 'rearBarDown', 'rearDiscs'],
  },
  { side: 'left', at: (o) => o.bolts[1]!, keys: ['limbTurnsLower'] },
  { side: 'right', at: (o) => o.cams[0]!.axle, keys: ['moduleTop', 'timing', 'leanFixUpper'] },
  { side: 'right', at: (o) => at(o.box.right, -0.78 * o.pocketY), keys: ['axleToAxle'] },
  { side: 'right', at: (o) => o.peep, keys: ['peepHeight', 'peepTrueHeight', 'tubeLength'] },
  {
    side: 'right',
    at: (o) => at(o.stringX, o.arrowY),
    keys: ['nockHeight', 'loop', 'kisser', 'drawLength'],
  },
  { side: 'right', at: (o) => at(o.stringX, 0), keys: ['braceHeight'] },
  {
    side: 'right',
    at: (o) => at(o.stringX - 34, -0.3 * o.arrowY + 90),
    keys: ['restCord', 'cableGuard', 'cableTwists'],
  },
  {
    side: 'right',
    at: (o) => at(o.stringX, o.pocketY * 0.6),
    keys: ['stringTwists', 'stringStop'],
  },
  { side: 'right', at: (o) => o.cams[1]!.axle, keys: ['moduleBottom', 'leanFixLower'] },
];

const TYPE = 2.35;
const LINE = 2.95;
const BLOCK_GAP = 2;
const HAIR = 0.15;
const EDGE = 1;
/** Beside the bow for words, as a part of the width. */
const WORDS = 0.34;

/**
 * The bow from its own measures with every number where it is measured, to be drawn on screen and paper
 * alike. Pure: the same sheet makes the same sketch.
 *
 * @returns null where the sheet has no bow.
 */
export function sheetSketch(
  { bow, settings }: Pick<SheetDocument, 'bow' | 'settings'>,
  widthMm: number,
  heightMm: number,
): SheetSketch | null {
  if (!bow) return null;
  const o = bowOutline({
    axleToAxleMm: settings.find(({ key }) => key === 'axleToAxle')?.si ?? bow.axleToAxleMm,
    braceHeightMm: settings.find(({ key }) => key === 'braceHeight')?.si ?? bow.braceHeightMm,
    camSystem: bow.camCode,
  });
  const tall = o.box.bottom - o.box.top;
  const wide = o.box.right - o.box.left;
  const scale = Math.min(heightMm / tall, (widthMm * (1 - 2 * WORDS)) / wide);
  const left = widthMm / 2 - (scale * (o.box.left + o.box.right)) / 2;
  const top = heightMm / 2 - (scale * (o.box.top + o.box.bottom)) / 2;
  const place = ({ x, y }: Point) => at(left + scale * x, top + scale * y);
  const box = {
    left: left + scale * o.box.left,
    right: left + scale * o.box.right,
    widthMm,
    heightMm,
  };
  const texts = new Map(settings.map((setting) => [setting.key, setting]));
  return {
    widthMm,
    heightMm,
    scale,
    left,
    top,
    paths: pathsOf(o),
    items: [
      ...(['left', 'right'] as const).flatMap((side) => labels(side, o, texts, place, box)),
      ...dimensions(o, texts, place, box),
    ],
  };
}

function pathsOf(o: BowOutline): SketchPath[] {
  const line = (d: string, lineMm: number): SketchPath => ({ d, fill: 'none', lineMm });
  return [
    ...o.cables.map((d) => line(d, 2)),
    line(o.string, 3.4),
    ...o.cams.flatMap((cam) => [
      { d: cam.edge, fill: 'paper' as const, lineMm: 4 },
      line(cam.track, 1.6),
      ...cam.holes.map((d) => line(d, 2)),
      ...(cam.module ? [line(cam.module, 2.4)] : []),
    ]),
    ...o.limbs.map((d) => ({ d, fill: 'ink' as const, lineMm: 0 })),
    line(o.guard, 5),
    { d: o.riser, fill: 'ink' as const, lineMm: 0 },
    ...o.riserHoles.map((d) => ({ d, fill: 'paper' as const, lineMm: 0 })),
    { d: o.grip, fill: 'paper' as const, lineMm: 3 },
    ...o.pockets.map((d) => ({ d, fill: 'ink' as const, lineMm: 0 })),
    ...o.bolts.map(({ x, y }) => ({
      d: `M${x - 8} ${y}a8 8 0 1 0 16 0a8 8 0 1 0 -16 0Z`,
      fill: 'paper' as const,
      lineMm: 0,
    })),
    line(`M${o.stringX - 2} ${o.arrowY}H-118`, 3.4),
    line(`M${o.stringX - 12} ${o.arrowY}l-9 -8h-32l-9 8`, 2.4),
    line(`M${o.rest.x - 20} ${o.rest.y + 9}h14l10 -12`, 4),
    line(`M${o.sightBase.x + 8} ${o.sightBase.y}H${o.sightBase.x - 38}`, 4),
    {
      d: `M${o.sightBase.x - 77} ${o.sightBase.y}a19 19 0 1 0 38 0a19 19 0 1 0 -38 0Z`,
      fill: 'paper' as const,
      lineMm: 4,
    },
    line(`M${o.barBase.x} ${o.barBase.y}H${o.barBase.x - 72}`, 7),
    {
      d: `M${o.peep.x - 5} ${o.peep.y}a5 10 0 1 0 10 0a5 10 0 1 0 -10 0Z`,
      fill: 'paper' as const,
      lineMm: 3,
    },
    line(`M${o.stringX} ${o.arrowY - 9}c13 0 13 18 0 18`, 3),
  ];
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly widthMm: number;
  readonly heightMm: number;
}
type Texts = ReadonlyMap<string, SheetDocument['settings'][number]>;
type Place = (point: Point) => Point;

const text = (
  x: number,
  y: number,
  anchor: 'start' | 'middle' | 'end',
  words: string,
  bold = false,
): SheetItem => ({
  kind: 'text',
  x,
  y,
  sizeMm: TYPE,
  anchor,
  text: words,
  ...(bold ? { bold: true as const } : {}),
});
const stroke = (a: Point, b: Point, dashed = false): SheetItem => ({
  kind: 'line',
  x1: a.x,
  y1: a.y,
  x2: b.x,
  y2: b.y,
  widthMm: HAIR,
  ...(dashed ? { dashed: true as const } : {}),
});

/** Blocks of numbers down one side, each with a line to its place on the bow. */
function labels(side: Side, o: BowOutline, texts: Texts, place: Place, box: Box): SheetItem[] {
  const blocks = SPOTS.filter((spot) => spot.side === side)
    .map((spot) => ({
      to: place(spot.at(o)),
      lines: spot.keys.flatMap((key) => {
        const setting = texts.get(key);
        return setting?.group ? [{ name: setupValue(key).short, text: setting.text }] : [];
      }),
    }))
    .filter(({ lines }) => lines.length > 0)
    .sort((a, b) => a.to.y - b.to.y);
  const middles = apart(
    blocks.map(({ to }) => to.y),
    blocks.map(({ lines }) => lines.length * LINE + BLOCK_GAP),
    0,
    box.heightMm,
  );
  const outer = side === 'left' ? EDGE : box.widthMm - EDGE;
  const inner = side === 'left' ? box.left - 2 : box.right + 7;
  return blocks.flatMap(({ to, lines }, i) => {
    const y = middles[i]!;
    const first = y - (lines.length * LINE) / 2 + TYPE;
    return [
      stroke(at(inner, y), to),
      stroke(at(inner, first - TYPE), at(inner, first + (lines.length - 1) * LINE + 0.6)),
      ...lines.flatMap((line, n): SheetItem[] => {
        const baseline = first + n * LINE;
        const near = side === 'left' ? inner - 1 : inner + 1;
        return side === 'left'
          ? [
              text(near, baseline, 'end', line.text, true),
              text(outer, baseline, 'start', line.name),
            ]
          : [
              text(near, baseline, 'start', line.text, true),
              text(outer, baseline, 'end', line.name),
            ];
      }),
    ];
  });
}

/** Axle to axle beside the string, brace height under the grip: as lines with ends. */
function dimensions(o: BowOutline, texts: Texts, place: Place, box: Box): SheetItem[] {
  const items: SheetItem[] = [];
  const axles = texts.get('axleToAxle');
  if (axles) {
    const [a, b] = o.cams.map(({ axle }) => place(axle)) as [Point, Point];
    const x = box.right + 3;
    items.push(
      stroke(at(x, a.y), at(x, b.y)),
      stroke(a, at(x + 1, a.y), true),
      stroke(b, at(x + 1, b.y), true),
    );
  }
  const brace = texts.get('braceHeight');
  if (brace) {
    const [a, b] = [place(at(0, 0)), place(at(o.stringX, 0))];
    items.push(
      stroke(a, b),
      stroke(at(a.x, a.y - 1), at(a.x, a.y + 1)),
      stroke(at(b.x, b.y - 1), at(b.x, b.y + 1)),
    );
  }
  return items;
}
