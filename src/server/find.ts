import { bowName } from '@/core/bow';
import { db, type Db } from '@/data/db';
import { allJobs, archerById } from '@/data/jobs';
import { bowById } from '@/data/stock';
import { closeness, fold } from './spelling';

interface Found {
  readonly jobId: string;
  readonly number: number;
  readonly archerId: string;
  readonly name: string;
  readonly about: string;
}

const MOST = 12;

/**
 * Jobs by archer, guardian, their phones, bow or ticket number; accents and case do not matter, and a name may be
 * a letter or two off. What is spelt as asked comes first.
 */
export function find(query: string, from: Db = db()): Found[] {
  const words = fold(query).split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  return allJobs(from)
    .flatMap((job) => {
      const archer = archerById(from, job.archerId);
      if (!archer) return [];
      const bow = job.bowId ? bowById(from, job.bowId) : null;
      const about = bow ? bowName(bow) : 'no bow yet';
      const { name, phone, guardianName, guardianPhone } = archer;
      // A child’s bow is fetched by who brought the child.
      const numbers = [phone, guardianPhone].flatMap((each) => [each.replace(/\s/g, ''), each]);
      const text = fold([name, ...numbers, about, job.number, guardianName].join(' '));
      const off = closeness(words, text);
      const found = { jobId: job.id, number: job.number, archerId: archer.id, name, about };
      return off === null ? [] : [{ off, found }];
    })
    .sort((a, b) => a.off - b.off)
    .slice(0, MOST)
    .map(({ found }) => found);
}
