import { db, type Db } from '@/data/db';
import { backupState } from './backups';
import { nowIso } from './clock';
import { sickOf, sicknessOf, sickProblem } from './sick';

/** What a supervisor asks: whether the shop’s file can be read and written, and how old its backup is. */
export function health(open: () => Db = db) {
  try {
    const on = open();
    // A write that changes nothing: a full disk or a file that may only be read shows itself.
    on.transaction(() =>
      on.prepare("UPDATE touched SET times = times WHERE what = 'shop'").run(),
    ).immediate();
  } catch (error) {
    throw sickProblem(sicknessOf(error) ?? sickOf('not-opened'));
  }
  return { ok: true, at: nowIso(), backupAgeDays: backupState().ageDays };
}
