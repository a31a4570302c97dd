'use client';
import { bowOutline, type BowShape } from '@/core/bow';
import { steadyDrawing as w } from '../words';
import css from './HangDrawing.module.css';

const BOW_PX = 230;
const CORD_PX = 30;

/**
 * The bow as it hangs from a point: cord, plumb line, string line. `leanDeg` as it is typed; while nothing
 * is typed it hangs as its centre lets expect. From behind it is looked at along the arrow.
 */
export function HangDrawing({
  shape,
  at,
  leanDeg,
  upsideDown,
}: {
  shape: BowShape;
  /** The point it hangs from, mm from the throat. */
  at: { readonly forwardMm: number; readonly upMm: number };
  leanDeg: number;
  /** The point is under the centre: the lower cam comes up. */
  upsideDown: boolean;
}) {
  const outline = bowOutline(shape);
  const half = shape.axleToAxleMm / 2 + 60;
  const k = BOW_PX / (2 * half);
  // Screens turn clockwise; target to the left, so that the top leans forward anticlockwise.
  const turn = -leanDeg + (upsideDown ? 180 : 0);
  const reach = Math.hypot(half, 200) * k;
  const foot = { x: -at.forwardMm, y: -at.upMm };
  const cordX = reach + 10;
  /** What of the bow comes to stand above the point it hangs from. */
  const above = (upsideDown ? half + at.upMm : half - at.upMm) * k;
  const cordY = CORD_PX + above;
  const height = CORD_PX + BOW_PX + 34;
  const width = 2 * cordX;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={w.hangs(Math.round(10 * leanDeg) / 10, upsideDown)}
      className={css.hang}
    >
      <path d={`M${cordX - 40} 6h80`} stroke="var(--ink)" strokeWidth={5} />
      <path d={`M${cordX} 6V${cordY}`} stroke="var(--ink)" strokeWidth={2} />
      <path
        d={`M${cordX} ${cordY}V${height - 6}`}
        stroke="var(--petrol)"
        strokeWidth={1.4}
        strokeDasharray="7 5"
      />
      <g
        transform={`translate(${cordX} ${cordY}) rotate(${turn}) scale(${k}) translate(${-foot.x} ${-foot.y})`}
      >
        <g fill="none" stroke="var(--ink)" strokeWidth={5} strokeLinejoin="round">
          <path d={outline.string} strokeWidth={6} stroke="var(--petrol)" />
          {outline.cams.map(({ edge }) => (
            <path key={edge} d={edge} fill="var(--paper)" />
          ))}
          {outline.limbs.map((path) => (
            <path key={path} d={path} fill="var(--paper)" />
          ))}
          <path d={outline.riser} fill="var(--paper-deep)" />
          <path d={outline.grip} fill="var(--rule)" />
        </g>
      </g>
      <circle cx={cordX} cy={cordY} r={5} fill="var(--petrol)" />
      <text x={cordX + 8} y={height - 8} className={css.plumb}>
        {w.plumb}
      </text>
    </svg>
  );
}
