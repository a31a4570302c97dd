import type { MassPart } from '@/core/balance';
import { bowOutline, type BowShape, type Place } from '@/core/bow';
import css from './BalanceDrawing.module.css';

/** A place of the drawing, px. */
export interface Px {
  readonly x: number;
  readonly y: number;
}

/** The bow without what hangs on it: outlines alone, so that the masses stand out. */
export function SideBow({ shape }: { shape: BowShape }) {
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

const DISC_PX = 5;

/** A bar with its discs counted at its end. */
export function Bar({ from, to, discs }: { from: Px; to: Px; discs: number }) {
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
export function MassMark({
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
export function ellipseOf(
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
export function Centre({
  at: { x, y },
  sigma,
}: {
  at: Px;
  sigma: ReturnType<typeof ellipseOf> | null;
}) {
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
