import { randomUUID } from 'node:crypto';
import { checker } from '@/contracts/ajv';
import { FirstOwner, OwnSecret, Pair, SignIn } from '@/contracts/people';
import { roleOf, ROLES, secretFault, type Door, type Role } from '@/core/people';
import { db, type Db } from '@/data/db';
import {
  hasOwner,
  insertPerson,
  nameTaken,
  peopleOf,
  personById,
  savePerson,
  saveSecret,
  secretOf,
} from '@/data/people';
import { shopSettings } from '@/data/settings';
import { beginSession, endSessions, insertTablet, takePairing } from '@/data/tablets';
import { nowIso } from '../clock';
import { invalid, Problem } from '../problem';
import type { Asker } from './asker';
import { demoPins } from './demo-pins';
import { note } from './note';
import { digest, hashSecret, isSecret, markOf, newToken, plainCode } from './secrets';
import { beginTry } from './tries';

/** What a browser is told to keep; null takes it away. */
export interface Kept {
  readonly known?: string;
  readonly session?: string | null;
}

/** The answer, and what the browser keeps of it. */
interface Signed<T> {
  readonly body: T;
  readonly kept: Kept;
}

/** Who can sign in at this browser, the owners first where it is not known but sits at the machine. */
export function doorOf({ by, personId, tablet, atMachine, opened }: Asker, on: Db = db()): Door {
  const pins = atMachine ? demoPins(on) : {};
  const may = tablet !== null || atMachine;
  const people = may
    ? peopleOf(on).filter(
        ({ canSignIn, role }) =>
          !opened || (canSignIn && (tablet !== null || pairsHere(pins).includes(role))),
      )
    : [];
  return {
    shop: may ? shopSettings(on).name : '',
    opened,
    atMachine,
    tablet: tablet?.name ?? null,
    people: people.map(({ id, name, role }) => ({
      id,
      name,
      role: roleOf(role).name,
      ...(pins[id] ? { pin: pins[id] } : {}),
    })),
    signedIn: by && personId ? { id: personId, name: by.name } : null,
  };
}

const EVERYBODY = ROLES.map(({ id }) => id);

/** Who makes the machine itself known: an owner; in the demo, to try it, everybody. */
const pairsHere = (pins: Readonly<Record<string, string>>): readonly Role[] =>
  Object.keys(pins).length > 0 ? EVERYBODY : ['owner'];

const checkSignIn = checker(SignIn);
const checkPair = checker(Pair);
const checkOwner = checker(FirstOwner);
const checkOwnSecret = checker(OwnSecret);

const wrong = (detail: string, pointer: string) =>
  new Problem(403, 'wrong-secret', 'That was not it', { detail, errors: [{ pointer, detail }] });

const notKnown = () =>
  new Problem(403, 'not-paired', 'This tablet is not known here', {
    detail: 'The owner pairs it: Shop, People and tablets, “Pair a tablet”.',
  });

/** Looks at a person's PIN or password; refused where it is wrong, counted by person and by place. */
async function prove(
  on: Db,
  { personId, secret }: { readonly personId: string; readonly secret: string },
  place: { readonly key: string; readonly name: string },
  roles: readonly Role[] | null = null,
) {
  const right = beginTry(on, [`person:${personId}`, place.key]);
  const person = personById(on, personId);
  const is = await isSecret(person && !person.leftAt ? secretOf(on, personId) : null, secret);
  if (!person || !is || (roles && !roles.includes(person.role))) {
    note(
      { name: person?.name ?? 'Somebody', tablet: place.name },
      'sign-in',
      'Wrong PIN or password',
      {
        on,
      },
    );
    throw wrong('That is not the PIN or password. Try again.', '/secret');
  }
  right();
  return person;
}

