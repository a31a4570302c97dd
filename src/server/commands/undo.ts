import { retractionOf } from '@/core/entries';
import { CLOSED_TICKET, type Archer, type Job, type JobSnapshot } from '@/core/job';
import { dropAim, leaveOutAim } from '@/data/aims';
import { dropPayment } from '@/data/payments';
import { describePhoto, keepPhoto, photoById } from '@/data/photos';
import { dropCurve } from '@/data/curves';
import { archerById, heldBow, jobById, updateArcher, updateJob } from '@/data/jobs';
import { leftBow, setShots } from '@/data/register';
import { bowById, updateBow } from '@/data/stock';
import { acknowledge, unacknowledge, withdrawException } from '@/data/records';
import {
  eventById,
  laterEntries,
  markRedone,
  markUndone,
  redoable,
  undoable,
  type Reversible,
} from '@/data/events';
import { appendRows } from '../take-readings';
import { putBowAgain } from './bow';
import { putAgain, storedPart } from './hold';
import { rightToTakeBack } from './rights';
import { ofStage, cannot, pick, type Handlers, type Inverse, type Work } from './types';

/** Taking an entry back, the newest or any other, and bringing it again. */
export const UNDO = ofStage('', {
  undo({ event }, work) {
    const { db, snapshot } = work;
    const entry =
      event === undefined
        ? undoable(db, snapshot.job.id)
        : named(eventById(db, snapshot.job.id, event), 'canUndo');
    if (!entry) throw cannot('nothing-to-undo', nothingLeft(snapshot));
    const inverse = entry.inverse as Inverse;
    if (snapshot.job.closed && !opensAgain(inverse)) throw cannot(...CLOSED_TICKET);
    work.may(rightToTakeBack(inverse));
    untouchedSince(entry, inverse, work);
    const redo = takeBack(inverse, work);
    return {
      summary: `Taken back: ${entry.summary}`,
      inverse: null,
      written: (by) => markUndone(db, entry.id, by, redo),
    };
  },

  redo({ event }, work) {
    const { db, snapshot } = work;
    const entry =
      event === undefined
        ? redoable(db, snapshot.job.id)
        : named(eventById(db, snapshot.job.id, event), 'canRedo');
    if (!entry) throw cannot('nothing-to-redo', 'There is nothing taken back to bring again.');
    const redo = entry.redo as Inverse;
    work.may(rightToTakeBack(redo));
    untouchedSince(entry, redo, work);
    const inverse = takeBack(redo, work);
    markRedone(db, entry.id, inverse);
    return { summary: `Brought again: ${entry.summary}`, inverse: null };
  },
} satisfies Partial<Handlers>);

const opensAgain = (inverse: Inverse) => inverse.do === 'restore' && inverse.job?.closed === null;

const nothingLeft = ({ sheets }: JobSnapshot) =>
  sheets.length > 0
    ? 'There is nothing left to take back since the sheet was signed. A correction is a new entry.'
    : 'There is nothing left to take back.';

function named(entry: Reversible | null, can: 'canUndo' | 'canRedo'): Reversible {
  if (!entry) throw cannot('no-entry', 'There is no such entry.', '/command/event');
  if (!entry[can])
    throw cannot(
      'under-sheet',
      `“${entry.summary}” cannot be ${can === 'canUndo' ? 'taken back' : 'brought again'} any more: it was already, or it stands under a signed sheet. A correction is a new entry.`,
      '/command/event',
    );
  return entry;
}

/** Fields and places an inverse writes; readings are rows of their own and collide with none. */
function writes(inverse: Inverse): string[] {
  if (inverse.do === 'acknowledge') return [`caution ${inverse.cautionId}`];
  if (inverse.do === 'aimReason') return [`aim ${inverse.id}`];
  if (inverse.do === 'photoSaid' || inverse.do === 'photoKept') return [`photo ${inverse.photo}`];
  if (inverse.do === 'paid') return [`payment ${inverse.payment}`];
  if (inverse.do === 'shots') return ['shots'];
  if (inverse.do === 'bowTold') return [`told ${inverse.bow.id}`];
  if (inverse.do !== 'restore') return [];
  const parts = [...(inverse.part ? [inverse.part] : []), ...(inverse.parts ?? [])];
  return [
    ...Object.keys(inverse.archer ?? {}).map((field) => `archer ${field}`),
    ...Object.keys(inverse.job ?? {}).map((field) => `job ${field}`),
    ...parts.map(({ slot }) => `part ${slot}`),
    ...(inverse.bow === undefined ? [] : ['bow']),
  ];
}

