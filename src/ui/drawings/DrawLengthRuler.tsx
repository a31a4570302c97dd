'use client';
import { useRef } from 'react';
import clsx from 'clsx';
import { methodEntry, type DrawLengthResult } from '@/core/fit';
import { MM_PER_INCH, write, type ShopUnits } from '@/core/units';
import { fit as w } from '../words';
import { scale, type Scale } from './scale';
import { SvgText } from './SvgText';
import { Tape } from './Tape';
import { useSize } from './useSize';
import drawingsCss from './drawings.module.css';

const ROW = 35;
const TOP = 8;

/** Every estimate as its bell curve over a tape, the consensus through all of them. */
export function DrawLengthRuler({
  result,
  stepsMm,
  moduleMm,
  shop,
}: {
  result: DrawLengthResult | null;
  stepsMm: readonly number[];
  moduleMm: number | null;
  shop: ShopUnits;
}) {
  const holder = useRef<HTMLDivElement>(null);
  const { width } = useSize(holder, { width: 680, height: 300 });
  const metric = shop.length === 'mm';
  const perUnit = metric ? 1 : MM_PER_INCH;
  const s = range(result, moduleMm, perUnit, width, metric);
  const rows = result?.estimates.length ?? 0;
  const tapeY = TOP + Math.max(2, rows) * ROW + 10;
  const x = (mmValue: number) => s.x(mmValue / perUnit);
  return (
    <div ref={holder} className={drawingsCss.drawing} data-part="drawing">
      <svg width={width} height={tapeY + 84} role="img" aria-label={w.ruler}>
        {result && (
          <>
            <rect
              x={x(result.drawLengthMm - result.sigmaMm)}
              y={TOP - 4}
              width={Math.max(2, x(result.sigmaMm * 2) - x(0))}
              height={tapeY - TOP + 4}
              fill="var(--petrol-tint)"
            />
            {result.estimates.map((estimate, i) => (
              <Bell
                key={estimate.method}
                scale={s}
                y={TOP + (i + 1) * ROW}
                mean={estimate.drawLengthMm / perUnit}
                sigma={estimate.sigmaMm / perUnit}
                strong={estimate.sigmaMm === Math.min(...result.estimates.map((e) => e.sigmaMm))}
                out={result.outlier === estimate.method}
                label={`${methodEntry(estimate.method).name.toLowerCase()}${estimate.readings > 1 ? ` ×${estimate.readings}` : ''}`}
                figure={write(estimate.drawLengthMm, 'length', shop)}
              />
            ))}
            <path
              d={`M${x(result.drawLengthMm)} ${TOP - 8}V${tapeY + 26}`}
              stroke="var(--petrol)"
              strokeWidth={2.5}
            />
          </>
        )}
        <Tape
          scale={s}
          y={tapeY}
          major={metric ? 10 : 1}
          parts={metric ? 10 : 8}
          every={metric ? 2 : 1}
        />
        <Steps
          stepsMm={stepsMm}
          moduleMm={moduleMm}
          x={x}
          scale={s}
          y={tapeY + 50}
          perUnit={perUnit}
          shop={shop}
        />
        {!result && (
          <text x={width / 2} y={tapeY / 2 + 8} textAnchor="middle" className={drawingsCss.svgSoft}>
            {w.emptyRuler}
          </text>
        )}
      </svg>
    </div>
  );
}

/** Wide enough for two σ of the widest estimate, and the steps beside the consensus. */
function range(
  result: DrawLengthResult | null,
  moduleMm: number | null,
  perUnit: number,
  width: number,
  metric: boolean,
): Scale {
  if (!result) return metric ? scale(600, 780, width) : scale(24, 31, width);
  const values = result.estimates.flatMap((e) => [
    e.drawLengthMm - 2.4 * e.sigmaMm,
    e.drawLengthMm + 2.4 * e.sigmaMm,
  ]);
  if (moduleMm !== null) values.push(moduleMm - 15, moduleMm + 15);
  const grid = metric ? 10 : 1;
  const from = Math.floor(Math.min(...values) / perUnit / grid) * grid;
  const to = Math.ceil(Math.max(...values) / perUnit / grid) * grid;
  return scale(from, to, width);
}

function Bell(props: {
  scale: Scale;
  y: number;
  mean: number;
  sigma: number;
  strong: boolean;
  out: boolean;
  label: string;
  figure: string;
}) {
  const { scale: s, y, mean, sigma, strong, out } = props;
  const height = 28;
  const points = Array.from({ length: 49 }, (_, i) => {
    const z = -2.4 + (4.8 * i) / 48;
    return `${s.x(mean + z * sigma).toFixed(1)} ${(y - height * Math.exp(-0.5 * z * z)).toFixed(1)}`;
  });
  const colour = out ? 'var(--brick)' : strong ? 'var(--petrol)' : 'var(--ink-soft)';
  const right = s.x(mean + 2.4 * sigma);
  // No face is measured here: nine pixels a letter is a little more than it takes.
  const labelWidth = (props.label.length + props.figure.length + 1) * 9;
  const fitsRight = right + labelWidth - 34 < s.width;
  const left = Math.max(labelWidth, s.x(mean - 2.4 * sigma) + 34);
  const textX = fitsRight ? Math.max(right - 34, s.x(mean) + 34) : left;
  return (
    <g>
      <path
        d={`M${points.join('L')}Z`}
        fill={colour}
        fillOpacity={0.16}
        stroke={colour}
        strokeWidth={1.6}
        strokeDasharray={out ? '6 4' : undefined}
      />
      <path d={`M${s.x(mean)} ${y}v-${height}`} stroke={colour} strokeWidth={2} />
      <text
        x={textX}
        y={y - 9}
        textAnchor={fitsRight ? 'start' : 'end'}
        className={clsx(drawingsCss.svgLabel, drawingsCss.halo)}
      >
        {props.label}{' '}
        <tspan className={drawingsCss.svgStrong}>
          <SvgText text={props.figure} />
        </tspan>
      </text>
    </g>
  );
}

function Steps({
  stepsMm,
  moduleMm,
  x,
  scale: s,
  y,
  perUnit,
  shop,
}: {
  stepsMm: readonly number[];
  moduleMm: number | null;
  x: (mm: number) => number;
  scale: Scale;
  y: number;
  perUnit: number;
  shop: ShopUnits;
}) {
  const seen = stepsMm.filter((step) => step / perUnit >= s.from && step / perUnit <= s.to);
  return (
    <g>
      {seen.map((step) => {
        const taken = moduleMm !== null && Math.abs(step - moduleMm) < 0.5;
        return (
          <path
            key={step}
            d={`M${x(step)} ${y}l7 12h-14z`}
            fill={taken ? 'var(--ink)' : 'none'}
            stroke={taken ? 'var(--ink)' : 'var(--ink-soft)'}
            strokeWidth={1.3}
          />
        );
      })}
      {moduleMm !== null && (
        <text x={x(moduleMm)} y={y + 32} textAnchor="middle" className={drawingsCss.svgStrong}>
          <SvgText text={w.module(write(moduleMm, 'length', shop))} />
        </text>
      )}
    </g>
  );
}
