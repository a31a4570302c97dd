'use client';
import type { ApexOptions } from 'apexcharts';
import type { BowRecord } from '@/core/bow';
import type { LimbBoltReading, LimbBoltResult } from '@/core/fit';
import { N_PER_POUND, type ShopUnits } from '@/core/units';
import { bow as w } from '../words';
import { chartBase } from './chart-base';
import { Chart } from './Chart';
import chartCss from './chart.module.css';

/** Weight over turns as learned from this bow, its weighings, and the weight wanted. */
export function LimbBoltChart({
  bow,
  answer,
  points,
  targetN,
  shop,
}: {
  bow: BowRecord;
  answer: LimbBoltResult;
  points: readonly LimbBoltReading[];
  targetN: number;
  shop: ShopUnits;
}) {
  const perUnit = shop.force === 'N' ? 1 : N_PER_POUND;
  const weight = (t: number) => answer.peakAtZeroN - answer.perTurnN * t + answer.curveN * t * t;
  const round = (n: number) => Math.round((n / perUnit) * 10) / 10;
  const limit = bow.maxTurns!;
  const curve = Array.from({ length: 33 }, (_, i) => {
    const t = (limit * i) / 32;
    return { x: Number(t.toFixed(3)), y: round(weight(t)) };
  });
  const weighed = points.map((point) => ({ x: point.turns, y: round(point.peakN) }));
  const values = [...curve, ...weighed].map((point) => point.y);
  const options: ApexOptions = {
    ...chartBase,
    stroke: { width: [2.5, 0], curve: 'smooth' },
    markers: { size: [0, 7], strokeColors: 'var(--paper)', strokeWidth: 2 },
    colors: ['var(--ink)', 'var(--petrol)'],
    xaxis: {
      type: 'numeric',
      min: 0,
      max: limit,
      tickAmount: Math.min(12, Math.ceil(limit)),
      title: { text: w.chartTurns },
      labels: { formatter: (value) => String(Math.round(Number(value) * 10) / 10) },
    },
    yaxis: {
      min: Math.floor(Math.min(...values, targetN / perUnit) / 5) * 5,
      max: Math.ceil(Math.max(...values) / 5) * 5,
      tickAmount: 4,
      labels: { formatter: (value) => `${Math.round(value)} ${shop.force}` },
    },
    annotations: {
      yaxis: [{ y: round(targetN), borderColor: 'var(--petrol)', strokeDashArray: 5 }],
    },
  };
  return (
    <div className={chartCss.chart} data-part="chart" role="img" aria-label={w.chart}>
      <Chart
        type="line"
        height={230}
        options={options}
        series={[
          { name: w.chart, type: 'line', data: curve },
          { name: w.weighings, type: 'scatter', data: weighed },
        ]}
      />
    </div>
  );
}
