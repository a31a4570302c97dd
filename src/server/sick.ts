import { dbPath } from '@/data/db';
import { ForeignFile, NewerFile } from '@/data/migrate';
import { NoShop } from '@/data/no-shop';
import { Problem } from './problem';

/** What is wrong with the shop’s file, and what to do about it. */
export interface Sickness {
  readonly kind:
    'no-shop' | 'newer' | 'foreign' | 'damaged' | 'read-only' | 'full' | 'locked' | 'not-opened';
  readonly title: string;
  readonly detail: string;
}

type Kind = Sickness['kind'];

/** By the beginning of what SQLite or the system call it. */
const KINDS: readonly (readonly [code: RegExp, kind: Kind])[] = [
  [/^SQLITE_(CORRUPT|NOTADB|IOERR_(SHORT_READ|CORRUPTFS))/, 'damaged'],
  [/^(SQLITE_(READONLY|PERM|AUTH)|EROFS|EACCES|EPERM)/, 'read-only'],
  [/^(SQLITE_(FULL|IOERR_WRITE|IOERR_FSYNC)|ENOSPC|EDQUOT|EFBIG)/, 'full'],
  [/^SQLITE_(BUSY|LOCKED|PROTOCOL)/, 'locked'],
  [/^(SQLITE_(CANTOPEN|IOERR)|ENOENT|ENOTDIR|EISDIR|EIO)/, 'not-opened'],
];

const TITLES: Readonly<Record<Kind, string>> = {
  'no-shop': 'There is no shop here yet',
  newer: 'The shop’s file is newer than this program',
  foreign: 'This file is no shop’s',
  damaged: 'The shop’s file is damaged',
  'read-only': 'The shop’s file may only be read',
  full: 'The disk is full',
  locked: 'Another program is writing in the shop’s file',
  'not-opened': 'The shop’s file cannot be opened',
};

const whatToDo: Readonly<Record<Kind, (path: string) => string>> = {
  'no-shop': () =>
    'It is opened, or restored from a backup, at the machine it runs on: there the page asks what to do.',
  newer: (path) =>
    `Start the newer program again, or name another file in WAFFENRAD_DB. ${path} was not touched.`,
  foreign: (path) =>
    `${path} is a database of something else and was not touched. Name the shop’s own file in WAFFENRAD_DB.`,
  damaged: (path) =>
    `Stop the program, keep ${path} as it is, and put the newest backup in its place: npm run restore. npm run check says what is wrong.`,
  'read-only': (path) =>
    `Let the user the program runs as write to ${path} and to its folder. What is kept there is whole.`,
  full: (path) =>
    `Make room on the disk of ${path}, then enter it again: what could not be saved was refused whole, and what was saved before stays.`,
  locked: (path) =>
    `Try again in a few seconds. If it stays so, another copy of the program or a tool has ${path} open: end it.`,
  'not-opened': (path) => `Is ${path} there, on a disk that answers, and may it be read?`,
};

export const sickOf = (kind: Kind, path = dbPath()): Sickness => ({
  kind,
  title: TITLES[kind],
  detail: whatToDo[kind](path),
});

/** What an error says of the shop’s file; null where it is of something else. */
export function sicknessOf(error: unknown, path = dbPath()): Sickness | null {
  if (error instanceof NoShop) return sickOf('no-shop', path);
  if (error instanceof NewerFile) return sickOf('newer', path);
  if (error instanceof ForeignFile) return sickOf('foreign', path);
  const code = (error as { code?: unknown } | null)?.code;
  if (typeof code !== 'string') return null;
  const kind = KINDS.find(([pattern]) => pattern.test(code))?.[1];
  return kind ? sickOf(kind, path) : null;
}

/** To whoever asked: 503, since it passes once the file is well again. */
export const sickProblem = ({ kind, title, detail }: Sickness): Problem =>
  new Problem(503, `file-${kind}`, title, {
    detail: `${title}. ${detail}`,
    ...(kind === 'locked' ? { retryAfterS: 1 } : {}),
  });
