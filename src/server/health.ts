import { db, type Db } from '@/data/db';
import { backupState } from './backups';
import { nowIso } from './clock';
import { Problem } from './problem';

/** What a supervisor asks: whether the shop’s file can be read and written, and how old its backup is. */
export function health(open: () => Db = db) {
  try {
    const on = open();
    // A write that changes nothing: a full disk or a file that may only be read shows itself.
    on.transaction(() =>
      on.prepare("UPDATE touched SET times = times WHERE what = 'shop'").run(),
    ).immediate();
  } catch (error) {
    throw new Problem(503, 'database', 'The shop’s file cannot be used', {
      detail: `${error instanceof Error ? error.message : String(error)} Is the disk full, the file read-only, damaged, or another program at it?`,
    });
  }
  return { ok: true, at: nowIso(), backupAgeDays: backupState().ageDays };
}
