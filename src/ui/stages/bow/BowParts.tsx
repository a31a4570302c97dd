'use client';
import { moduleLabel } from '@/core/bow';
import { toQuarterTurns } from '@/core/fit';
import {
  limbBoltAdvice,
  LOOKS,
  lookState,
  standingTurns,
  type JobDerived,
  type JobSnapshot,
} from '@/core/job';
import { latest, targetOf } from '@/core/setup';
import { twinCount, twinRows } from '@/core/twin';
import { write } from '@/core/units';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Parts } from '../../job/Parts';
import { useStage } from '../../job/useStage';
import { bow as w, elsewhere as ownWords, like as likeWords } from '../../words';

type BowPart = 'choose' | 'drawOff' | 'module' | 'bolts' | 'twists' | 'force' | 'like' | 'own';

export function BowParts({ current }: { current: BowPart }) {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const { bow, shop } = snapshot;
  const toGo = useToGo();
  const twists = useTwists();
  const predicted = derived.context.predictedSpeed;
  const drawOff = {
    id: 'drawOff',
    name: w.drawOff,
    href: href('bow', { part: 'drawOff' }),
    value: snapshot.job.drawOff ? w.drawOffOf(snapshot.job.drawOff.bowIds.length) : w.none,
  };
  const { like } = snapshot.job;
  const likeAnother = {
    id: 'like',
    name: likeWords.part,
    href: href('bow', { part: 'like' }),
    value: like ? likeValue(snapshot, derived) : likeWords.none,
  };
  const own = {
    id: 'own',
    name: ownWords.part,
    href: href('bow', { part: 'own' }),
    value: ownValue(snapshot),
  };
  if (!bow)
    return (
      <Parts
        current={current}
        parts={[
          { id: 'choose', name: w.choose, href: href('bow'), value: w.none },
          own,
          drawOff,
          likeAnother,
        ]}
      />
    );
  const step = latest(derived.history, 'moduleBottom')?.si ?? null;
  const stepText = step === null ? w.notSet : write(step, 'length', shop.units);
  const label = step === null ? null : moduleLabel(bow, step);
  return (
    <Parts
      many
      current={current}
      parts={[
        {
          id: 'choose',
          name: w.choose,
          href: href('bow', { part: 'choose' }),
          value: bow.model,
        },
        ...(snapshot.job.elsewhere ? [own] : [drawOff]),
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
          id: 'twists',
          name: w.twistsPart,
          href: href('bow', { part: 'twists' }),
          value: <WithFractions text={twists} />,
        },
        {
          id: 'force',
          name: w.force,
          href: href('bow', { part: 'force' }),
          value: predicted
            ? write(predicted.speedMps, 'speed', shop.units, { decimals: 0 })
            : w.none,
        },
        likeAnother,
      ]}
    />
  );
}

/** "sound", "3 of 12", "stopped"; of a bow of the shop that it is none. */
function ownValue({ job }: JobSnapshot): string {
  const state = lookState(job);
  if (!state) return ownWords.none;
  if (state.stops.length > 0) return ownWords.stops;
  return state.open.length > 0
    ? ownWords.lookShort(LOOKS.length - state.open.length, LOOKS.length)
    : ownWords.seen.sound;
}

/** "9 of 14". */
function likeValue(snapshot: JobSnapshot, derived: JobDerived): string {
  const { same, all } = twinCount(twinRows(snapshot, derived));
  return likeWords.count(same, all);
}

/** What is still to twist, of string or cable; what the board reads when nothing is. */
function useTwists(): string {
  const { snapshot, derived } = useJob();
  const { history, context } = derived;
  const more = (['stringTwists', 'cableTwists'] as const).some((key) => {
    const target = targetOf(key, context);
    const standing = latest(history, key)?.si ?? 0;
    return target !== null && Math.abs(target.si - standing) >= 0.5;
  });
  const board = latest(history, 'drawLength')?.si ?? null;
  if (more) return w.twistsOpen;
  return board === null ? w.none : write(board, 'length', snapshot.shop.units);
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
