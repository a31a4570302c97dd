import type { Db } from './db';
import { OPEN } from './jobs';
import { closeness, fold, slips } from './spelling';

interface JobFound {
  readonly jobId: string;
  readonly number: number;
  readonly archerId: string;
  readonly name: string;
  readonly bowId: string | null;
  /** It came to nothing. */
  readonly closed: 0 | 1;
}

type Row = JobFound & {
  readonly words: string;
  /** Handed over, or closed. */
  readonly done: 0 | 1;
  readonly promised: string;
};

/** Rows looked at closely; of more the newest tickets count. */
const LOOKED_AT = 300;

const quoted = (text: string) => `"${text.replaceAll('"', '""')}"`;

/** What names are parted by. */
const EDGES = [' ', '-', '’', "'"];

/**
 * Parts of a word of which one at least stands unchanged in whatever is so many letters off: one more than
 * there may be slips (the pigeonhole principle; Wu and Manber, *Fast text searching allowing errors*, 1992).
 * Its beginning and its end count as a letter, so that each part has the three the index needs.
 */
function parts(word: string): string[] {
  const letters = [...word];
  const count = slips(word) + 1;
  const size = (letters.length + 2) / count;
  const edge = (i: number) => Math.round(i * size);
  return Array.from({ length: count }, (_, i) => {
    const part = letters.slice(Math.max(0, edge(i) - 1), edge(i + 1) - 1).join('');
    return i === 0
      ? EDGES.map((before) => before + part)
      : i === count - 1
        ? EDGES.map((after) => part + after)
        : [part];
  })
    .flat()
    .map(quoted);
}

/** A word as it stands somewhere; of two letters as one begins with them. */
const standing = (word: string) => quoted([...word].length < 3 ? ` ${word}` : word);

const SELECT = `SELECT job.id AS jobId, job.number, job.archer_id AS archerId, archer.name,
  job.bow_id AS bowId, hit.words, job.delivered_at IS NOT NULL OR job.closed_json <> 'null' AS done,
  job.closed_json <> 'null' AS closed,
  coalesce(job.promised_day, '9999') AS promised`;

const rows = (db: Db, match: string, order: 'rowid DESC' | 'rank'): Row[] =>
  db
    .prepare(
      `${SELECT}
       FROM (SELECT rowid AS number, words FROM job_find WHERE job_find MATCH ?
             ORDER BY ${order} LIMIT ${LOOKED_AT}) AS hit
       JOIN job ON job.number = hit.number JOIN archer ON archer.id = job.archer_id`,
    )
    .all(match) as Row[];

const openRows = (db: Db): Row[] =>
  db
    .prepare(
      `${SELECT}
       FROM job JOIN job_find AS hit ON hit.rowid = job.number
       JOIN archer ON archer.id = job.archer_id
       WHERE ${OPEN} LIMIT ${LOOKED_AT}`,
    )
    .all() as Row[];

/**
 * Jobs whose archer, guardian, telephones, ticket, bow or its number answer to all the words; what is
 * spelt as asked comes first, open ones before those that are done with. A single letter is looked for in open
 * jobs, and beside other words not at all.
 *
 * @param most how many are wanted; other spellings are asked for only where none is spelt so.
 */
export function findJobs(db: Db, query: string, most: number): JobFound[] {
  const all = fold(query).split(/\s+/).filter(Boolean);
  const long = all.filter((word) => [...word].length > 1);
  const words = long.length > 0 ? long : all;
  if (words.length === 0) return [];
  if (long.length === 0) return best(openRows(db), words, most);
  const exact = rows(db, words.map(standing).join(' AND '), 'rowid DESC');
  const loosely = words.map((word) =>
    slips(word) === 0 ? standing(word) : `(${parts(word).join(' OR ')})`,
  );
  const close =
    exact.length === 0 && words.some((word) => slips(word) > 0)
      ? rows(db, loosely.join(' AND '), 'rank')
      : [];
  return best(
    [...new Map([...close, ...exact].map((row) => [row.jobId, row])).values()],
    words,
    most,
  );
}

const best = (found: readonly Row[], words: readonly string[], most: number): JobFound[] =>
  found
    .flatMap((row) => {
      const off = closeness(words, row.words);
      return off === null ? [] : [{ off, row }];
    })
    .sort(
      (a, b) =>
        a.off - b.off ||
        a.row.done - b.row.done ||
        (a.row.promised < b.row.promised ? -1 : a.row.promised > b.row.promised ? 1 : 0) ||
        b.row.number - a.row.number,
    )
    .slice(0, most)
    .map(({ row: { jobId, number, archerId, name, bowId, closed } }) => ({
      jobId,
      number,
      archerId,
      name,
      bowId,
      closed,
    }));
