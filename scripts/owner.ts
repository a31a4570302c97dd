import { existsSync } from 'node:fs';
import { addAudit } from '@/data/audit';
import { dbPath, openDb } from '@/data/db';
import { peopleOf, saveSecret } from '@/data/people';
import { beAlone } from '@/data/presence';

/**
 * npm run owner: takes the owners' PINs away, for when the last one was forgotten. The page at the machine itself
 * asks for the owner again. Not while the shop is open.
 */
const stop = (text: string): never => {
  console.error(text);
  process.exit(1);
};

const path = dbPath();
if (!existsSync(path)) stop(`There is no shop at ${path}.`);
const alone = beAlone(path);
if (!alone) stop(`The shop is open: stop the program that serves ${path} first.`);
const db = openDb(path);
const owners = peopleOf(db).filter(({ role }) => role === 'owner');
db.transaction(() => {
  for (const { id } of owners) saveSecret(db, id, null);
  addAudit(db, {
    at: new Date().toISOString(),
    who: 'At the machine',
    tablet: '',
    kind: 'people',
    what: `Owners’ PINs taken away: ${owners.map(({ name }) => name).join(', ') || 'none'}`,
  });
})();
db.close();
alone!.leave();
console.log(
  `Done. Start the shop and open it at this machine: it asks who the owner is (${owners.map(({ name }) => name).join(', ') || 'nobody yet'}), and for a new PIN.`,
);
