'use client';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import {
  anglesText,
  barLine,
  notchesOf,
  type BarSet,
  type BarSide,
  type Bars,
  type MassPart,
} from '@/core/balance';
import { bowOutline, type BowShape, type Hand, type Place } from '@/core/bow';
import { steadyDrawing as w } from '../words';
import { BehindBow } from './BehindBow';
import { useSize } from './useSize';
import css from './BalanceDrawing.module.css';

/** What a hand does to a bar: to another notch, slid, a disc more or less. */
export interface BarTurn {
  readonly downDeg?: number;
  readonly sideDeg?: number;
  readonly slideMm?: number;
  readonly disc?: 1 | -1;
}

/** The drawing is no higher than this, px: what it says stands beside and under it. */
const MOST_PX = 384;
const GAP_MM = 60;
/** Parts lighter than this are weighed and not drawn, g. */
const LEAST_DRAWN_G = 40;
const LABEL_PX = 22;

interface Box {
  readonly left: number;
  readonly right: number;
}

/** How far the drawing goes to both sides, whatever notch the bars stand in. */
function boxes({ front, rear }: Bars, shape: BowShape, hand: Hand): readonly [Box, Box] {
  const ahead = front ? front.at.forwardMm + front.bar.lengthMm + 40 : 150;
  const behind = rear
    ? rear.bar.lengthMm + (rear.mount?.slide.most ?? 0) - rear.at.forwardMm + 40
    : 0;
  const out = rear ? rear.bar.lengthMm * 0.9 + (rear.mount?.outMm ?? 0) + 40 : 0;
  const side = {
    left: -Math.max(180, ahead),
    right: Math.max(shape.braceHeightMm + 50, behind),
  };
  const wide = Math.max(150, out);
  return [side, hand === 'right' ? { left: -wide, right: 150 } : { left: -150, right: wide }];
}

