'use client';
import { pinClicks, type GroupResult } from '@/core/flight';
import { itemOf } from '@/core/kit';
import { useJob } from '../../job/JobProvider';
import { lane as w, marksWords as m } from '../../words';
import { Note } from '../../pieces/texts';
import css from './GroupJudgement.module.css';

/** What a group says: on the aim, too few hits to tell, or how the pin is moved, in clicks where it has them. */
export function GroupJudgement({ answer }: { answer: GroupResult }) {
  const { derived } = useJob();
  const click = itemOf(derived.kit, 'sight')?.attrs.clickMm ?? null;
  if (answer.pValue === null) return <Note>{w.few(answer.hitsNeeded!)}</Note>;
  if (!answer.adjust) {
    return (
      <Note kind="good" role="status">
        {w.onAim} {answer.hitsNeeded ? w.moreToShow(answer.hitsNeeded) : ''}
      </Note>
    );
  }
  const { rightMm, upMm } = answer.pinMove!;
  const figure = (n: number) => Math.abs(n).toFixed(1);
  const small = (n: number) => Math.abs(n) < 0.05;
  const clicks = click === null ? null : pinClicks(answer.pinMove!, click);
  return (
    <Note className={css.pinMove} data-part="pin-move" role="status">
      <b>
        {w.move(
          small(upMm) ? '' : upMm > 0 ? w.pinUp(figure(upMm)) : w.pinDown(figure(upMm)),
          small(rightMm)
            ? ''
            : rightMm > 0
              ? w.pinRight(figure(rightMm))
              : w.pinLeft(figure(rightMm)),
        )}
      </b>{' '}
      {clicks
        ? m.clicks(
            clicks.up === 0 ? '' : m.clicksUp(clicks.up),
            clicks.right === 0 ? '' : m.clicksRight(clicks.right),
            String(click),
          )
        : m.noClick}
    </Note>
  );
}
