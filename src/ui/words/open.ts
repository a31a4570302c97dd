import { frame } from './frame';

/** Words of a place where no shop stands yet. */
export const openWords = {
  brand: frame.brand,
  title: 'There is no shop here yet',
  says: (path: string) =>
    `Nothing stands at ${path}. Is it another file, or a disk that is not there? Then stop the program and name the right one.`,
  fresh: 'Open a new shop',
  working: 'Working …',
  restore: 'Or put back one that was kept:',
  madeAt: (at: string) => `${at.slice(0, 10)} ${at.slice(11, 16)} UTC`,
  put: 'Put it in place',
  noBackups: (folder: string | null) =>
    folder === null ? 'Backups are off.' : `There is no backup in ${folder}.`,
  file: 'File of a backup or an export on this machine',
  fileHint: 'Its whole path: a backup (.sqlite) or everything taken out (.zip).',
  fileMissing: 'Type the path of the file.',
} as const;
