'use client';
import { useStage } from '../../job/useStage';
import { DrawLength } from './DrawLength';
import { DrawWeight } from './DrawWeight';

/** Two numbers of the archer: how far and how heavy they draw. */
export function FitStage() {
  const { at } = useStage();
  return at('part') === 'weight' ? <DrawWeight /> : <DrawLength />;
}
