'use client';
import { jobContradiction } from '@/core/job';
import { useJob } from '../../job/JobProvider';
import { paperWords as p } from '../../words';
import { Note } from '../../pieces/texts';

/** Where paper, bare shafts and line ask for opposite moves: which of them is followed. */
export function RestContradiction() {
  const { snapshot, derived } = useJob();
  const found = jobContradiction(snapshot, derived);
  if (!found) return null;
  return (
    <Note role="status">
      {p.contradicts(
        p.opposite[found.prevails],
        found.against.map((voice) => p.opposite[voice]),
      )}
    </Note>
  );
}
