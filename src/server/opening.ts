import { existsSync } from 'node:fs';
import { basename, isAbsolute } from 'node:path';
import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { backupsIn, checkFile, putBackup } from '@/data/backup';
import { backupFolder, db, dbPath } from '@/data/db';
import { hasShop } from '@/data/no-shop';
import { NotTaken, readWhole } from '@/data/whole-read';
import type { Asker } from './access/asker';
import { note } from './access/note';
import { offered, type OfferedBackup } from './backups';
import { newShop } from './new-shop';
import { shopIsHere } from './open-shop';
import { invalid, Problem } from './problem';

/** Nothing stands there yet, and who asks sits at the machine itself. */
export const isOpenable = ({ atMachine }: Asker): boolean => atMachine && !hasShop(dbPath());

/** What an empty place can become. */
interface Opening {
  readonly path: string;
  /** Null where backups are off. */
  readonly folder: string | null;
  readonly backups: readonly OfferedBackup[];
}

export function openingOf(): Opening {
  const folder = backupFolder();
  return {
    path: dbPath(),
    folder,
    backups: offered(folder === null ? [] : backupsIn(folder)),
  };
}

const Wish = Type.Union([
  Type.Object({ how: Type.Literal('new') }, { additionalProperties: false }),
  Type.Object(
    { how: Type.Literal('backup'), name: Type.String({ maxLength: 100 }) },
    { additionalProperties: false },
  ),
  Type.Object(
    { how: Type.Literal('file'), path: Type.String({ minLength: 1, maxLength: 1000 }) },
    { additionalProperties: false },
  ),
]);
const check = checker(Wish);

const notTaken = (detail: string, pointer = '/path') =>
  new Problem(422, 'not-taken', 'It was not taken', { detail, errors: [{ pointer, detail }] });

/** The file of a backup that is offered, or of one named by who sits there. */
function sourceOf(wish: { how: 'backup'; name: string } | { how: 'file'; path: string }): string {
  if (wish.how === 'backup') {
    const folder = backupFolder();
    const found = folder && backupsIn(folder).find(({ name }) => name === basename(wish.name));
    if (!found) throw notTaken('There is no such backup any more.', '/name');
    return found.path;
  }
  const path = wish.path.trim();
  if (!isAbsolute(path) || !existsSync(path))
    throw notTaken('There is no such file on this machine. Give its whole path, from / on.');
  return path;
}

function restore(from: string): void {
  try {
    if (from.toLowerCase().endsWith('.zip')) return void readWhole(from, dbPath());
    const found = checkFile(from);
    if (!found.ok) throw new NotTaken(`It is not whole: ${found.faults.join(' ')}`);
    putBackup(from, dbPath());
  } catch (error) {
    throw notTaken(error instanceof Error ? error.message : String(error));
  }
}

/**
 * Opens a new shop where there is none, or puts a backup or an export there: at the machine itself alone.
 * Nobody is served meanwhile, so nobody waits for it.
 */
export function openHere({ atMachine }: Asker, body: unknown): { readonly opened: true } {
  if (!atMachine)
    throw new Problem(403, 'not-at-machine', 'Only at the machine itself', {
      detail: 'A shop is opened at the machine it runs on, and nowhere else.',
    });
  const checked = check(body);
  if (!checked.ok) throw invalid(checked.errors);
  if (hasShop(dbPath()))
    throw new Problem(409, 'has-shop', 'There is a shop already', {
      detail: 'There is a shop already: load the page again.',
    });
  const wish = checked.value;
  if (wish.how === 'new') newShop();
  else restore(sourceOf(wish));
  db();
  shopIsHere();
  note(
    { name: 'Nobody yet', tablet: 'This machine' },
    'out',
    wish.how === 'new' ? 'A new shop was opened' : `Restored from ${basename(sourceOf(wish))}`,
  );
  return { opened: true };
}
