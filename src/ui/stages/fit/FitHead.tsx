'use client';
import type { ReactNode } from 'react';
import { OLD_BOW } from '@/core/fit';
import { RELEASE_NAMES, weightTrials } from '@/core/job';
import { Figure } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Parts } from '../../job/Parts';
import { useStage } from '../../job/useStage';
import { fit as w } from '../../words';

type FitPart = 'length' | 'posture' | 'weight' | 'eye' | 'release' | 'old';

/** Every result in sight; the one worked on is large, the others a tap away. */
export function FitHead({ part, aside }: { part: FitPart; aside?: ReactNode }) {
  const { href } = useStage();
  const values = useValues();
  const to = (id: FitPart) => href('fit', id === 'length' ? undefined : { part: id });
  return (
    <Parts
      many
      current={part}
      aside={aside}
      parts={(Object.keys(values) as FitPart[]).map((id) => ({
        id,
        name: w.parts[id],
        href: to(id),
        value: values[id],
      }))}
    />
  );
}

function useValues(): Readonly<Record<FitPart, ReactNode>> {
  const { derived, snapshot } = useJob();
  const { archer, shop, fitReadings } = snapshot;
  const { fitLength, fitWeight, posture, context } = derived;
  const old = Object.keys(context.oldBow).length;
  return {
    length: fitLength ? (
      <Figure si={fitLength.drawLengthMm} quantity="length" shop={shop.units} />
    ) : (
      w.none
    ),
    posture: w.postureShort[posture.contradiction ? 'contradiction' : posture.asks],
    weight:
      weightTrials(fitReadings, archer).length > 0 ? (
        <Figure
          si={fitWeight.startN}
          quantity="force"
          shop={shop.units}
          options={{ decimals: 0 }}
        />
      ) : (
        w.noTrial
      ),
    eye: archer.dominantEye === 'unsure' ? w.eyeOpen : w.eyeShort[archer.dominantEye],
    release: archer.release === 'unknown' ? w.eyeOpen : RELEASE_NAMES[archer.release],
    old: old === 0 ? w.oldNone : w.oldCount(old, OLD_BOW.length),
  };
}
