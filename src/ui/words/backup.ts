const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;
const many = (n: number, one: string, more: string) => `${n} ${n === 1 ? one : more}`;
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
  how: 'One is made every night, opened again and looked through. Of each of the last 7 days, 4 weeks and 12 months one stays. A folder on another disk is named with WAFFENRAD_BACKUPS.',
  wholeHow:
    'Everything that stands here, as open files in one ZIP: to keep, to move, to read without this program. PINs and tablets are not in it.',
  whole: 'Take everything out',
  make: 'Back up now',
  making: 'Writing …',
  putBackTitle: 'Put one back',
  putBackHow:
    'The shop stands as it stood then: jobs, stock, settings. Who works here, PINs and tablets, what was done and who was erased stay as they are now. What stands here now is backed up first.',
  putBack: 'Put back …',
  putBackOf: (when: string) => `Put back the backup of ${when}`,
  looking: 'Looking …',
  puttingBack: 'Putting it back …',
  holds: (jobs: number, readings: number, sheets: number) =>
    `It is whole and holds ${many(jobs, 'job', 'jobs')}, ${many(readings, 'reading', 'readings')} and ${many(sheets, 'build sheet', 'build sheets')}.`,
  goes: (entries: number, jobs: number) =>
    entries === 0
      ? 'No entry was made on a job since.'
      : `${many(entries, 'entry', 'entries')} on ${many(jobs, 'job', 'jobs')} ${entries === 1 ? 'was' : 'were'} made since and ${entries === 1 ? 'stands' : 'stand'} there no longer. ${entries === 1 ? 'It is' : 'They are'} kept in the backup made first.`,
  leave: 'Leave it as it is',
  putBackNow: 'Put it back',
  notAnswered: 'The program does not answer: nothing was changed. Try again.',
  tooOld: (days: number | null) =>
    days === null ? 'There is no backup of this shop yet.' : `The newest backup is ${ago(days)}.`,
  lookAt: 'Look at the settings',
} as const;
