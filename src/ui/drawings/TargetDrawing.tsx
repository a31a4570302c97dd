'use client';
import type { PointerEvent } from 'react';
import type { Ellipse, Hit } from '@/core/flight';
import { mm } from '@/core/units';
import { lane as w } from '../words';
import { tapped } from './tapped';
import drawingsCss from './drawings.module.css';

/** A plain target face with rings in centimetres; hits where they were tapped, their middle crossed. */
export function TargetDrawing({
  halfMm,
  hits,
  centre,
  ellipse = null,
  before = [],
  onTap,
}: {
  halfMm: number;
  hits: readonly Hit[];
  centre: Hit | null;
  /** Where the true middle lies with nine in ten. */
  ellipse?: Ellipse | null;
  /** Hits of the group before, pale. */
  before?: readonly { readonly rightMm: number; readonly upMm: number }[];
  onTap: (hit: Hit) => void;
}) {
  const tap = (event: PointerEvent<SVGSVGElement>) => {
    const { rightMm, upMm } = tapped(event, halfMm);
    onTap({ rightMm: mm(Math.round(rightMm)), upMm: mm(Math.round(upMm)) });
  };
  const unit = halfMm / 48;
  const rings = [1, 2, 3].map((i) => (i * halfMm) / 3);
  return (
    <svg
      className={drawingsCss.paper}
      data-part="paper"
      viewBox={`${-halfMm} ${-halfMm} ${2 * halfMm} ${2 * halfMm}`}
      role="img"
      aria-label={w.target}
      onPointerDown={tap}
    >
      <rect
        x={-halfMm}
        y={-halfMm}
        width={2 * halfMm}
        height={2 * halfMm}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={0.8 * unit}
      />
      {rings.map((r) => (
        <g key={r}>
          <circle r={r - 0.6 * unit} fill="none" stroke="var(--rule)" strokeWidth={0.5 * unit} />
          <text
            x={0}
            y={-r + 5 * unit}
            textAnchor="middle"
            className={drawingsCss.softText}
            style={{ fontSize: 3.6 * unit }}
          >
            {w.ring(Math.round(r / 10))}
          </text>
        </g>
      ))}
      <path
        d={`M${-4 * unit} 0H${4 * unit}M0 ${-4 * unit}V${4 * unit}`}
        stroke="var(--ink-soft)"
        strokeWidth={0.5 * unit}
      />
      {before.map((hit, i) => (
        <circle
          key={`b${i}`}
          cx={hit.rightMm}
          cy={-hit.upMm}
          r={1.5 * unit}
          fill="none"
          stroke="var(--ink-soft)"
          strokeWidth={0.5 * unit}
        />
      ))}
      {ellipse && (
        <ellipse
          rx={ellipse.longMm}
          ry={Math.max(ellipse.shortMm, unit)}
          transform={`translate(${ellipse.centre.rightMm} ${-ellipse.centre.upMm}) rotate(${-ellipse.tiltDeg})`}
          fill="var(--petrol)"
          fillOpacity={0.1}
          stroke="var(--petrol)"
          strokeWidth={0.6 * unit}
          strokeDasharray={`${2 * unit} ${1.4 * unit}`}
        />
      )}
      {hits.map((hit, i) => (
        <circle
          key={i}
          cx={hit.rightMm}
          cy={-hit.upMm}
          r={1.7 * unit}
          fill="var(--ink)"
          stroke="var(--sheet)"
          strokeWidth={0.4 * unit}
        />
      ))}
      {centre && hits.length > 1 && (
        <path
          d={`M${centre.rightMm - 3 * unit} ${-centre.upMm}h${6 * unit}M${centre.rightMm} ${-centre.upMm - 3 * unit}v${6 * unit}`}
          stroke="var(--petrol)"
          strokeWidth={1.1 * unit}
        />
      )}
    </svg>
  );
}
