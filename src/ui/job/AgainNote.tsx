'use client';
import type { SetupKey } from '@/core/setup';
import { frame } from '../words';
import { useJob } from './JobProvider';
import { Still } from './Still';

/** Values of this screen that are to be taken again, why, and one tap for "still so". */
export function AgainNote({ of }: { of: readonly SetupKey[] }) {
  const { derived } = useJob();
  const stale = derived.plan.stale.filter(({ key }) => of.includes(key));
  return stale.map(({ key, sentence }) => (
    <p key={key} className="note again-here" role="status">
      <span className="tag" data-kind="again">
        {frame.againTag}
      </span>{' '}
      {sentence}. <Still of={key} />
    </p>
  ));
}
