const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;
const ago = (days: number) =>
  days === 0 ? 'less than a day old' : days === 1 ? 'a day old' : `${days} days old`;

/** Words of the backup: on the settings, and on Today when it is too old. */
export const backupWords = {
  title: 'Backup',
  off: 'Off here: no folder for backups was named when the program was started.',
  none: 'There is none yet.',
  newest: (days: number, bytes: number, count: number) =>
    `The newest is ${ago(days)}, ${megabytes(bytes)}; ${count === 1 ? 'it is the only one' : `${count} are kept`}.`,
  folder: (folder: string) => `Folder: ${folder}`,
  how: 'One is made every night, opened again and looked through. Of each of the last 7 days, 4 weeks and 12 months one stays. A folder on another disk is named with WAFFENRAD_BACKUPS; “npm run restore” brings one back.',
  wholeHow:
    'Everything that stands here, as open files in one ZIP: to keep, to move, to read without this program. PINs and tablets are not in it.',
  whole: 'Take everything out',
  make: 'Back up now',
  making: 'Writing …',
  tooOld: (days: number | null) =>
    days === null ? 'There is no backup of this shop yet.' : `The newest backup is ${ago(days)}.`,
  lookAt: 'Look at the settings',
} as const;
