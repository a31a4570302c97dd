'use client';
import type { ReactNode } from 'react';
import type { ApexOptions } from 'apexcharts';
import type { CurvePoint } from '@/core/bow';
import { MM_PER_INCH, N_PER_POUND, type ShopUnits } from '@/core/units';
import { bow as w } from '../words';
import { chartBase } from './chart-base';
import { Chart } from './Chart';
import chartCss from './chart.module.css';
import css from './DrawForceChart.module.css';

/** One line of the chart; told apart by its stroke, not by colour alone. */
export interface ForceLine {
  readonly name: string;
  readonly kind: 'model' | 'logged' | 'other';
  readonly points: readonly CurvePoint[];
}

const COLOUR = { model: 'var(--petrol)', logged: 'var(--ink)', other: 'var(--amber-mark)' };
const DASH = { model: 7, logged: 0, other: 3 };

/** Weight over the draw, from the brace to the wall: the model's curve, the logged one, another bow's. */
export function DrawForceChart({
  lines,
  shop,
  children,
}: {
  lines: readonly ForceLine[];
  shop: ShopUnits;
  /** Beside the legend. */
  children: ReactNode;
}) {
  const perForce = shop.force === 'N' ? 1 : N_PER_POUND;
  const perLength = shop.length === 'mm' ? 1 : MM_PER_INCH;
  const series = lines.map(({ name, points }) => ({
    name,
    data: points.map(({ drawnMm, forceN }) => ({
      x: Math.round((drawnMm / perLength) * 100) / 100,
      y: Math.round((forceN / perForce) * 10) / 10,
    })),
  }));
  const all = series.flatMap(({ data }) => data);
  // Whole steps, so that no label is a rounded one.
  const step = shop.length === 'mm' ? 50 : 2;
  const end = Math.max(step, Math.ceil(Math.max(0, ...all.map(({ x }) => x)) / step) * step);
  const grid = shop.force === 'N' ? 50 : 10;
  const top = Math.max(
    grid,
    Math.ceil((Math.max(0, ...all.map(({ y }) => y)) * 1.05) / grid) * grid,
  );
  // One line alone is drawn whole: there is nothing to tell it from.
  const alone = lines.length === 1;
  const options: ApexOptions = {
    ...chartBase,
    stroke: {
      width: lines.map(() => 2.5),
      curve: 'straight',
      dashArray: lines.map(({ kind }) => (alone ? 0 : DASH[kind])),
    },
    colors: lines.map(({ kind }) => COLOUR[kind]),
    xaxis: {
      type: 'numeric',
      min: 0,
      max: end,
      tickAmount: end / step,
      title: { text: w.chartDrawn(shop.length === 'mm' ? 'mm' : 'in') },
      labels: { formatter: (value) => String(Math.round(Number(value))) },
    },
    yaxis: {
      min: 0,
      max: top,
      tickAmount: top / grid > 8 ? 5 : top / grid,
      labels: { formatter: (value) => `${Math.round(value)} ${shop.force}` },
    },
  };
  return (
    <>
      <div
        className={chartCss.chart}
        data-part="chart"
        role="img"
        aria-label={`${w.force}: ${lines.map(({ name }) => name).join(', ')}`}
      >
        <Chart type="line" height={250} options={options} series={series} />
      </div>
      <div className={css.forceTools}>
        <ul className={css.legend} data-part="legend">
          {lines.map(({ name, kind }) => (
            <li key={name}>
              <svg width={34} height={8} aria-hidden>
                <path
                  d="M0 4H34"
                  stroke={COLOUR[kind]}
                  strokeWidth={2.5}
                  strokeDasharray={alone ? undefined : DASH[kind] || undefined}
                />
              </svg>
              {name}
            </li>
          ))}
        </ul>
        {children}
      </div>
    </>
  );
}
