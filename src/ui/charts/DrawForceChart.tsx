'use client';
import dynamic from 'next/dynamic';
import type { ApexOptions } from 'apexcharts';
import { forceCurvePoints, type ForceCurve } from '@/core/bow';
import { MM_PER_INCH, N_PER_POUND, type ShopUnits } from '@/core/units';
import { bow as w } from '../words';
import { chartBase } from './base';

const Chart = dynamic(() => import('react-apexcharts'), { ssr: false });

/** Weight over the draw, from the brace to the wall: the model's curve of this setting. */
export function DrawForceChart({ curve, shop }: { curve: ForceCurve; shop: ShopUnits }) {
  const perForce = shop.force === 'N' ? 1 : N_PER_POUND;
  const perLength = shop.length === 'mm' ? 1 : MM_PER_INCH;
  const points = forceCurvePoints(curve, 60).map(({ drawnMm, forceN }) => ({
    x: Math.round((drawnMm / perLength) * 100) / 100,
    y: Math.round((forceN / perForce) * 10) / 10,
  }));
  // Whole steps, so that no label is a rounded one.
  const step = shop.length === 'mm' ? 50 : 2;
  const end = Math.ceil(points.at(-1)!.x / step) * step;
  const grid = shop.force === 'N' ? 50 : 10;
  const top = Math.ceil(((curve.peakN / perForce) * 1.05) / grid) * grid;
  const options: ApexOptions = {
    ...chartBase,
    stroke: { width: 2.5, curve: 'straight' },
    colors: ['var(--petrol)'],
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
    <div className="chart" role="img" aria-label={w.force}>
      <Chart
        type="line"
        height={250}
        options={options}
        series={[{ name: w.force, data: points }]}
      />
    </div>
  );
}
