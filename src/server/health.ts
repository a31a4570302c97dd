import { db, type Db } from '@/data/db';
import { tryWriting } from '@/data/touched';
import { backupState } from './backups';
import { nowIso } from './clock';
import { sickOf, sicknessOf, sickProblem } from './sick';

/** What a supervisor asks: whether the shop’s file can be read and written, and how old its backup is. */
export function health(open: () => Db = db) {
  try {
    // A full disk or a file that may only be read shows itself.
    tryWriting(open());
  } catch (error) {
    throw sickProblem(sicknessOf(error) ?? sickOf('not-opened'));
  }
  return { ok: true, at: nowIso(), backupAgeDays: backupState().ageDays };
}
