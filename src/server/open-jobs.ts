import { derive, type JobDerived, type JobSnapshot, type UnreadableJob } from '@/core/job';
import { isInstant } from '@/contracts/ajv';
import type { Db } from '@/data/db';
import { openHeads, type JobHead } from '@/data/job-heads';
import { stepTimes } from '@/data/records';
import { shopSettings } from '@/data/settings';
import { touchedTimes } from '@/data/touched';
import { shopDay } from './clock';
import { loadSnapshot } from './load-snapshot';
import { othersFirst } from './others-first';

/** What an earlier version took for an instant and no clock can read. */
function checkInstants({ job }: JobSnapshot): void {
  for (const instant of [job.appointmentAt, job.createdAt, job.deliveredAt])
    if (instant !== null && !isInstant(instant)) throw new Error(`“${instant}” is no instant`);
}

export interface ReadJob {
  readonly snapshot: JobSnapshot;
  readonly derived: JobDerived;
}

interface OpenJobs {
  readonly jobs: readonly ReadJob[];
  readonly unreadable: readonly UnreadableJob[];
}

interface Kept {
  /** What it was read from: once anything of it changes it is read again. */
  readonly ground: string;
  /** Null where the record is damaged. */
  readonly job: ReadJob | null;
}

/** Jobs as last read, for each file that is open. */
const keptOf = new WeakMap<Db, Map<string, Kept>>();

/** Others are served after so long, ms. */
const SLICE_MS = 15;

/** A median minute more or less of a step changes no plan: read anew only when it moves by a tenth. */
const stepsGround = (from: Db) =>
  Object.entries(stepTimes(from))
    .map(([id, { count, sumLogMin }]) => `${id}${Math.round((10 * sumLogMin) / count)}`)
    .join();

/**
 * Open jobs with what follows from them, promised first. Each is read and derived once for as long as
 * nothing of it changes, a few at a time with others served between. One whose record is damaged is
 * named beside the others and never takes them along.
 */
export async function openJobs(from: Db): Promise<OpenJobs> {
  const kept = keptOf.get(from) ?? new Map<string, Kept>();
  keptOf.set(from, kept);
  const read = (head: JobHead, shared: string) => readAnew(from, kept, head, shared);
  let began = performance.now();
  let shared = sharedGround(from);
  for (const head of openHeads(from)) {
    if (performance.now() - began > SLICE_MS) {
      await othersFirst();
      began = performance.now();
    }
    read(head, shared);
  }
  // Between two slices somebody may have written: what is changed since is few, and read at once.
  const heads = openHeads(from);
  shared = sharedGround(from);
  for (const head of heads) read(head, shared);
  const open = new Set(heads.map(({ id }) => id));
  for (const id of kept.keys()) if (!open.has(id)) kept.delete(id);
  return {
    jobs: heads.flatMap(({ id }) => kept.get(id)!.job ?? []),
    unreadable: heads.flatMap(({ id, number, name }) =>
      kept.get(id)!.job ? [] : [{ jobId: id, number, name }],
    ),
  };
}

/** What every job rests on: the shop, its bows and parts, the day, minutes of the steps. */
const sharedGround = (from: Db) =>
  [touchedTimes(from, 'shop'), shopDay(shopSettings(from).timeZone), stepsGround(from)].join(' ');

function readAnew(
  from: Db,
  kept: Map<string, Kept>,
  { id, number, touched }: JobHead,
  shared: string,
): void {
  const ground = `${touched} ${shared}`;
  if (kept.get(id)?.ground === ground) return;
  let job: ReadJob | null = null;
  try {
    const snapshot = loadSnapshot(id, from)!;
    checkInstants(snapshot);
    job = { snapshot, derived: derive(snapshot) };
  } catch (error) {
    console.error(`Job ${number} cannot be read:`, error);
  }
  kept.set(id, { ground, job });
}
