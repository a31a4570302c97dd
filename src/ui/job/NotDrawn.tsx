'use client';
import Link from 'next/link';
import { lookState, notDrawn } from '@/core/job';
import { Note } from '../pieces/texts';
import { elsewhere as w } from '../words';
import { useJob } from './JobProvider';
import { useStage } from './useStage';
import css from './NotDrawn.module.css';

/** On every stage of a bow from elsewhere, for as long as nobody draws it; where it is looked over it stands anyway. */
export function NotDrawn() {
  const { job } = useJob().snapshot;
  const { href, stage, at } = useStage();
  const why = notDrawn(job);
  if (!why || (stage === 'bow' && (at('part') ?? 'own') === 'own')) return null;
  return (
    <Note
      className={css.notDrawn}
      kind={lookState(job)!.stops.length > 0 ? 'stop' : 'care'}
      data-part="not-drawn"
    >
      {why.message}{' '}
      <Link href={href('bow', { part: 'own' })} prefetch={false}>
        {w.toLook}
      </Link>
    </Note>
  );
}
