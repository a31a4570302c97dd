'use client';
import { useRef } from 'react';
import { methodEntry, type DrawLengthResult } from '@/core/fit';
import { MM_PER_INCH, write, type ShopUnits } from '@/core/units';
import { fit as w } from '../words';
import { scale, type Scale } from './scale';
import { SvgText } from './SvgText';
import { Tape } from './Tape';
import { useSize } from './useSize';
import drawingsCss from './drawings.module.css';

/** A bell's height, and what is left over it. */
const BELL = 28;
const ROW = 35;
const TOP = 8;
/** Narrower than this the names stand over their bells, wider before them. */
const NAMES_BEFORE = 560;
const NAME_LINE = 22;
const INSET = 14;

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
  const named = (result?.estimates ?? []).map((estimate) => ({
    ...estimate,
    name: `${methodEntry(estimate.method).name.toLowerCase()}${estimate.readings > 1 ? ` ×${estimate.readings}` : ''}`,
    figure: write(estimate.drawLengthMm, 'length', shop),
  }));
  // No face is measured here: nine pixels a letter is a little more than it takes.
  const longest = Math.max(
    0,
    ...named.map(({ name, figure }) => (name.length + figure.length) * 9),
  );
  const before = width >= NAMES_BEFORE && longest < width * 0.45;
  const namesTo = before ? longest : 0;
  const row = before ? ROW : ROW + NAME_LINE;
  const s = range(result, moduleMm, perUnit, width, namesTo, metric);
  const tapeY = TOP + Math.max(before ? 2 : 1, named.length) * row + 10;
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
            {named.map((estimate, i) => (
              <Bell
                key={estimate.method}
                scale={s}
                y={TOP + (i + 1) * row}
                mean={estimate.drawLengthMm / perUnit}
                sigma={estimate.sigmaMm / perUnit}
                strong={estimate.sigmaMm === Math.min(...named.map((e) => e.sigmaMm))}
                out={result.outlier === estimate.method}
                label={estimate.name}
                figure={estimate.figure}
                place={
                  before ? { x: namesTo, end: true, up: 9 } : { x: INSET, end: false, up: BELL + 8 }
                }
              />
            ))}
            {/* The consensus goes through the bells, never through a name over one. */}
            <path
              d={[
                ...named.map(
                  (_, i) =>
                    `M${x(result.drawLengthMm)} ${TOP + (i + 1) * row - BELL - (before ? 8 : 0)}v${BELL + 8}`,
                ),
                `M${x(result.drawLengthMm)} ${TOP + named.length * row}V${tapeY + 26}`,
              ].join('')}
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
  namesTo: number,
  metric: boolean,
): Scale {
  const after = (from: number, to: number): Scale => {
    const inner = scale(from, to, width - namesTo, INSET);
    return { ...inner, width, x: (value) => namesTo + inner.x(value) };
  };
  if (!result) return metric ? after(600, 780) : after(24, 31);
  const values = result.estimates.flatMap((e) => [
    e.drawLengthMm - 2.4 * e.sigmaMm,
    e.drawLengthMm + 2.4 * e.sigmaMm,
  ]);
  if (moduleMm !== null) values.push(moduleMm - 15, moduleMm + 15);
  const grid = metric ? 10 : 1;
  const from = Math.floor(Math.min(...values) / perUnit / grid) * grid;
  const to = Math.ceil(Math.max(...values) / perUnit / grid) * grid;
  return after(from, to);
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
  /** Where its name stands: from or up to `x`, so far over the bell's foot. */
  place: { readonly x: number; readonly end: boolean; readonly up: number };
}) {
  const { scale: s, y, mean, sigma, strong, out, place } = props;
  const points = Array.from({ length: 49 }, (_, i) => {
    const z = -2.4 + (4.8 * i) / 48;
    return `${s.x(mean + z * sigma).toFixed(1)} ${(y - BELL * Math.exp(-0.5 * z * z)).toFixed(1)}`;
  });
  const colour = out ? 'var(--brick)' : strong ? 'var(--petrol)' : 'var(--ink-soft)';
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
      <path d={`M${s.x(mean)} ${y}v-${BELL}`} stroke={colour} strokeWidth={2} />
      <text
        x={place.x}
        y={y - place.up}
        textAnchor={place.end ? 'end' : 'start'}
        className={drawingsCss.svgLabel}
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
