'use client';
import { moduleLabel } from '@/core/bow';
import { toQuarterTurns } from '@/core/fit';
import { limbBoltAdvice, standingTurns } from '@/core/job';
import { latest } from '@/core/route';
import { write } from '@/core/units';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Parts } from '../../job/Parts';
import { useStage } from '../../job/useStage';
import { bow as w } from '../../words';

export function BowParts({ current }: { current: 'choose' | 'module' | 'bolts' | 'force' }) {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const { bow, shop } = snapshot;
  const toGo = useToGo();
  const predicted = derived.context.predictedSpeed;
  if (!bow)
    return (
      <Parts
        current="choose"
        parts={[{ id: 'choose', name: w.choose, href: href('bow'), value: w.none }]}
      />
    );
  const step = latest(derived.history, 'moduleBottom')?.si ?? null;
  const stepText = step === null ? w.notSet : write(step, 'length', shop.units);
  const label = step === null ? null : moduleLabel(bow, step);
  return (
    <Parts
      current={current}
      parts={[
        {
          id: 'choose',
          name: w.choose,
          href: href('bow', { part: 'choose' }),
          value: bow.model,
        },
        {
          id: 'module',
          name: w.module,
          href: href('bow', { part: 'module' }),
          value: <WithFractions text={w.settingOf(stepText, label)} />,
        },
        {
          id: 'bolts',
          name: w.bolts,
          href: href('bow', { part: 'bolts' }),
          value: <WithFractions text={toGo} />,
        },
        {
          id: 'force',
          name: w.force,
          href: href('bow', { part: 'force' }),
          value: predicted
            ? write(predicted.speedMps, 'speed', shop.units, { decimals: 0 })
            : w.none,
        },
      ]}
    />
  );
}

/** "3 1/4 out", "there", "not weighed". */
function useToGo(): string {
  const { snapshot, derived } = useJob();
  const peak = latest(derived.history, 'peakWeight');
  if (!peak) return w.notWeighed;
  const advice = limbBoltAdvice(snapshot, derived);
  if (!advice?.ok) return write(peak.si!, 'force', snapshot.shop.units);
  const left = toQuarterTurns(advice.turns - (standingTurns(derived.history) ?? 0));
  if (Math.abs(left) < 0.2) return write(peak.si!, 'force', snapshot.shop.units);
  return w.boltsToGo(write(Math.abs(left), 'turns', snapshot.shop.units), left > 0 ? 'out' : 'in');
}
