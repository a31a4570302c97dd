/** What somebody may be asked for before it is done. */
export type Right =
  | 'look'
  | 'enter'
  | 'sign'
  | 'price'
  | 'stock'
  | 'settings'
  | 'people'
  | 'export'
  | 'restore'
  | 'erase';

export type Role = 'owner' | 'technician' | 'counter' | 'learner';

interface RightEntry {
  readonly id: Right;
  /** As it ends "May …". */
  readonly name: string;
}

/** In the order a settings page names them. */
export const RIGHTS: readonly RightEntry[] = [
  { id: 'look', name: 'see jobs, stock and calendar' },
  { id: 'enter', name: 'open jobs and make entries' },
  { id: 'sign', name: 'sign off steps and hand bows over' },
  { id: 'price', name: 'give quotes, change prices and take payments' },
  { id: 'stock', name: 'correct stock, take in files and order' },
  { id: 'settings', name: 'change the shop’s settings' },
  { id: 'people', name: 'manage people, tablets and programs, and read what was done' },
  { id: 'export', name: 'back up, and take everything out' },
  { id: 'restore', name: 'put a backup back' },
  { id: 'erase', name: 'show and erase what is known of a person' },
];

interface RoleEntry {
  readonly id: Role;
  readonly name: string;
  /** As it begins a sentence: "A learner". */
  readonly one: string;
  readonly rights: readonly Right[];
}

/** Who may do what. Shop rule of the house: a role is what somebody is trusted with, not a rank. */
export const ROLES: readonly RoleEntry[] = [
  {
    id: 'owner',
    name: 'Owner',
    one: 'The owner',
    rights: RIGHTS.map(({ id }) => id),
  },
  {
    id: 'technician',
    name: 'Technician',
    one: 'A technician',
    rights: ['look', 'enter', 'sign', 'price', 'stock'],
  },
  {
    id: 'counter',
    name: 'Counter',
    one: 'Who works at the counter',
    rights: ['look', 'enter', 'price', 'stock'],
  },
  { id: 'learner', name: 'Learner', one: 'A learner', rights: ['look', 'enter'] },
];

export const roleOf = (id: Role): RoleEntry => ROLES.find((role) => role.id === id)!;

export const rightsOf = (role: Role): readonly Right[] => roleOf(role).rights;

const rightName = (right: Right): string => RIGHTS.find(({ id }) => id === right)!.name;

/** Somebody of the shop, as far as a refusal names them. */
interface Colleague {
  readonly name: string;
  readonly role: Role;
}

/** Names in a row: "Ann", "Ann or Bo", "Ann, Bo or Cy". */
const oneOf = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)!}`;

/** More names than these help nobody. */
const MOST_NAMED = 3;

/**
 * Why somebody may not, and who can.
 *
 * @param colleagues who works here now; those who may are named, the first three of them.
 */
export function refusalOf(
  right: Right,
  role: Role | null,
  colleagues: readonly Colleague[],
): string {
  const one = role === null ? 'This program' : roleOf(role).one;
  const can = colleagues.filter((other) => rightsOf(other.role).includes(right));
  const named = can
    .slice(0, MOST_NAMED)
    .map(({ name, role: theirs }) => `${name} (${roleOf(theirs).name.toLowerCase()})`);
  return `${one} may not ${rightName(right)}. ${
    named.length === 0
      ? 'Nobody here may: the owner gives somebody the role.'
      : `${oneOf(named)} can: change the person at the top, what is typed stays.`
  }`;
}
