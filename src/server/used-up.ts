import type { StepUse } from '@/core/bench';
import type { JobDerived, JobSnapshot } from '@/core/job';
import { isFinished } from '@/core/route';
import type { Db } from '@/data/db';
import { addToShelf } from '@/data/reservations';
import { forgetUses, insertUse, usedBy, usedOf } from '@/data/used-up';

const PIECE = 1000;

/** Pieces that are gone once so many thousandths were used. */
const pieces = (thousandths: number) => Math.floor(thousandths / PIECE);

/** What one bow takes of a piece. */
const shareOf = ({ lasts }: StepUse) => Math.round(PIECE / lasts);

/**
 * What the steps of this bow used up comes off the shelf: by parts of a piece, whole ones as they come
 * together over all bows. A step that was counted for this job before is passed by.
 */
export function useUp({ job, shop }: JobSnapshot, { plan }: JobDerived, at: string, db: Db): void {
  const counted = new Set(usedBy(db, job.id).map(({ stepId, partId }) => `${stepId} ${partId}`));
  const done = new Set(plan.steps.filter(isFinished).map(({ id }) => id));
  for (const use of shop.steps.uses ?? []) {
    const { stepId, partId } = use;
    if (!done.has(stepId) || counted.has(`${stepId} ${partId}`)) continue;
    const before = usedOf(db, partId);
    const thousandths = shareOf(use);
    insertUse(db, job.id, at, { stepId, partId, thousandths });
    const gone = pieces(before + thousandths) - pieces(before);
    if (gone > 0) addToShelf(db, { itemId: partId, count: -gone });
  }
}

/** A handover taken back: what was counted as used up is not any more. */
export function layBackUses({ job }: JobSnapshot, db: Db): void {
  const uses = usedBy(db, job.id);
  const before = new Map(uses.map(({ partId }) => [partId, usedOf(db, partId)]));
  forgetUses(db, job.id);
  for (const [partId, then] of before) {
    const back = pieces(then) - pieces(usedOf(db, partId));
    if (back > 0) addToShelf(db, { itemId: partId, count: back });
  }
}