/** Side and rear view to scale, with every part where its mass sits; bars can be taken hold of. */
export function BalanceDrawing({
  shape,
  hand,
  bars,
  parts,
  centre,
  sigma = null,
  onTurn,
}: {
  shape: BowShape;
  hand: Hand;
  bars: Bars;
  parts: readonly MassPart[];
  centre: Place;
  /** Of the centre, mm. */
  sigma?: {
    readonly forwardMm: number;
    readonly upMm: number;
    readonly correlation: number;
  } | null;
  /** Without it the bars stand still. */
  onTurn?: (side: BarSide, turn: BarTurn) => void;
}) {
  const holder = useRef<HTMLDivElement>(null);
  const { width } = useSize(holder, { width: 560, height: MOST_PX });
  const outline = bowOutline(shape);
  const [side, behind] = boxes(bars, shape, hand);
  const { top, bottom } = outline.box;
  const wideMm = side.right - side.left + GAP_MM + behind.right - behind.left;
  const highMm = bottom - top;
  const k = Math.min(width / wideMm, (MOST_PX - LABEL_PX) / highMm);
  const height = k * highMm + LABEL_PX;
  const sideAt = { x: -side.left * k, y: -top * k };
  const behindAt = { x: (side.right - side.left + GAP_MM - behind.left) * k, y: -top * k };
  const total = wideMm * k;
  /** From a place of the bow to the two views, px of each one’s own middle. */
  const fromSide = ({ forwardMm, upMm }: Place) => ({ x: -forwardMm * k, y: -upMm * k });
  const fromBehind = ({ rightMm, upMm }: Place) => ({ x: rightMm * k, y: -upMm * k });
  const drawn = parts.filter(({ massG }) => massG >= LEAST_DRAWN_G);
  const handles = (['front', 'rear'] as const).flatMap((name) => {
    const set = bars[name];
    return set ? [{ name, set, ...barLine(name, set, hand) }] : [];
  });
  const views = [
    { id: 'side', at: sideAt, project: fromSide, name: w.side },
    { id: 'behind', at: behindAt, project: fromBehind, name: w.behind },
  ] as const;
  return (
    <div ref={holder} className={css.balance} data-part="balance">
      <svg
        width={total}
        height={height}
        viewBox={`0 0 ${total} ${height}`}
        role="group"
        aria-label={w.label}
      >
        {views.map(({ id, at, project, name }) => (
          <g key={id} transform={`translate(${at.x} ${at.y})`} data-view={id}>
            <path
              d={`M0 ${top * k}V${bottom * k}`}
              stroke="var(--petrol)"
              strokeWidth={1.2}
              strokeDasharray="7 5"
            />
            <g transform={`scale(${k})`} opacity={0.5}>
              {id === 'side' ? <SideBow shape={shape} /> : <BehindBow shape={shape} hand={hand} />}
            </g>
            {handles.map(({ name: bar, set, from, to }) => (
              <Bar key={bar} from={project(from)} to={project(to)} discs={set.discs?.count ?? 0} />
            ))}
            {drawn.map((part) => (
              <MassMark key={part.name} part={part} project={project} n={parts.indexOf(part) + 1} />
            ))}
            <Centre
              at={project(centre)}
              sigma={id === 'side' && sigma ? ellipseOf(sigma, k) : null}
            />
            {onTurn &&
              handles.map(({ name: bar, set, from, to }) => (
                <Handle
                  key={bar}
                  bar={bar}
                  set={set}
                  view={id}
                  foot={project(from)}
                  end={project(to)}
                  k={k}
                  onTurn={(turn) => onTurn(bar, turn)}
                />
              ))}
            <text y={bottom * k + 17} textAnchor="middle" className={css.view}>
              {name}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}

/** The bow without what hangs on it: outlines alone, so that the masses stand out. */
function SideBow({ shape }: { shape: BowShape }) {
  const o = bowOutline(shape);
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={4} strokeLinejoin="round">
      <path d={o.string} strokeWidth={3} />
      {o.cams.map(({ edge }) => (
        <path key={edge} d={edge} />
      ))}
      {o.limbs.map((path) => (
        <path key={path} d={path} />
      ))}
      <path d={o.riser} />
      <path d={o.grip} fill="var(--rule)" />
    </g>
  );
}

interface Px {
  readonly x: number;
  readonly y: number;
}

const DISC_PX = 5;

/** A bar with its discs counted at its end. */
function Bar({ from, to, discs }: { from: Px; to: Px; discs: number }) {
  const angle = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  return (
    <g stroke="var(--ink)" strokeLinecap="round">
      <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} strokeWidth={5} />
      <g transform={`translate(${to.x} ${to.y}) rotate(${angle})`}>
        {Array.from({ length: discs }, (_, i) => (
          <path key={i} d={`M${-(i * DISC_PX) - 2} -8v16`} strokeWidth={3.4} />
        ))}
      </g>
    </g>
  );
}

/** A part’s mass where it sits: the heavier, the larger. */
function MassMark({
  part,
  project,
  n,
}: {
  part: MassPart;
  project: (place: Place) => Px;
  n: number;
}) {
  const place =
    'at' in part
      ? part.at
      : ({
          forwardMm: (part.from.forwardMm + part.to.forwardMm) / 2,
          upMm: (part.from.upMm + part.to.upMm) / 2,
          rightMm: (part.from.rightMm + part.to.rightMm) / 2,
        } as Place);
  const { x, y } = project(place);
  return (
    <g data-mass={part.name}>
      <circle cx={x} cy={y} r={Math.max(8, Math.sqrt(part.massG) * 0.72)} className={css.mass} />
      <text x={x} y={y + 5} textAnchor="middle" className={css.number}>
        {n}
      </text>
    </g>
  );
}

/** Half axes in px and tilt of the ellipse that holds the centre in 95 of 100. */
function ellipseOf(
  { forwardMm: f, upMm: u, correlation }: { forwardMm: number; upMm: number; correlation: number },
  k: number,
) {
  const across = correlation * f * u;
  const [mean, half] = [(f * f + u * u) / 2, Math.hypot((f * f - u * u) / 2, across)];
  // √5.991: χ² of two degrees of freedom at 95 %.
  const axis = (variance: number) => 2.4477 * Math.sqrt(Math.max(variance, 0)) * k;
  const tilt = (Math.atan2(2 * across, f * f - u * u) * 90) / Math.PI;
  return { rx: axis(mean + half), ry: axis(mean - half), tilt };
}

/** The centre of mass: a ring in quarters, with its ellipse where it was hung. */
function Centre({ at: { x, y }, sigma }: { at: Px; sigma: ReturnType<typeof ellipseOf> | null }) {
  return (
    <g data-part="centre">
      {sigma && (
        <ellipse
          cx={x}
          cy={y}
          rx={sigma.rx}
          ry={sigma.ry}
          transform={`rotate(${sigma.tilt} ${x} ${y})`}
          className={css.ellipse}
        />
      )}
      <circle cx={x} cy={y} r={10} fill="var(--sheet)" stroke="var(--petrol)" strokeWidth={2.4} />
      <path
        d={`M${x} ${y}V${y - 10}A10 10 0 0 1 ${x + 10} ${y}ZM${x} ${y}V${y + 10}A10 10 0 0 1 ${x - 10} ${y}Z`}
        fill="var(--petrol)"
      />
    </g>
  );
}

const nearestOf = (places: readonly number[], value: number) =>
  places.reduce((best, place) => (Math.abs(place - value) < Math.abs(best - value) ? place : best));
const degrees = (radians: number) => (radians * 180) / Math.PI;
const unit = (value: number) => Math.min(1, Math.max(-1, value));

/** The notch a bar would stand in with its end at a place of a view. */
function notchAt(set: BarSet, bar: BarSide, view: 'side' | 'behind', foot: Px, at: Px, k: number) {
  const long = set.bar.lengthMm * k;
  const { mount } = set;
  if (!mount) return null;
  const down = nearestOf(notchesOf(mount.down), degrees(Math.asin(unit((at.y - foot.y) / long))));
  if (view === 'side' || bar === 'front') return { downDeg: down };
  const flat = long * Math.cos((down * Math.PI) / 180);
  const out = degrees(Math.asin(unit(Math.abs(at.x - foot.x) / flat)));
  return { downDeg: down, sideDeg: nearestOf(notchesOf(mount.side), out) };
}

/** The next notch up or down from where it stands. */
function step(places: readonly number[], at: number, by: 1 | -1): number | null {
  // Read by eye it may stand between two teeth: from the nearer one on.
  return places[places.indexOf(nearestOf(places, at)) + by] ?? null;
}

/** Where a finger that holds something is, in px of its view; null where it holds nothing. */
function placeOf(event: PointerEvent<SVGCircleElement>): Px | null {
  if (!event.currentTarget.hasPointerCapture(event.pointerId)) return null;
  const group = event.currentTarget.closest<SVGGElement>('[data-view]')!;
  const matrix = group.getScreenCTM();
  return matrix
    ? new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    : null;
}

/** The end of a bar to take hold of, by finger and by key. */
function Handle({
  bar,
  set,
  view,
  foot,
  end,
  k,
  onTurn,
}: {
  bar: BarSide;
  set: BarSet;
  view: 'side' | 'behind';
  foot: Px;
  end: Px;
  k: number;
  onTurn: (turn: BarTurn) => void;
}) {
  const { mount } = set;
  const turns = mount !== null;
  const move = (event: PointerEvent<SVGCircleElement>) => {
    const at = placeOf(event);
    const notch = at && notchAt(set, bar, view, foot, at, k);
    if (!notch) return;
    const isSame = notch.downDeg === set.downDeg && (notch.sideDeg ?? set.sideDeg) === set.sideDeg;
    if (!isSame) onTurn(notch);
  };
  const slide = (event: PointerEvent<SVGCircleElement>) => {
    const at = placeOf(event);
    if (!at || !mount) return;
    const to = nearestOf(notchesOf(mount.slide), set.at.forwardMm + at.x / k);
    if (to !== set.slideMm) onTurn({ slideMm: to });
  };
  const key = (event: KeyboardEvent) => {
    const turn = turnOfKey(event.key, set, bar);
    if (turn === undefined) return;
    // The key is the bar’s, not the screen’s.
    event.preventDefault();
    event.stopPropagation();
    if (turn) onTurn(turn);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={w.bar(bar, view)}
      aria-valuenow={bar === 'rear' ? set.sideDeg : set.downDeg}
      aria-valuemin={0}
      aria-valuemax={bar === 'rear' ? (mount?.side.most ?? 0) : (mount?.down.most ?? 0)}
      aria-valuetext={w.stands(anglesText(set), set.discs?.count ?? 0)}
      className={css.handle}
      data-turns={turns ? 'yes' : 'no'}
      onKeyDown={key}
    >
      <circle
        cx={end.x}
        cy={end.y}
        r={24}
        className={css.hold}
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={move}
      />
      <circle cx={end.x} cy={end.y} r={turns ? 9 : 6} className={css.knob} />
      {view === 'side' && mount && mount.slide.most > 0 && (
        <>
          <circle
            cx={foot.x}
            cy={foot.y}
            r={22}
            className={css.hold}
            data-slides={bar}
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={slide}
          />
          <rect x={foot.x - 7} y={foot.y - 5} width={14} height={10} className={css.knob} />
        </>
      )}
    </g>
  );
}

/** What a key does to a bar; null where it goes no further, undefined where it is no key of a bar. */
function turnOfKey(key: string, set: BarSet, bar: BarSide): BarTurn | null | undefined {
  const { mount } = set;
  const notch = (kind: 'down' | 'side', by: 1 | -1): BarTurn | null => {
    if (!mount) return null;
    const to = step(notchesOf(mount[kind]), kind === 'down' ? set.downDeg : set.sideDeg, by);
    return to === null ? null : kind === 'down' ? { downDeg: to } : { sideDeg: to };
  };
  const slide = (by: 1 | -1): BarTurn | null => {
    const to = mount ? step(notchesOf(mount.slide), set.slideMm, by) : null;
    return to === null ? null : { slideMm: to };
  };
  switch (key) {
    case 'ArrowDown':
      return notch('down', 1);
    case 'ArrowUp':
      return notch('down', -1);
    case 'ArrowRight':
      return bar === 'rear' ? notch('side', 1) : null;
    case 'ArrowLeft':
      return bar === 'rear' ? notch('side', -1) : null;
    case 'PageDown':
      return slide(1);
    case 'PageUp':
      return slide(-1);
    case '+':
      return { disc: 1 };
    case '-':
      return { disc: -1 };
    default:
      return undefined;
  }
}
