import type { IncomingMessage } from 'node:http';
import { rightsOf } from '@/core/people';
import type { Db } from '@/data/db';
import { hasOwner, personById } from '@/data/people';
import { programByToken, useProgram } from '@/data/programs';
import { endSessions, seeSession, seeTablet, sessionBy, tabletByToken } from '@/data/tablets';
import { shopSettings } from '@/data/settings';
import { nameOfHost } from '../gate/own-names';
import { sicknessOf } from '../sick';
import type { Asker } from './asker';
import { digest, markOf } from './secrets';

/** What a browser is known by here, and who is signed in at it. */
export const KNOWN = 'waffenrad-known';
export const SESSION = 'waffenrad-session';

const cookieOf = (request: IncomingMessage, name: string): string | null =>
  new RegExp(`(?:^|;\\s*)${name}=([\\w-]{20,100})(?:;|$)`).exec(
    request.headers.cookie ?? '',
  )?.[1] ?? null;

const LOOPBACK = /^(127\.|::1$|::ffff:127\.)/;
const FORWARDED = ['forwarded', 'via', 'x-forwarded-for', 'x-forwarded-host', 'x-real-ip'];
const LOOPBACK_NAMES = /^(localhost|127(\.\d+){3}|\[::1\])$/;

/** It came from this very machine, under this machine's own name, and through no proxy that says so. */
export function isAtMachine(request: IncomingMessage): boolean {
  return (
    LOOPBACK.test(request.socket.remoteAddress ?? '') &&
    LOOPBACK_NAMES.test(nameOfHost(request.headers.host) ?? '') &&
    FORWARDED.every((name) => request.headers[name] === undefined)
  );
}

/** Written at most so often: a tablet asks many times a minute. */
const SEEN_EVERY_MS = 60_000;

/** Written down where it can be: nobody is refused a look at the shop because its disk is full. */
function writeIfItCan(write: () => void): void {
  try {
    write();
  } catch (error) {
    if (!sicknessOf(error)) throw error;
  }
}
/** The page locks itself first; what stands in it is then still typed. */
const GRACE_MIN = 5;

const BEARER = /^Bearer\s+(\S{20,100})$/i;

type Found = Pick<Asker, 'by' | 'personId' | 'tablet' | 'mark' | 'since'>;
const NOBODY: Found = { by: null, personId: null, tablet: null, mark: '', since: '' };

function program(db: Db, header: string, at: string): Found {
  const token = BEARER.exec(header)?.[1];
  const known = token ? programByToken(db, digest(token)) : null;
  if (!known) return NOBODY;
  if (isOld(known.usedAt ?? '', at)) writeIfItCan(() => useProgram(db, known.id, at));
  return {
    ...NOBODY,
    by: { name: known.name, role: null, rights: known.rights, tablet: 'Program' },
  };
}

const isOld = (seenAt: string, at: string) =>
  !(Date.parse(at) - Date.parse(seenAt) < SEEN_EVERY_MS);

function atTablet(db: Db, request: IncomingMessage, at: string): Found {
  const known = cookieOf(request, KNOWN);
  const tablet = known ? tabletByToken(db, digest(known)) : null;
  if (!tablet) return NOBODY;
  if (isOld(tablet.seenAt, at)) writeIfItCan(() => seeTablet(db, tablet.id, at));
  const found = { ...NOBODY, tablet: { id: tablet.id, name: tablet.name } };
  const token = cookieOf(request, SESSION);
  const hash = token ? digest(token) : null;
  const session = hash ? sessionBy(db, hash) : null;
  if (!hash || !session || session.tabletId !== tablet.id) return found;
  const person = personById(db, session.personId);
  const idleMin = (Date.parse(at) - Date.parse(session.seenAt)) / 60_000;
  if (!person || person.leftAt || idleMin > shopSettings(db).lockAfterMin + GRACE_MIN) {
    writeIfItCan(() => endSessions(db, { tabletId: tablet.id, at }));
    return found;
  }
  if (isOld(session.seenAt, at)) writeIfItCan(() => seeSession(db, hash, at));
  return {
    ...found,
    personId: person.id,
    mark: markOf(token!),
    since: session.beganAt,
    by: {
      name: person.name,
      role: person.role,
      rights: rightsOf(person.role),
      tablet: tablet.name,
    },
  };
}

/** Who asks, from the tablet's and the session's cookie or a program's token. */
export function identify(
  request: IncomingMessage,
  { db, at, secured }: { readonly db: Db; readonly at: string; readonly secured: boolean },
): Asker {
  const { authorization } = request.headers;
  const found =
    authorization === undefined ? atTablet(db, request, at) : program(db, authorization, at);
  return { ...strangerOf(request, secured), ...found, opened: hasOwner(db) };
}

/** Who asks where there is no shop to know them. */
export const strangerOf = (request: IncomingMessage, secured: boolean): Asker => ({
  ...NOBODY,
  atMachine: isAtMachine(request),
  secured,
  address: request.socket.remoteAddress ?? '',
  opened: false,
});
