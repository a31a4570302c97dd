'use client';
import type { ApexOptions } from 'apexcharts';
import clsx from 'clsx';
import { metresPer, write, type ShopUnits } from '@/core/units';
import { marksWords as m } from '../words';
import { BlockTitle } from '../pieces/layout';
import { Heard } from '../pieces/texts';
import { chartBase } from './chart-base';
import { Chart } from './Chart';
import chartCss from './chart.module.css';
import css from './ResidualChart.module.css';

/** Confirmed marks against the fit: how far each stands off it, in a band of its scatter. */
export function ResidualChart({
  points,
  sigmaMm,
  odd,
  units,
}: {
  points: readonly { readonly distanceM: number; readonly residualMm: number }[];
  sigmaMm: number | null;
  odd: number | null;
  units: ShopUnits;
}) {
  const perUnit = metresPer(units.distance);
  // Half millimetres, so that no tick is a rounded one; room at both ends for the outermost marks.
  const most = Math.ceil(Math.max(0.5, ...points.map((p) => Math.abs(p.residualMm) * 1.2)) * 2) / 2;
  const xs = points.map(({ distanceM }) => distanceM / perUnit);
  const from = Math.floor((Math.min(...xs) - 3) / 10) * 10;
  const to = Math.ceil((Math.max(...xs) + 3) / 10) * 10;
  const options: ApexOptions = {
    ...chartBase,
    chart: { ...chartBase.chart, type: 'scatter' },
    xaxis: {
      type: 'numeric',
      min: from,
      max: to,
      tickAmount: (to - from) / 10,
      labels: { formatter: (x) => `${Math.round(Number(x))}` },
      title: { text: units.distance },
    },
    yaxis: {
      min: -most,
      max: most,
      tickAmount: 2,
      labels: { formatter: (y) => y.toFixed(1).replace('-', '−') },
      title: { text: m.residualsAxis },
    },
    annotations: {
      yaxis: [
        { y: 0, borderColor: 'var(--ink-soft)', strokeDashArray: 0 },
        ...(sigmaMm === null
          ? []
          : [
              {
                y: -sigmaMm,
                y2: sigmaMm,
                fillColor: 'var(--petrol)',
                borderColor: 'transparent',
                opacity: 0.1,
              },
            ]),
      ],
    },
    markers: {
      size: 8,
      strokeWidth: 0,
      discrete:
        odd === null
          ? []
          : [
              {
                seriesIndex: 0,
                dataPointIndex: odd,
                size: 11,
                fillColor: 'var(--brick)',
                strokeColor: 'var(--brick)',
              },
            ],
    },
    colors: ['var(--petrol)'],
  };
  return (
    <figure className={clsx(chartCss.chart, css.residuals)}>
      <BlockTitle as="figcaption">{m.residuals}</BlockTitle>
      <Chart
        type="scatter"
        height={180}
        options={options}
        series={[
          {
            name: m.residualsAxis,
            data: points.map(({ distanceM, residualMm }) => ({
              x: distanceM / perUnit,
              y: residualMm,
            })),
          },
        ]}
      />
      <Heard>
        {points
          .map(
            ({ distanceM, residualMm }) =>
              `${write(distanceM, 'distance', units, { decimals: 0 })}: ${residualMm.toFixed(1)} mm`,
          )
          .join('; ')}
      </Heard>
    </figure>
  );
}
