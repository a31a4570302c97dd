'use client';
import type { BarOffer, BarWay } from '@/core/steady';
import { steady as w } from '../words';
import { FrontierChart } from './FrontierChart';

/** Round masses between the numbers below. */
const GRIDS_G = [50, 100, 200, 500];

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
  return (
    <FrontierChart
      name={w.frontier}
      markedName={w.barsTitle}
      line={frontier.map(at)}
      marked={offers.filter(({ overNmm }) => overNmm === 0).map(at)}
      grids={GRIDS_G}
      mostNumbers={8}
      roomAtEnd={0.2}
      curve="stepline"
      size={5}
      xTitle={w.chartMass}
      sayX={String}
      sayY={w.times}
      onPick={onPick}
    />
  );
}
