import type { Tablet } from '@/core/people';
import type { Db } from './db';

const TABLET = `SELECT id, name, paired_by AS pairedBy, paired_at AS pairedAt, seen_at AS seenAt,
  sent_away_at AS sentAwayAt FROM tablet`;

/** Those that may be used first, then the newest that were sent away; a shop has some ten. */
export const tabletsOf = (db: Db): Tablet[] =>
  db
    .prepare(`${TABLET} ORDER BY sent_away_at IS NOT NULL, sent_away_at DESC, paired_at LIMIT 200`)
    .all() as Tablet[];

export const tabletById = (db: Db, id: string): Tablet | null =>
  (db.prepare(`${TABLET} WHERE id = ?`).get(id) as Tablet | undefined) ?? null;

/** The tablet known by this token's hash; one that was sent away is not known. */
export const tabletByToken = (db: Db, hash: string): Tablet | null =>
  (db.prepare(`${TABLET} WHERE token_hash = ? AND sent_away_at IS NULL`).get(hash) as
    Tablet | undefined) ?? null;

export const insertTablet = (db: Db, tablet: Omit<Tablet, 'sentAwayAt'> & { token: string }) =>
  db
    .prepare(
      `INSERT INTO tablet (id, name, token_hash, paired_by, paired_at, seen_at)
       VALUES (@id, @name, @token, @pairedBy, @pairedAt, @seenAt)`,
    )
    .run(tablet);

export const renameTablet = (db: Db, id: string, name: string) =>
  db.prepare('UPDATE tablet SET name = ? WHERE id = ?').run(name, id);

/** Whoever is at it is signed out with it. */
export function sendAway(db: Db, id: string, at: string): void {
  db.prepare('UPDATE tablet SET sent_away_at = ? WHERE id = ? AND sent_away_at IS NULL').run(
    at,
    id,
  );
  endSessions(db, { tabletId: id, at });
}

export const seeTablet = (db: Db, id: string, at: string) =>
  db.prepare('UPDATE tablet SET seen_at = ? WHERE id = ?').run(at, id);

/** A code that pairs one tablet until then. Those that are over go. */
export function putPairing(
  db: Db,
  pairing: { readonly hash: string; readonly madeBy: string; readonly endsAt: string },
  now: string,
): void {
  db.prepare('DELETE FROM pairing WHERE ends_at < ?').run(now);
  db.prepare(
    'INSERT INTO pairing (code_hash, made_by, ends_at) VALUES (@hash, @madeBy, @endsAt)',
  ).run(pairing);
}

/** Takes the code, which pairs nobody twice; who made it, null where there is no such one now. */
export const takePairing = (db: Db, hash: string, now: string): string | null =>
  (db
    .prepare('DELETE FROM pairing WHERE code_hash = ? AND ends_at >= ? RETURNING made_by')
    .pluck()
    .get(hash, now) as string | undefined) ?? null;

interface SessionRow {
  readonly tabletId: string;
  readonly personId: string;
  readonly beganAt: string;
  readonly seenAt: string;
}

export const sessionBy = (db: Db, hash: string): SessionRow | null =>
  (db
    .prepare(
      `SELECT tablet_id AS tabletId, person_id AS personId, began_at AS beganAt, seen_at AS seenAt
       FROM session WHERE token_hash = ?`,
    )
    .get(hash) as SessionRow | undefined) ?? null;

/** So long it is known who was at a tablet: longer than an entry waits. */
const MAKERS_KEPT_DAYS = 40;

/** Begins one; there is one at a time at a tablet. Its mark says later who made what was entered in it. */
export function beginSession(
  db: Db,
  session: { hash: string; mark: string; tabletId: string; personId: string; at: string },
): void {
  endSessions(db, session);
  db.prepare('DELETE FROM maker WHERE ended_at < ?').run(
    new Date(Date.parse(session.at) - MAKERS_KEPT_DAYS * 86_400_000).toISOString(),
  );
  db.prepare(
    `INSERT INTO maker (mark_hash, tablet_id, person_id, began_at)
     VALUES (@mark, @tabletId, @personId, @at)`,
  ).run(session);
  db.prepare(
    `INSERT INTO session (token_hash, tablet_id, person_id, began_at, seen_at)
     VALUES (@hash, @tabletId, @personId, @at, @at)`,
  ).run(session);
}

export const seeSession = (db: Db, hash: string, at: string) =>
  db.prepare('UPDATE session SET seen_at = ? WHERE token_hash = ?').run(at, hash);

/** Ends who is at a tablet. */
export function endSessions(db: Db, of: { readonly tabletId: string; readonly at: string }): void {
  db.transaction(() => {
    db.prepare('DELETE FROM session WHERE tablet_id = @tabletId').run(of);
    db.prepare(
      'UPDATE maker SET ended_at = @at WHERE tablet_id = @tabletId AND ended_at IS NULL',
    ).run(of);
  })();
}

/** Ends a person wherever they are. */
export function endPerson(db: Db, of: { readonly personId: string; readonly at: string }): void {
  db.transaction(() => {
    db.prepare('DELETE FROM session WHERE person_id = @personId').run(of);
    db.prepare(
      'UPDATE maker SET ended_at = @at WHERE person_id = @personId AND ended_at IS NULL',
    ).run(of);
  })();
}

interface MakerRow {
  readonly personId: string;
  readonly beganAt: string;
  readonly endedAt: string | null;
}

/** Who was at the tablet in the session of this mark; null where there was no such one. */
export const makerBy = (db: Db, hash: string, tabletId: string): MakerRow | null =>
  (db
    .prepare(
      `SELECT person_id AS personId, began_at AS beganAt, ended_at AS endedAt
       FROM maker WHERE mark_hash = ? AND tablet_id = ?`,
    )
    .get(hash, tabletId) as MakerRow | undefined) ?? null;

/** Wrong tries in a row, and until when the next one waits. */
export const wrongTries = (db: Db, key: string): { count: number; untilAt: string } =>
  (db.prepare('SELECT count, until_at AS untilAt FROM wrong_try WHERE key = ?').get(key) as
    { count: number; untilAt: string } | undefined) ?? { count: 0, untilAt: '' };

export const putWrongTries = (db: Db, key: string, count: number, untilAt: string) =>
  db
    .prepare(
      `INSERT INTO wrong_try VALUES (?, ?, ?)
       ON CONFLICT (key) DO UPDATE SET count = excluded.count, until_at = excluded.until_at`,
    )
    .run(key, count, untilAt);

export const forgetTries = (db: Db, key: string) =>
  db.prepare('DELETE FROM wrong_try WHERE key = ?').run(key);
