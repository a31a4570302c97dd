import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { clockText } from '@/core/calendar';
import type { By } from '@/core/people';
import { db } from '@/data/db';
import { shopSettings } from '@/data/settings';
import { note } from './access/note';
import { backupNamed, type BackupLook } from './backup-looks';
import { backUpToKeep, backupOnItsWay } from './backups';
import { nowIso, shopDay, shopMinutes } from './clock';
import { heavy } from './heavy';
import { invalid, Problem } from './problem';
import { isResting, resting, whileResting } from './resting';

/** What it is said to bring and to take: looked at before it is done. */
export const lookAtBackup = (name: string): Promise<BackupLook> => heavy('backupLook', name);

const check = checker(
  Type.Object(
    /** How many entries were said to go: another number by now is another decision. */
    { entriesSince: Type.Integer({ minimum: 0 }) },
    { additionalProperties: false },
  ),
);

interface PutBack {
  readonly name: string;
  /** The backup of what stood there. */
  readonly kept: string;
}

/** "2026-11-24 10:20" by the shop’s clock. */
function madeAt(at: string): string {
  const { timeZone } = shopSettings(db());
  return `${shopDay(timeZone, at)} ${clockText(shopMinutes(timeZone, at))}`;
}

/**
 * Puts a backup in the place of the running shop. What stands there is backed up before, while nobody else writes;
 * who may do what stays as it is now.
 */
export async function putBack(by: By, wanted: string, body: unknown): Promise<PutBack> {
  const checked = check(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { name, at: made } = backupNamed(wanted);
  const { since } = await lookAtBackup(name);
  if (since.entries !== checked.value.entriesSince)
    throw new Problem(409, 'more-since', 'More was entered meanwhile', {
      detail: `${since.entries} entries were made since this backup, not ${checked.value.entriesSince}. Look at it again.`,
    });
  if (isResting()) throw resting();
  return whileResting(async () => {
    await backupOnItsWay();
    const kept = await backUpToKeep();
    const stamp = { at: nowIso(), who: by.name, tablet: by.tablet };
    const when = madeAt(made);
    const summary = `Put back as it stood in the backup of ${when}`;
    await heavy('backupBack', name, kept, { ...stamp, summary });
    note(by, 'out', `Backup of ${when} put back; what stood there is kept as ${kept}`);
    return { name, kept };
  });
}
