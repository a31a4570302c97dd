import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Command } from '@/contracts/commands';
import type { Meet, Waited } from '@/contracts/waited';
import type { JobSnapshot } from '@/core/job';
import type { Stage } from '@/core/setup';

/** Why an entry was not taken when it was sent; it waits for an answer. */
export interface Stuck {
  readonly reason: string;
  readonly message: string;
  readonly meets: readonly Meet[];
  /** How far the job stands now; null where that is not known. */
  readonly stood: Waited['saw'] | null;
}

/** An entry that was made without a connection, as this browser keeps it. */
export interface Waiting {
  readonly id: number;
  readonly jobId: string;
  /** The archer’s name. */
  readonly jobName: string;
  /** What was entered, in words. */
  readonly summary: string;
  readonly stage: Stage | null;
  readonly key: string;
  readonly command: Command;
  readonly who: string;
  readonly mark: string;
  /** By the tablet’s clock, ms. */
  readonly madeMs: number;
  /** As near as the tablet knows the shop’s, UTC instant. */
  readonly at: string;
  readonly saw: Waited['saw'];
  /** It was sent once: it may be saved, only its answer was lost. */
  readonly tried?: boolean;
  /** Taken back while that is not known: taken back there as well, should it be. */
  readonly unwanted?: boolean;
  readonly asked?: Waited['asked'];
  readonly stuck?: Stuck;
}

/** A job as it was seen last. */
interface SeenJob {
  readonly jobId: string;
  readonly atMs: number;
  readonly snapshot: JobSnapshot;
}

interface Store extends DBSchema {
  waiting: { key: number; value: Waiting };
  seen: { key: string; value: SeenJob; indexes: { atMs: number } };
}

/** Jobs kept as last seen: a day’s work and more. */
const MOST_JOBS = 40;

let opened: Promise<IDBPDatabase<Store>> | null = null;

/** Null where the browser keeps nothing (storage switched off). */
async function store(): Promise<IDBPDatabase<Store> | null> {
  if (typeof indexedDB === 'undefined') return null;
  opened ??= openDB<Store>('waffenrad', 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'id', autoIncrement: true });
      db.createObjectStore('seen', { keyPath: 'jobId' }).createIndex('atMs', 'atMs');
    },
  });
  return opened.catch(() => {
    opened = null;
    return null;
  });
}

/** Everything that waits, oldest first. */
export const readWaiting = async (): Promise<readonly Waiting[]> =>
  (await (await store())?.getAll('waiting')) ?? [];

/** Keeps an entry; its number, null where this browser cannot keep it. */
export async function writeWaiting(entry: Omit<Waiting, 'id'>): Promise<number | null> {
  const db = await store();
  if (!db) return null;
  try {
    // The browser counts them; it is told nothing of a number.
    return await db.add('waiting', entry as Waiting);
  } catch {
    // Full, or not allowed.
    return null;
  }
}

export async function rewriteWaiting(entry: Waiting): Promise<void> {
  await (await store())?.put('waiting', entry);
}

export async function eraseWaiting(id: number): Promise<void> {
  await (await store())?.delete('waiting', id);
}

/** Of the same version the one read later: shop, day and what else is not the job's own may have changed between. */
export const isLater = (one: JobSnapshot, than: JobSnapshot): boolean =>
  one.job.version === than.job.version
    ? Date.parse(one.now) > Date.parse(than.now)
    : one.job.version > than.job.version;

export async function writeSeen(snapshot: JobSnapshot): Promise<void> {
  const db = await store();
  if (!db) return;
  try {
    const tx = db.transaction('seen', 'readwrite');
    const jobId = snapshot.job.id;
    const before = await tx.store.get(jobId);
    if (!before || !isLater(before.snapshot, snapshot))
      await tx.store.put({ jobId, atMs: Date.now(), snapshot });
    const oldest = await tx.store.index('atMs').getAllKeys();
    for (const old of oldest.slice(0, Math.max(0, oldest.length - MOST_JOBS)))
      await tx.store.delete(old);
    await tx.done;
  } catch {
    // What was seen last is a help, no entry: without it the page shows what it was drawn with.
  }
}

export const readSeen = async (jobId: string): Promise<JobSnapshot | null> =>
  (await (await store())?.get('seen', jobId).catch(() => undefined))?.snapshot ?? null;

/** What was seen goes from this browser; what waits stays until it is sent or taken out. */
export async function eraseSeen(): Promise<void> {
  await (await store())?.clear('seen');
}