/** Refuses where a later entry, or another job of the same archer, wrote the same thing since. */
function untouchedSince(entry: Reversible, inverse: Inverse, { db, snapshot }: Work): void {
  const own = writes(inverse);
  const later = laterEntries(db, snapshot.job.id, entry.id).find((other) =>
    writes(other.inverse as Inverse).some((field) => own.includes(field)),
  );
  if (later)
    throw cannot(
      'changed-since',
      `“${later.summary}” came after it and changed the same: take that back first.`,
      '/command/event',
    );
  if (inverse.do !== 'restore' || !inverse.archerLeft) return;
  const now = archerById(db, snapshot.archer.id)!;
  const moved = (Object.keys(inverse.archerLeft) as (keyof Archer)[]).find(
    (field) => now[field] !== inverse.archerLeft![field],
  );
  if (moved)
    throw cannot(
      'changed-since',
      `The archer’s ${moved} was changed in another job since: it stays as it is.`,
      '/command/event',
    );
}

/** Does what an inverse says, and returns what would undo that. */
function takeBack(inverse: Inverse, work: Work): Inverse {
  const { db, snapshot, who, at } = work;
  const jobId = snapshot.job.id;
  switch (inverse.do) {
    case 'retract':
      return {
        do: 'retract',
        seqs: appendRows(
          db,
          inverse.seqs.map((seq) => retractionOf(seq, 'undo')),
          { jobId, who, at },
        ),
      };
    case 'restore':
      return restore(inverse, work);
    case 'dropCurve': {
      dropCurve(db, inverse.curveId, !inverse.back);
      const { back, ...rest } = inverse;
      return back ? rest : { ...rest, back: true };
    }
    case 'dropAim': {
      dropAim(db, inverse.id, !inverse.back);
      const { back, ...rest } = inverse;
      return back ? rest : { ...rest, back: true };
    }
    case 'paid':
      dropPayment(db, inverse.payment, !inverse.stands);
      return { ...inverse, stands: !inverse.stands };
    case 'bowTold': {
      const bow = bowById(db, inverse.bow.id)!;
      updateBow(db, inverse.bow);
      return { do: 'bowTold', bow };
    }
    case 'shots': {
      const { comeBackDay } = jobById(db, jobId)!;
      const shots = leftBow(db, jobId)!.shotsSince;
      setShots(db, jobId, inverse.shots);
      updateJob(db, { ...jobById(db, jobId)!, comeBackDay: inverse.comeBackDay });
      return { do: 'shots', shots, comeBackDay };
    }
    case 'photoKept':
      keepPhoto(db, inverse.photo, inverse.kept);
      return { ...inverse, kept: !inverse.kept };
    case 'photoSaid': {
      const now = photoById(db, jobId, inverse.photo)!;
      describePhoto(db, inverse.photo, inverse.words, inverse.onRecord);
      return { ...inverse, words: now.words, onRecord: now.onRecord };
    }
    case 'aimReason':
      return { ...inverse, reason: leaveOutAim(db, jobId, inverse.id, inverse.reason) ?? '' };
    case 'withdraw': {
      withdrawException(db, jobId, inverse.exceptionId, !inverse.back);
      const { back, ...rest } = inverse;
      return back ? rest : { ...rest, back: true };
    }
    case 'acknowledge':
      if (inverse.yes) acknowledge(db, jobId, inverse.cautionId, who, at);
      else unacknowledge(db, jobId, inverse.cautionId);
      return { ...inverse, yes: !inverse.yes };
  }
}

type Restore = Extract<Inverse, { do: 'restore' }>;

function restore({ archer, job, part, parts = [], bow }: Restore, work: Work): Inverse {
  const { db, snapshot } = work;
  const jobId = snapshot.job.id;
  const places = [...(part ? [part] : []), ...parts];
  const archerNow = archerById(db, snapshot.archer.id)!;
  const jobNow = jobById(db, jobId)!;
  const bowNow = heldBow(db, jobId);
  const before = places.map(({ slot }) => ({
    slot,
    row: storedPart(db, jobId, slot as Parameters<typeof storedPart>[2]),
  }));
  if (archer) updateArcher(db, { ...archerNow, ...archer });
  if (job) updateJob(db, { ...jobNow, ...job });
  for (const { slot, row } of places) putAgain(work, slot, row);
  if (bow !== undefined) putBowAgain(work, bow);
  return {
    do: 'restore',
    ...(archer
      ? {
          archer: pick(archerNow, Object.keys(archer) as (keyof Archer)[]),
          archerLeft: archer,
        }
      : {}),
    ...(job ? { job: pick(jobNow, Object.keys(job) as (keyof Job)[]) } : {}),
    ...(before.length > 0 ? { parts: before } : {}),
    ...(bow === undefined ? {} : { bow: bowNow }),
  };
}
