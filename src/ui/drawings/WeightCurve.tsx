'use client';
import { useRef } from 'react';
import clsx from 'clsx';
import type { DrawWeightResult, WeightTrial } from '@/core/fit';
import { N_PER_POUND, write, type ShopUnits } from '@/core/units';
import { fit as w } from '../words';
import { labelWithin } from './label';
import { scale } from './scale';
import { SvgText } from './SvgText';
import { Tape } from './Tape';
import { useSize } from './useSize';
import drawingsCss from './drawings.module.css';

const HEIGHT = 78;
const TOP = 26;
const LINE = 17;

/** The posterior over what the archer draws half the time, the trials on it, the start weight. */
export function WeightCurve({
  result,
  trials,
  shop,
  startN,
  legalN = null,
}: {
  result: DrawWeightResult;
  trials: readonly WeightTrial[];
  shop: ShopUnits;
  /** Null while no trial was made: the table alone gives no start weight. */
  startN: number | null;
  /** The least weight the archer's authority asks for, as they state it. */
  legalN?: number | null;
}) {
  const holder = useRef<HTMLDivElement>(null);
  const { width } = useSize(holder, { width: 680, height: 230 });
  const perUnit = shop.force === 'N' ? 1 : N_PER_POUND;
  const grid = shop.force === 'N' ? 20 : 5;
  const top = Math.max(...result.grid.map((p) => p.probability / p.weightN));
  const seen = result.grid
    .filter((point) => point.probability / point.weightN > 0.01 * top)
    .map((point) => point.weightN);
  const marks = [
    ...seen,
    ...trials.map((trial) => trial.peakN),
    result.startN,
    ...(legalN === null ? [] : [legalN]),
  ];
  const from = Math.floor(Math.min(...marks) / perUnit / grid) * grid;
  const to = Math.ceil(Math.max(...marks) / perUnit / grid) * grid;
  const s = scale(from, to, width);
  const base = TOP + HEIGHT;
  // The grid is even in the logarithm; divided by the weight it is a density over pounds.
  const curve = result.grid
    .filter((p) => p.weightN / perUnit >= from && p.weightN / perUnit <= to)
    .map(
      (p) =>
        `${s.x(p.weightN / perUnit).toFixed(1)} ${(base - (HEIGHT * (p.probability / p.weightN)) / top).toFixed(1)}`,
    );
  const atStart = s.x((startN ?? 0) / perUnit);
  const startSide = atStart > 190 ? 'end' : 'start';
  const startX = atStart + (startSide === 'end' ? -8 : 8);
  const legalSide = s.x((legalN ?? 0) / perUnit) > width / 2 ? 'end' : 'start';
  const rightOfIt = s.x((result.w50.medianN + result.w50.highN) / 2 / perUnit) + 10;
  const likely = labelWithin(w.likely, rightOfIt, width);
  return (
    <div ref={holder} className={drawingsCss.drawing} data-part="drawing">
      <svg width={width} height={base + 52} role="img" aria-label={w.curve}>
        <path
          d={`M${s.x(from)} ${base}L${curve.join('L')}L${s.x(to)} ${base}Z`}
          fill="var(--ink-soft)"
          fillOpacity={0.15}
          stroke="var(--ink-soft)"
          strokeWidth={1.6}
        />
        <Tape scale={s} y={base} major={grid} parts={shop.force === 'N' ? 10 : 5} every={2} />
        {trials.map((trial, i) => (
          <TrialMark key={i} x={s.x(trial.peakN / perUnit)} y={base - 14} outcome={trial.outcome} />
        ))}
        {legalN !== null && (
          <g>
            <path
              d={`M${s.x(legalN / perUnit)} ${TOP + 4}V${base + 26}`}
              stroke="var(--brick)"
              strokeWidth={1.8}
              strokeDasharray="5 4"
            />
            <text
              x={s.x(legalN / perUnit) + (legalSide === 'end' ? -6 : 6)}
              y={base + 44}
              textAnchor={legalSide}
              className={clsx(drawingsCss.svgSoft, drawingsCss.halo)}
            >
              {w.legalMark(write(legalN, 'force', shop, { decimals: 0 }))}
            </text>
          </g>
        )}
        {startN !== null && (
          <g>
            <path
              d={`M${s.x(startN / perUnit)} ${TOP - 6}V${base + 26}`}
              stroke="var(--petrol)"
              strokeWidth={2.5}
            />
            <text
              x={startX}
              y={TOP - 10}
              textAnchor={startSide}
              className={clsx(drawingsCss.svgStrong, drawingsCss.halo)}
            >
              {w.start} <SvgText text={write(startN, 'force', shop)} />
            </text>
          </g>
        )}
        {likely.lines.map((line, i) => (
          <text
            key={i}
            x={likely.x}
            y={TOP + HEIGHT * 0.42 + i * LINE}
            className={clsx(drawingsCss.svgSoft, drawingsCss.halo)}
          >
            {line}
          </text>
        ))}
      </svg>
    </div>
  );
}

/** Smooth is a full dot, strained half, failed a cross: told by shape. */
function TrialMark({ x, y, outcome }: { x: number; y: number; outcome: WeightTrial['outcome'] }) {
  if (outcome === 'failed' || outcome === 'pain') {
    return (
      <path
        d={`M${x - 6} ${y - 6}l12 12m0 -12l-12 12`}
        stroke="var(--brick)"
        strokeWidth={3}
        fill="none"
      />
    );
  }
  const colour = outcome === 'smooth' ? 'var(--moss)' : 'var(--amber-mark)';
  return (
    <g stroke={colour} strokeWidth={2.4}>
      <circle cx={x} cy={y} r={7} fill={outcome === 'smooth' ? colour : 'var(--paper)'} />
      {outcome === 'strained' && (
        <path d={`M${x} ${y - 7}a7 7 0 0 1 0 14z`} fill={colour} stroke="none" />
      )}
    </g>
  );
}
