'use client';
import type { ApexOptions } from 'apexcharts';
import { chartBase } from './chart-base';
import { Chart } from './Chart';
import chartCss from './chart.module.css';

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A line of what is best for each x, with some of it marked; a point of the line can be tapped. */
export function FrontierChart({
  name,
  markedName,
  line,
  marked,
  grids,
  mostNumbers,
  roomAtEnd,
  curve,
  size,
  xTitle,
  sayX,
  sayY,
  labels = [],
  onPick,
}: {
  name: string;
  markedName: string;
  line: readonly Spot[];
  marked: readonly Spot[];
  /** Round steps between the numbers below; the first that leaves few enough of them. */
  grids: readonly number[];
  mostNumbers: number;
  /** Room at the right, as a part of a step. */
  roomAtEnd: number;
  curve: 'straight' | 'stepline';
  /** Of a point of the line, px. */
  size: number;
  xTitle: string;
  sayX: (x: number) => string;
  sayY: (y: number) => string;
  /** Names at some of the marked. */
  labels?: readonly (Spot & { readonly text: string })[];
  onPick: (index: number) => void;
}) {
  const xs = [...line, ...marked].map(({ x }) => x);
  const [least, most] = [Math.min(...xs), Math.max(...xs)];
  const grid = grids.find((step) => (most - least) / step <= mostNumbers - 2) ?? 2 * grids.at(-1)!;
  const from = Math.floor(least / grid) * grid;
  const to = Math.ceil((most + roomAtEnd * grid) / grid) * grid;
  const options: ApexOptions = {
    ...chartBase,
    chart: {
      ...chartBase.chart,
      events: {
        markerClick: (_event, _chart, { seriesIndex, dataPointIndex } = {}) => {
          if (seriesIndex === 0 && dataPointIndex !== undefined) onPick(dataPointIndex);
        },
      },
    },
    stroke: { width: [2.5, 0], curve },
    markers: { size: [size, 9], strokeColors: 'var(--paper)', strokeWidth: 2 },
    colors: ['var(--ink)', 'var(--petrol)'],
    xaxis: {
      type: 'numeric',
      min: from,
      max: to,
      tickAmount: Math.round((to - from) / grid),
      title: { text: xTitle },
      labels: { formatter: (value) => sayX(Math.round(Number(value))) },
    },
    yaxis: { tickAmount: 3, labels: { formatter: sayY } },
    annotations: {
      points: labels.map(({ x, y, text }) => ({
        x,
        y,
        marker: { size: 0 },
        label: {
          text,
          borderColor: 'transparent',
          offsetY: 34,
          style: { background: 'var(--paper)', color: 'var(--ink)', fontSize: '14px' },
        },
      })),
    },
  };
  return (
    <div className={chartCss.chart} data-part="chart" role="img" aria-label={name}>
      <Chart
        type="line"
        height={220}
        options={options}
        series={[
          { name, type: 'line', data: [...line] },
          { name: markedName, type: 'scatter', data: [...marked] },
        ]}
      />
    </div>
  );
}
