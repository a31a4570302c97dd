'use client';
import type { ApexOptions } from 'apexcharts';
import type { BarOffer, BarWay } from '@/core/steady';
import { steady as w } from '../words';
import { chartBase } from './chart-base';
import { Chart } from './Chart';
import chartCss from './chart.module.css';

const GRIDS_G = [50, 100, 200, 500];
const MOST_NUMBERS = 8;

/** The steadiest quiet way for each mass, and where the offers lie on it. */
export function BarChart({
  frontier,
  offers,
  onPick,
}: {
  frontier: readonly BarWay[];
  offers: readonly BarOffer[];
  /** A point of the line was tapped. */
  onPick: (index: number) => void;
}) {
  const at = ({ massG, steadiness }: BarWay) => ({ x: Math.round(massG), y: steadiness });
  const marked = offers.filter(({ overNmm }) => overNmm === 0);
  const xs = [...frontier, ...marked].map(({ massG }) => massG);
  const [least, most] = [Math.min(...xs), Math.max(...xs)];
  const grid = GRIDS_G.find((step) => (most - least) / step <= MOST_NUMBERS - 2) ?? 1000;
  const from = Math.floor(least / grid) * grid;
  const to = Math.ceil((most + 0.2 * grid) / grid) * grid;
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
    stroke: { width: [2.5, 0], curve: 'stepline' },
    markers: { size: [5, 9], strokeColors: 'var(--paper)', strokeWidth: 2 },
    colors: ['var(--ink)', 'var(--petrol)'],
    xaxis: {
      type: 'numeric',
      min: from,
      max: to,
      tickAmount: Math.round((to - from) / grid),
      title: { text: w.chartMass },
      labels: { formatter: (value) => String(Math.round(Number(value))) },
    },
    yaxis: { tickAmount: 3, labels: { formatter: (value) => w.times(value) } },
  };
  return (
    <div className={chartCss.chart} data-part="chart" role="img" aria-label={w.frontier}>
      <Chart
        type="line"
        height={220}
        options={options}
        series={[
          { name: w.frontier, type: 'line', data: frontier.map(at) },
          { name: w.barsTitle, type: 'scatter', data: marked.map(at) },
        ]}
      />
    </div>
  );
}
