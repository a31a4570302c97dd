'use client';
import type { ApexOptions } from 'apexcharts';
import type { KitPackage, PackagePoint } from '@/core/kit';
import { kitPackages as w } from '../words';
import { chartBase } from './chart-base';
import { Chart } from './Chart';
import chartCss from './chart.module.css';

/** Round sums between the numbers below; the first that leaves few enough of them. */
const GRIDS_EUR = [50, 100, 200, 250, 500, 1000, 2500];
const MOST_NUMBERS = 7;

/** The best for each sum of money: where a little more buys much, and where it buys little. */
export function PackageChart({
  frontier,
  packages,
  onPick,
}: {
  frontier: readonly PackagePoint[];
  packages: readonly KitPackage[];
  /** A point of the line was tapped. */
  onPick: (index: number) => void;
}) {
  const euro = (cents: number) => Math.round(cents) / 100;
  const line = frontier.map(({ priceCents, worth }) => ({ x: euro(priceCents), y: worth }));
  const marked = packages.map(({ priceCents, worth }) => ({ x: euro(priceCents), y: worth }));
  const xs = [...line, ...marked].map(({ x }) => x);
  const [least, most] = [Math.min(...xs), Math.max(...xs)];
  const grid = GRIDS_EUR.find((step) => (most - least) / step <= MOST_NUMBERS - 2) ?? 5000;
  const from = Math.floor(least / grid) * grid;
  // Room at the right for the name of the dearest.
  const to = Math.ceil((most + 0.4 * grid) / grid) * grid;
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
    stroke: { width: [2.5, 0], curve: 'straight' },
    markers: { size: [6, 9], strokeColors: 'var(--paper)', strokeWidth: 2 },
    colors: ['var(--ink)', 'var(--petrol)'],
    xaxis: {
      type: 'numeric',
      min: from,
      max: to,
      tickAmount: Math.round((to - from) / grid),
      title: { text: w.chartPrice },
      labels: { formatter: (value) => `€ ${Math.round(Number(value))}` },
    },
    yaxis: { tickAmount: 3, labels: { formatter: (value) => String(Math.round(value)) } },
    annotations: {
      points: packages.map(({ kind, priceCents, worth }) => ({
        x: euro(priceCents),
        y: worth,
        marker: { size: 0 },
        label: {
          text: w.kinds[kind],
          borderColor: 'transparent',
          offsetY: 34,
          style: { background: 'var(--paper)', color: 'var(--ink)', fontSize: '14px' },
        },
      })),
    },
  };
  return (
    <div className={chartCss.chart} data-part="chart" role="img" aria-label={w.frontier}>
      <Chart
        type="line"
        height={220}
        options={options}
        series={[
          { name: w.frontier, type: 'line', data: line },
          { name: w.title, type: 'scatter', data: marked },
        ]}
      />
    </div>
  );
}
