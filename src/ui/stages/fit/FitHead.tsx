'use client';
import type { ReactNode } from 'react';
import { weightTrials } from '@/core/job';
import { Figure } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Parts } from '../../job/Parts';
import { useStage } from '../../job/useStage';
import { fit as w } from '../../words';

/** Both results always in sight; the one worked on is large, the other a tap away. */
export function FitHead({ part, aside }: { part: 'length' | 'weight'; aside?: ReactNode }) {
  const { derived, snapshot } = useJob();
  const { href } = useStage();
  const shop = snapshot.shop.units;
  const { fitLength, fitWeight } = derived;
  const trials = weightTrials(snapshot.fitReadings).length;
  return (
    <Parts
      current={part}
      aside={aside}
      parts={[
        {
          id: 'length',
          name: w.length,
          href: href('fit'),
          value: fitLength ? (
            <Figure si={fitLength.drawLengthMm} quantity="length" shop={shop} />
          ) : (
            w.none
          ),
        },
        {
          id: 'weight',
          name: w.weight,
          href: href('fit', { part: 'weight' }),
          value:
            trials > 0 ? (
              <Figure
                si={fitWeight.startN}
                quantity="force"
                shop={shop}
                options={{ decimals: 0 }}
              />
            ) : (
              w.noTrial
            ),
        },
      ]}
    />
  );
}
