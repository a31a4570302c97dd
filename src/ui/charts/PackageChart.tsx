'use client';
import type { KitPackage, PackagePoint } from '@/core/kit';
import { kitPackages as w } from '../words';
import { FrontierChart } from './FrontierChart';

/** Round sums between the numbers below. */
const GRIDS_EUR = [50, 100, 200, 250, 500, 1000, 2500];

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
  const at = ({ priceCents, worth }: { priceCents: number; worth: number }) => ({
    x: Math.round(priceCents) / 100,
    y: worth,
  });
  return (
    <FrontierChart
      name={w.frontier}
      markedName={w.title}
      line={frontier.map(at)}
      marked={packages.map(at)}
      grids={GRIDS_EUR}
      mostNumbers={7}
      // For the name of the dearest.
      roomAtEnd={0.4}
      curve="straight"
      size={6}
      xTitle={w.chartPrice}
      sayX={(euro) => `€ ${euro}`}
      sayY={(worth) => String(Math.round(worth))}
      labels={packages.map((one) => ({ ...at(one), text: w.kinds[one.kind] }))}
      onPick={onPick}
    />
  );
}
