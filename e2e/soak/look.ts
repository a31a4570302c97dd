import Database from 'better-sqlite3';
import type { Entry } from './writer';

interface Found {
  readonly lost: readonly Entry[];
  readonly doubled: readonly Entry[];
}

/** Looks in the file itself, past the program, for what was acknowledged. */
export function lookFor(path: string, entries: readonly Entry[]): Found {
  const db = new Database(path, { readonly: true });
  const count = (sql: string, value: string) => db.prepare(sql).pluck().get(value) as number;
  const found = entries.map((entry) => ({
    entry,
    events: count('SELECT count(*) FROM job_event WHERE key = ?', entry.key),
    rows:
      entry.kind === 'job'
        ? count('SELECT count(*) FROM archer WHERE name = ?', entry.text)
        : count('SELECT count(*) FROM reading WHERE entered = ?', entry.text),
  }));
  const whole = db.pragma('integrity_check(1)', { simple: true });
  db.close();
  if (whole !== 'ok') throw new Error(`The file is not whole: ${String(whole)}`);
  return {
    lost: found.filter(({ events, rows }) => events < 1 || rows < 1).map(({ entry }) => entry),
    doubled: found.filter(({ events, rows }) => events > 1 || rows > 1).map(({ entry }) => entry),
  };
}
