import { answered, refused, type Outcome } from '../outcome';
import type { JobSnapshot } from '../job';
import { LANE } from './lane';
import { MARKS } from './marks';
import { MEASURE } from './measure';
import { EntryRefused } from './refusal';
import type { Taken } from './rows';
import { STEADY } from './steady';
import type { Entries, Makers } from './types';
import { refuseUnlooked } from './unlooked';

const MAKERS: Makers = { ...MEASURE, ...LANE, ...MARKS, ...STEADY };

export type Adding = keyof Entries;

/** Entries that only add readings: the same on the server and, without a connection, in the page. */
export const isAdding = (name: string): name is Adding => Object.hasOwn(MAKERS, name);

/**
 * What an entry adds to a job as it stands. Refused with the entry's own field (a JSON pointer, empty where it hangs
 * on none) where it is no reading, or the job has not what it rests on.
 */
export function taken<N extends Adding>(
  name: N,
  entry: Entries[N],
  snapshot: JobSnapshot,
): Outcome<Taken> {
  try {
    refuseUnlooked(name, entry, snapshot);
    return answered(MAKERS[name](entry, snapshot));
  } catch (error) {
    if (error instanceof EntryRefused) return refused(error.reason, error.message, error.pointer);
    throw error;
  }
}