/** Signs somebody in at a tablet that is known; whoever was there is signed out. */
export async function signIn(asker: Asker, body: unknown, on: Db = db()): Promise<Signed<Door>> {
  const checked = checkSignIn(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { tablet } = asker;
  if (!tablet) throw notKnown();
  const person = await prove(on, checked.value, { key: `tablet:${tablet.id}`, name: tablet.name });
  return on.transaction(() => begun(asker, { person, tablet }, on)).immediate();
}

function begun(
  asker: Asker,
  {
    person,
    tablet,
  }: { person: { id: string; name: string; role: Role }; tablet: { id: string; name: string } },
  on: Db,
): Signed<Door> {
  const session = newToken();
  beginSession(on, {
    hash: digest(session),
    mark: digest(markOf(session)),
    tabletId: tablet.id,
    personId: person.id,
    at: nowIso(),
  });
  note({ name: person.name, tablet: tablet.name }, 'sign-in', 'Signed in', { on });
  const by = { name: person.name, role: person.role, rights: [], tablet: tablet.name };
  return {
    body: doorOf({ ...asker, opened: true, tablet, by, personId: person.id }, on),
    kept: { session },
  };
}

/** Locks the tablet: nobody is signed in there any more. */
export function signOut({ by, tablet }: Asker, on: Db = db()): Signed<{ readonly locked: true }> {
  const lock = on.transaction(({ id }: { readonly id: string }) => {
    endSessions(on, { tabletId: id, at: nowIso() });
    if (by) note(by, 'sign-in', 'Locked', { on });
  });
  if (tablet) lock.immediate(tablet);
  return { body: { locked: true }, kept: { session: null } };
}

function makeKnown(on: Db, name: string, pairedBy: string) {
  const token = newToken();
  const at = nowIso();
  const tablet = { id: randomUUID(), name, pairedBy, pairedAt: at, seenAt: at };
  insertTablet(on, { ...tablet, token: digest(token) });
  note({ name: pairedBy, tablet: name }, 'people', `Tablet “${name}” paired`, { on });
  return { tablet, token };
}

/** Makes a browser known: by a code shown to the owner, or by an owner where the shop itself runs. */
export async function pair(asker: Asker, body: unknown, on: Db = db()): Promise<Signed<Door>> {
  const checked = checkPair(body);
  if (!checked.ok) throw invalid(checked.errors);
  const wanted = checked.value;
  if ('code' in wanted) {
    const right = beginTry(on, [`address:${asker.address}`]);
    const paired = on.transaction(() => {
      const madeBy = takePairing(on, digest(plainCode(wanted.code)), nowIso());
      if (!madeBy) return null;
      right();
      return makeKnown(on, wanted.name, madeBy);
    });
    const made = paired.immediate();
    if (!made)
      throw wrong(
        'That code is not known, or its ten minutes are over. The owner makes a new one.',
        '/code',
      );
    const { tablet, token } = made;
    return {
      body: doorOf({ ...asker, tablet, by: null, personId: null }, on),
      kept: { known: token, session: null },
    };
  }
  if (!asker.atMachine) throw notKnown();
  const place = { key: `address:${asker.address}`, name: wanted.name };
  const person = await prove(on, wanted, place, pairsHere(demoPins(on)));
  const known = on.transaction(() => {
    const { tablet, token } = makeKnown(on, wanted.name, person.name);
    const signed = begun(asker, { person, tablet }, on);
    return { ...signed, kept: { ...signed.kept, known: token } };
  });
  return known.immediate();
}

/**
 * Opens the shop to its first owner, who sits at the machine itself: from then on everybody signs in. Where an
 * owner can sign in already it is refused.
 */
export async function nameOwner(asker: Asker, body: unknown, on: Db = db()): Promise<Signed<Door>> {
  if (!asker.atMachine)
    throw new Problem(403, 'not-at-machine', 'Only at the machine itself', {
      detail: 'The first owner is named at the machine the shop runs on, and nowhere else.',
    });
  const checked = checkOwner(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { person: wanted, secret, tablet: name } = checked.value;
  const fault = secretFault(secret);
  if (fault) throw invalid([{ pointer: '/secret', detail: fault }]);
  const hash = await hashSecret(secret);
  const run = on.transaction(() => {
    if (hasOwner(on))
      throw new Problem(409, 'has-owner', 'The shop has an owner already', {
        detail: 'The shop has an owner already, who signs in.',
      });
    const id = 'id' in wanted ? wanted.id : randomUUID();
    const known = personById(on, id);
    if ('id' in wanted && (!known || known.leftAt))
      throw invalid([{ pointer: '/person/id', detail: 'is nobody who works here' }]);
    if ('name' in wanted) {
      if (nameTaken(on, wanted.name, id))
        throw invalid([{ pointer: '/person/name', detail: 'is written down already: choose it' }]);
      insertPerson(on, { id, name: wanted.name, role: 'owner', atBench: true, sinceAt: nowIso() });
    } else savePerson(on, { ...known!, role: 'owner' });
    saveSecret(on, id, hash);
    const person = personById(on, id)!;
    note({ name: person.name, tablet: name }, 'people', `${person.name} became the owner`, { on });
    const { tablet, token } = makeKnown(on, name, person.name);
    const signed = begun(asker, { person, tablet }, on);
    return { ...signed, kept: { ...signed.kept, known: token } };
  });
  return run.immediate();
}

/** Another PIN for oneself, with the old one. */
export async function changeOwnSecret(asker: Asker, body: unknown, on: Db = db()) {
  const checked = checkOwnSecret(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { by, personId, tablet } = asker;
  if (!by || !personId || !tablet) throw notKnown();
  const { old, secret } = checked.value;
  const fault = secretFault(secret);
  if (fault) throw invalid([{ pointer: '/secret', detail: fault }]);
  await prove(
    on,
    { personId, secret: old },
    { key: `tablet:${tablet.id}`, name: tablet.name },
  ).catch((error: unknown) => {
    throw error instanceof Problem && error.reason === 'wrong-secret'
      ? wrong('That is not the old PIN or password.', '/old')
      : error;
  });
  const hash = await hashSecret(secret);
  on.transaction(() => {
    saveSecret(on, personId, hash);
    note(by, 'people', 'Another PIN or password of their own', { on });
  }).immediate();
  return { changed: true };
}
