'use client';
import type { CatalogueItem } from '@/core/kit';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { lane } from '../../words';
import { NoBow } from '../bench/BenchStage';
import { AimPart } from './AimPart';
import { BarsPart } from './BarsPart';
import { ReactionPart } from './ReactionPart';
import { WeighPart } from './WeighPart';

/** What the bow weighs and where, what it does after the shot, which bars make it stay. */
export function SteadyStage({ items }: { items: readonly CatalogueItem[] }) {
  const { snapshot } = useJob();
  const { at } = useStage();
  const { bow } = snapshot;
  if (!bow) return <NoBow text={lane.noBow} />;
  const part = at('part');
  if (part === 'reaction') return <ReactionPart bow={bow} />;
  if (part === 'bars') return <BarsPart bow={bow} items={items} />;
  if (part === 'aim') return <AimPart bow={bow} />;
  return <WeighPart bow={bow} />;
}
