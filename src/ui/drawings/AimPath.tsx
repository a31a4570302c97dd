'use client';
import type { PathPoint } from '@/core/hold';
import { aimWords as w } from '../words';
import css from './AimPath.module.css';

/** A tenth of the path’s room around it. */
const ROOM = 1.15;

interface Hold {
  readonly fromMs: number;
  readonly releaseMs: number;
  readonly rmsMrad: number;
  readonly centre: { readonly rightMrad: number; readonly upMrad: number };
}

const lineOf = (points: readonly PathPoint[]) =>
  points.map(([, right, up], i) => `${i === 0 ? 'M' : 'L'}${right} ${-up}`).join('');

/**
 * The path of an aim in µrad about where it was held: thin coming on, thick holding, dotted after, the release a
 * cross. Told by the line, not by its colour.
 */
export function AimPath({
  path,
  hold,
  spotMrad = null,
  size = 260,
  now = null,
  reachMrad,
}: {
  path: readonly PathPoint[];
  hold: Hold | null;
  /** Across the archer’s spot as they see it. */
  spotMrad?: number | null;
  size?: number;
  /** Where the aim is while it is played, µrad. */
  now?: readonly [number, number] | null;
  /** Half of what is shown; made from the hold where left out. */
  reachMrad?: number;
}) {
  const centre = hold
    ? { x: hold.centre.rightMrad * 1000, y: -hold.centre.upMrad * 1000 }
    : { x: 0, y: 0 };
  const reach =
    1000 *
    (reachMrad ??
      (hold ? ROOM * Math.max(5 * hold.rmsMrad, spotMrad === null ? 0 : spotMrad * 0.6) : 40));
  const before = hold ? path.filter(([ms]) => ms <= hold.fromMs) : path;
  const held = hold ? path.filter(([ms]) => ms >= hold.fromMs && ms <= hold.releaseMs) : [];
  const after = hold ? path.filter(([ms]) => ms >= hold.releaseMs) : [];
  const end = held.at(-1);
  // Strokes in the drawing’s own unit.
  const px = (2 * reach) / size;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${centre.x - reach} ${centre.y - reach} ${2 * reach} ${2 * reach}`}
      role="img"
      aria-label={w.map}
      className={css.path}
    >
      {spotMrad !== null && (
        <circle
          cx={centre.x}
          cy={centre.y}
          r={spotMrad * 500}
          className={css.spot}
          strokeWidth={px}
        />
      )}
      <path d={lineOf(before)} className={css.line} strokeWidth={px} />
      <path d={lineOf(held)} className={css.held} strokeWidth={(size > 100 ? 2.2 : 1.3) * px} />
      <path
        d={lineOf(after)}
        className={css.line}
        strokeWidth={1.6 * px}
        strokeDasharray={`${2 * px} ${5 * px}`}
      />
      {hold && (
        <circle
          cx={centre.x}
          cy={centre.y}
          r={hold.rmsMrad * 1000}
          className={css.radius}
          strokeWidth={2 * px}
        />
      )}
      {hold && end && (
        <path
          d={`M${end[1] - 7 * px} ${-end[2] - 7 * px}l${14 * px} ${14 * px}m${-14 * px} 0l${14 * px} ${-14 * px}`}
          className={css.cross}
          strokeWidth={3 * px}
        />
      )}
      {now && <circle cx={now[0]} cy={-now[1]} r={6 * px} className={css.now} />}
    </svg>
  );
}
