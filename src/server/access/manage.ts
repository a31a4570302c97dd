import { randomUUID } from 'node:crypto';
import { checker } from '@/contracts/ajv';
import { NewPerson, NewProgram, PersonChange, TabletChange } from '@/contracts/people';
import {
  roleOf,
  secretFault,
  type By,
  type Person,
  type Program,
  type Tablet,
} from '@/core/people';
import { db, type Db } from '@/data/db';
import {
  hasOwner,
  insertPerson,
  nameTaken,
  peopleOf,
  personById,
  savePerson,
  saveSecret,
} from '@/data/people';
import { endProgram, insertProgram, programsOf } from '@/data/programs';
import {
  endPerson,
  putPairing,
  renameTablet,
  sendAway,
  tabletById,
  tabletsOf,
} from '@/data/tablets';
import { saveShopSettings, shopSettings } from '@/data/settings';
import { now, nowIso } from '../clock';
import { invalid, notFound, Problem } from '../problem';
import { note } from './note';
import { digest, hashSecret, newCode, newToken, plainCode } from './secrets';

/** Everything an owner looks after. */
interface Managed {
  readonly people: readonly Person[];
  readonly tablets: readonly Tablet[];
  readonly programs: readonly Program[];
}

export const managed = (on: Db = db()): Managed => ({
  people: peopleOf(on, { left: true }),
  tablets: tabletsOf(on),
  programs: programsOf(on),
});

const checkNew = checker(NewPerson);
const checkChange = checker(PersonChange);
const checkTablet = checker(TabletChange);
const checkProgram = checker(NewProgram);

/** More than any shop has. */
const MOST_PEOPLE = 100;

async function hashOf(secret: string | undefined): Promise<string | null> {
  if (secret === undefined) return null;
  const fault = secretFault(secret);
  if (fault) throw invalid([{ pointer: '/secret', detail: fault }]);
  return hashSecret(secret);
}

const taken = (on: Db, name: string, id: string) => {
  if (nameTaken(on, name, id))
    throw invalid([
      {
        pointer: '/name',
        detail: `is somebody’s already: old entries speak of them, so two have two names`,
      },
    ]);
};

