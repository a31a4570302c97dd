import { derive, newVisit, nextVisitDay, openVisitOf, VISIT_KINDS } from '@/core/job';
import { jobById, updateJob } from '@/data/jobs';
import { appendReading } from '@/data/records';
import { loadSnapshot } from '../load-snapshot';
import { cannot, needReason, ofStage, type Handlers } from './types';

/** A bow that left comes back: opened with what is looked at, ended by the next sheet or as it came. */
export const VISIT = ofStage('handover', {
  openVisit({ kind, words }, { db, snapshot, who, at }) {
    const { job, bow } = snapshot;
    if (!job.deliveredAt || !bow)
      throw cannot('not-delivered', 'Only a bow that was handed over comes back.');
    // Other strings are a cause like any other: what rests on them is stale from now on.
    if (kind === 'string')
      appendReading(db, {
        jobId: job.id,
        bowId: bow.id,
        key: 'newString',
        si: 1,
        si2: null,
        choice: null,
        entered: 'done',
        method: 'typed',
        who,
        at,
        retracts: null,
      });
    const now = loadSnapshot(job.id, db)!;
    const visit = newVisit(kind, words.trim(), snapshot, derive(now), { at, who });
    updateJob(db, {
      ...jobById(db, job.id)!,
      visit,
      deliveredAt: null,
      comeBackDay: null,
      place: 'handover',
    });
    const name = VISIT_KINDS.find(({ id }) => id === kind)!.name;
    return { summary: words.trim() ? `${name}: ${words.trim()}` : name, inverse: null };
  },

  closeVisit({ reason }, { db, snapshot, at }) {
    const { job, sheets, today } = snapshot;
    if (openVisitOf(job) === null || sheets.length === 0)
      throw cannot('no-visit', 'No visit is open.');
    const why = needReason(reason);
    // Nothing was settled: it is asked for again soon.
    const comeBackDay = nextVisitDay(null, today);
    updateJob(db, { ...jobById(db, job.id)!, deliveredAt: at, comeBackDay });
    return { summary: `Visit ended without a sheet: ${why}`, inverse: null, visit: 'ends' };
  },
} satisfies Partial<Handlers>);
