'use client';
import type { BowRecord } from '@/core/bow';
import { useStage } from '../../job/useStage';
import { DrawLength } from './DrawLength';
import { DrawWeight } from './DrawWeight';
import { EyeTest } from './EyeTest';
import { FullDraw } from './FullDraw';
import { OldBow } from './OldBow';
import { ReleaseWall } from './ReleaseWall';

/** How far and how heavy they draw, how they stand, which eye aims, what they let go with. */
export function FitStage({ bows }: { bows: readonly BowRecord[] }) {
  switch (useStage().at('part')) {
    case 'posture':
      return <FullDraw />;
    case 'weight':
      return <DrawWeight />;
    case 'eye':
      return <EyeTest />;
    case 'release':
      return <ReleaseWall bows={bows} />;
    case 'old':
      return <OldBow />;
    default:
      return <DrawLength bows={bows} />;
  }
}
