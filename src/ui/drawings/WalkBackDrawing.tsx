'use client';
import clsx from 'clsx';
import type { WalkBackHit, WalkBackResult } from '@/core/tuning';
import { paperWords } from '../words';
import drawingsCss from './drawings.module.css';

const SIZE = 96;
const TOP = 10;
const BOTTOM = 88;

/** The plumb line with every hit beside it, the near ones on top as they hit highest. */
export function WalkBackDrawing({
  points,
  line,
  say,
}: {
  points: readonly WalkBackHit[];
  line: WalkBackResult | null;
  say: (distanceM: number) => string;
}) {
  const near = Math.min(10, ...points.map(({ distanceM }) => distanceM));
  const far = Math.max(near + 10, ...points.map(({ distanceM }) => distanceM));
  const most = Math.max(40, ...points.map(({ rightMm }) => Math.abs(rightMm))) * 1.25;
  const x = (mm: number) => (mm / most) * (SIZE / 2);
  const y = (m: number) => TOP + ((m - near) / (far - near)) * (BOTTOM - TOP);
  const at = (m: number) => (line ? line.atArcherMm + line.mmPerM * m : 0);
  return (
    <svg
      className={clsx(drawingsCss.paper, drawingsCss.noTap)}
      data-part="paper"
      viewBox={`${-SIZE / 2} 0 ${SIZE} ${SIZE}`}
      role="img"
      aria-label={paperWords.tabs.walk}
    >
      <rect
        x={-SIZE / 2}
        y={0}
        width={SIZE}
        height={SIZE}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={0.8}
      />
      <path d={`M0 3V${SIZE - 3}`} stroke="var(--ink-soft)" strokeWidth={0.6} />
      <path d={`M-1.6 ${SIZE - 3}h3.2l-1.6 2.6z`} fill="var(--ink-soft)" />
      {line && points.length > 0 && (
        <path
          d={`M${x(at(near))} ${y(near)}L${x(at(far))} ${y(far)}`}
          stroke="var(--petrol)"
          strokeWidth={1.1}
          strokeDasharray={line.told === 'off' ? undefined : '2 1.6'}
        />
      )}
      {points.map(({ distanceM, rightMm }, i) => (
        <g key={i}>
          <circle cx={x(rightMm)} cy={y(distanceM)} r={1.7} fill="var(--ink)" />
          <text
            x={rightMm >= 0 ? x(rightMm) + 3 : x(rightMm) - 3}
            y={y(distanceM) + 1.4}
            textAnchor={rightMm >= 0 ? 'start' : 'end'}
            className={drawingsCss.paperText}
          >
            {say(distanceM)}
          </text>
        </g>
      ))}
    </svg>
  );
}
