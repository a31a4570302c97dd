import type { Role } from '@/core/people';
import type { Db } from '@/data/db';
import { insertPerson, saveSecret } from '@/data/people';
import { keepDemoPins } from '@/server/access/demo-pins';
import { hashSecret } from '@/server/access/secrets';

interface DemoPerson {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly atBench: boolean;
  readonly pin: string;
}

/** Who works in the boathouse. Invented, and their PINs are shown to whoever tries the shop. */
const DEMO_PEOPLE: readonly DemoPerson[] = [
  { id: 'okoro', name: 'T. Okoro', role: 'owner', atBench: true, pin: '2580' },
  { id: 'lindauer', name: 'M. Lindauer', role: 'technician', atBench: true, pin: '1379' },
  { id: 'sander', name: 'P. Sander', role: 'counter', atBench: false, pin: '4826' },
  { id: 'imhoff', name: 'J. Imhoff', role: 'learner', atBench: false, pin: '7193' },
];

/** Puts them in. */
export function seedPeople(db: Db, sinceAt: string): void {
  for (const { pin: _pin, ...person } of DEMO_PEOPLE) insertPerson(db, { ...person, sinceAt });
}

/** Gives each their PIN: from then on one signs in. */
export async function givePins(db: Db): Promise<void> {
  const hashes = await Promise.all(DEMO_PEOPLE.map(({ pin }) => hashSecret(pin)));
  DEMO_PEOPLE.forEach(({ id }, i) => saveSecret(db, id, hashes[i]!));
  keepDemoPins(db, Object.fromEntries(DEMO_PEOPLE.map(({ id, pin }) => [id, pin])));
}