/** Somebody who works here from now on. */
export async function addPerson(by: By, body: unknown, on: Db = db()): Promise<Managed> {
  const checked = checkNew(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { secret, ...person } = checked.value;
  const hash = await hashOf(secret);
  on.transaction(() => {
    const id = randomUUID();
    taken(on, person.name, id);
    if (peopleOf(on, { left: true }).length >= MOST_PEOPLE)
      throw invalid([{ pointer: '', detail: `at most ${MOST_PEOPLE} people are possible` }]);
    insertPerson(on, { ...person, id, sinceAt: nowIso() });
    if (hash) saveSecret(on, id, hash);
    note(by, 'people', `${person.name} works here as ${roleOf(person.role).name.toLowerCase()}`, {
      on,
    });
  }).immediate();
  return managed(on);
}

const lastOwner = () =>
  new Problem(422, 'last-owner', 'Somebody must own the shop', {
    detail: 'Nobody else who can sign in is the owner. Give somebody else that role first.',
    errors: [{ pointer: '/role', detail: 'is the last owner’s' }],
  });

/** Another name, role or PIN, or the end of somebody's work here. The last owner stays one. */
export async function changePerson(
  by: By,
  id: string,
  body: unknown,
  on: Db = db(),
): Promise<Managed> {
  const checked = checkChange(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { secret, left, ...change } = checked.value;
  const hash = await hashOf(secret);
  on.transaction(() => {
    const was = personById(on, id);
    if (!was) throw notFound('person');
    const leftAt = left === undefined ? was.leftAt : left ? (was.leftAt ?? nowIso()) : null;
    const is: Person = { ...was, ...change, leftAt };
    if (change.name !== undefined) taken(on, change.name, id);
    savePerson(on, is);
    if (is.name !== was.name) renameHours(on, was.name, is.name);
    if (hash) saveSecret(on, id, hash);
    if (!hasOwner(on)) throw lastOwner();
    // Who has another role, or is gone, signs in anew.
    if (is.role !== was.role || is.leftAt || hash) endPerson(on, { personId: id, at: nowIso() });
    note(by, 'people', changeText(was, is, hash !== null), { on });
  }).immediate();
  return managed(on);
}

/** Working hours stand under the name. */
function renameHours(on: Db, from: string, to: string): void {
  const { people: _people, ...shop } = shopSettings(on);
  const { [from]: week, ...others } = shop.hours;
  if (week) saveShopSettings(on, { ...shop, hours: { ...others, [to]: week } });
}

function changeText(was: Person, is: Person, secret: boolean): string {
  const said = [
    was.name === is.name ? '' : `is now called ${is.name}`,
    was.role === is.role ? '' : `is now ${roleOf(is.role).name.toLowerCase()}`,
    was.atBench === is.atBench ? '' : is.atBench ? 'is planned at the bench' : 'is planned no more',
    secret ? 'was given another PIN or password' : '',
    was.leftAt === is.leftAt ? '' : is.leftAt ? 'works here no longer' : 'works here again',
  ].filter(Boolean);
  return said.length === 0 ? `${was.name}: as before` : `${was.name} ${said.join(', ')}`;
}

const PAIRING_MIN = 10;

/** A code for one tablet, told this once. */
export function makePairing(
  by: By,
  on: Db = db(),
): { readonly code: string; readonly endsAt: string } {
  const code = newCode();
  const at = nowIso();
  const endsAt = new Date(now().getTime() + PAIRING_MIN * 60_000).toISOString();
  on.transaction(() => {
    putPairing(on, { hash: digest(plainCode(code)), madeBy: by.name, endsAt }, at);
    note(by, 'people', 'A code to pair a tablet was made', { on });
  }).immediate();
  return { code, endsAt };
}

export function changeTablet(by: By, id: string, body: unknown, on: Db = db()): Managed {
  const checked = checkTablet(body);
  if (!checked.ok) throw invalid(checked.errors);
  on.transaction(() => {
    const was = tabletById(on, id);
    if (!was) throw notFound('tablet');
    renameTablet(on, id, checked.value.name);
    note(by, 'people', `Tablet “${was.name}” is now called “${checked.value.name}”`, { on });
  }).immediate();
  return managed(on);
}

/** The tablet is known no longer; whoever is at it is signed out at once. */
export function dismissTablet(by: By, id: string, on: Db = db()): Managed {
  on.transaction(() => {
    const was = tabletById(on, id);
    if (!was) throw notFound('tablet');
    if (was.sentAwayAt) return;
    sendAway(on, id, nowIso());
    note(by, 'people', `Tablet “${was.name}” sent away`, { on });
  }).immediate();
  return managed(on);
}

/** A token for another program, told this once. Nobody gives what they have not. */
export function addProgram(
  by: By,
  body: unknown,
  on: Db = db(),
): Managed & { readonly token: string } {
  const checked = checkProgram(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { name, rights } = checked.value;
  const missing = rights.find((right) => !by.rights.includes(right));
  if (missing)
    throw invalid([{ pointer: '/rights', detail: `holds “${missing}”, which you have not` }]);
  const token = `wr-${newToken()}`;
  on.transaction(() => {
    insertProgram(on, {
      id: randomUUID(),
      name,
      rights: [...new Set(['look' as const, ...rights])],
      madeBy: by.name,
      madeAt: nowIso(),
      token: digest(token),
    });
    note(by, 'people', `Program “${name}” may ask: ${rights.join(', ')}`, { on });
  }).immediate();
  return { ...managed(on), token };
}

export function dismissProgram(by: By, id: string, on: Db = db()): Managed {
  on.transaction(() => {
    const was = programsOf(on).find((program) => program.id === id);
    if (!was) throw notFound('program');
    if (endProgram(on, id, nowIso()))
      note(by, 'people', `Program “${was.name}” may ask no longer`, { on });
  }).immediate();
  return managed(on);
}
