import {
  derive,
  MOST_SHOTS,
  newVisit,
  nextCheck,
  nextVisitDay,
  openVisitOf,
  readShots,
  REPLACED,
  VISIT_KINDS,
} from '@/core/job';
import { jobById, updateJob } from '@/data/jobs';
import { appendReading } from '@/data/records';
import { askFor, leftBow, setShots } from '@/data/register';
import { shopDay } from '../clock';
import { loadSnapshot } from '../load-snapshot';
import { cannot, needReason, ofStage, type Handlers } from './types';

/** A bow that left comes back: opened with what is looked at, ended by the next sheet or as it came. */
export const VISIT = ofStage('handover', {
  openVisit({ kind, words }, { db, snapshot, who, at }) {
    const { job, bow } = snapshot;
    if (!job.deliveredAt || !bow)
      throw cannot('not-delivered', 'Only a bow that was handed over comes back.');
    // What was replaced is a cause like any other: what rests on it is stale from now on.
    const replaced = REPLACED[kind];
    if (replaced)
      appendReading(db, {
        jobId: job.id,
        bowId: bow.id,
        key: replaced,
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
    askFor(db, job.id, comeBackDay);
    return { summary: `Visit ended without a sheet: ${why}`, inverse: null, visit: 'ends' };
  },

  reportShots({ entered }, { db, snapshot }) {
    const { job, shop, today } = snapshot;
    const row = job.deliveredAt === null ? null : leftBow(db, job.id);
    if (!row) throw cannot('not-delivered', 'Shots are told of a bow that is with its archer.');
    const shots = readShots(entered);
    if (shots === null)
      throw cannot(
        'no-count',
        `Shots since it left, as a whole number from 0 to ${MOST_SHOTS}, for example 250.`,
        '/command/entered',
      );
    const leftDay = shopDay(shop.timeZone, row.leftAt);
    const askedDay = row.askedDay ?? nextVisitDay(null, leftDay);
    const { day } = nextCheck({ leftDay, askedDay, shots }, today);
    setShots(db, job.id, shots);
    updateJob(db, { ...jobById(db, job.id)!, comeBackDay: day });
    return {
      summary: `${shots} ${shots === 1 ? 'shot' : 'shots'} since it left`,
      inverse: {
        do: 'shots',
        shots: row.shotsSince,
        comeBackDay: job.comeBackDay,
      },
    };
  },
} satisfies Partial<Handlers>);
