import { bowName } from '@/core/bow';
import { db, type Db } from '@/data/db';
import { allJobs, archerById } from '@/data/jobs';
import { bowById } from '@/data/stock';

export interface Found {
  readonly jobId: string;
  readonly number: number;
  readonly archerId: string;
  readonly name: string;
  readonly about: string;
}

const fold = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase();

const MOST = 12;

/** Jobs by archer, phone, bow or ticket number; accents and case do not matter. */
export function find(query: string, from: Db = db()): Found[] {
  const words = fold(query).split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const found: Found[] = [];
  for (const job of allJobs(from)) {
    const archer = archerById(from, job.archerId)!;
    const bow = job.bowId ? bowById(from, job.bowId) : null;
    const about = bow ? bowName(bow) : 'no bow yet';
    const text = fold(
      [archer.name, archer.phone.replace(/\s/g, ''), archer.phone, about, job.number].join(' '),
    );
    if (!words.every((word) => text.includes(word))) continue;
    found.push({
      jobId: job.id,
      number: job.number,
      archerId: archer.id,
      name: archer.name,
      about,
    });
    if (found.length === MOST) break;
  }
  return found;
}
