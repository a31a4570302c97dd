import type { Db } from './db';

/** How far the guided opening of a new shop got. */
export interface FirstHour {
  /** Parts of it that were gone through. */
  readonly seen: readonly string[];
}

/** Null where there is none: an older shop, one whose first bow has left, or it was ended. */
export function firstHour(db: Db): FirstHour | null {
  if (db.prepare('SELECT 1 FROM sheet LIMIT 1').get() !== undefined) return null;
  const kept = db.prepare("SELECT value_json FROM setting WHERE key = 'first-hour'").pluck().get();
  return kept === undefined ? null : (JSON.parse(kept as string) as FirstHour);
}

export function saveFirstHour(db: Db, hour: FirstHour | null): void {
  if (hour === null) db.prepare("DELETE FROM setting WHERE key = 'first-hour'").run();
  else
    db.prepare(
      "INSERT INTO setting VALUES ('first-hour', ?) ON CONFLICT (key) DO UPDATE SET value_json = excluded.value_json",
    ).run(JSON.stringify(hour));
}
