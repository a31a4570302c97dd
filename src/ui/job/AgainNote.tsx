'use client';
import type { SetupKey } from '@/core/setup';
import { frame } from '../words';
import { Note, Tag } from '../pieces/texts';
import { useJob } from './JobProvider';
import { Still } from './Still';
import css from './AgainNote.module.css';

/** Values of this screen that are to be taken again, why, and one tap for "still so". */
export function AgainNote({ of }: { of: readonly SetupKey[] }) {
  const { derived } = useJob();
  const stale = derived.plan.stale.filter(({ key }) => of.includes(key));
  return stale.map(({ key, sentence }) => (
    <Note key={key} className={css.againHere} role="status">
      <Tag kind="again">{frame.againTag}</Tag> {sentence}. <Still of={key} />
    </Note>
  ));
}
