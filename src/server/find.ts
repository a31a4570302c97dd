import { bowName } from '@/core/bow';
import { db, type Db } from '@/data/db';
import { findJobs } from '@/data/job-find';
import { bowById } from '@/data/stock';

interface Found {
  readonly jobId: string;
  readonly number: number;
  readonly archerId: string;
  readonly name: string;
  readonly about: string;
}

const MOST = 12;
/** More letters than this nobody looks for. */
const LONGEST = 100;

/**
 * Jobs by archer, guardian, their telephones, bow, its number or ticket; accents and case do not
 * matter, and a name may be a letter or two off. What is spelt as asked comes first.
 */
export const find = (query: string, from: Db = db()): Found[] =>
  findJobs(from, query.slice(0, LONGEST), MOST).map(({ bowId, closed, ...job }) => {
    const bow = bowId === null ? null : bowById(from, bowId);
    return { ...job, about: closed ? 'came to nothing' : bow ? bowName(bow) : 'no bow yet' };
  });
