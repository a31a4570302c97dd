'use client';
import type { KeyboardEvent, PointerEvent } from 'react';
import { anglesText, notchesOf, type BarSet, type BarSide } from '@/core/balance';
import { steadyDrawing as w } from '../words';
import type { Px } from './balance-marks';
import css from './BalanceDrawing.module.css';

/** What a hand does to a bar: to another notch, slid, a disc more or less. */
export interface BarTurn {
  readonly downDeg?: number;
  readonly sideDeg?: number;
  readonly slideMm?: number;
  readonly disc?: 1 | -1;
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
export function BarHandle({
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
