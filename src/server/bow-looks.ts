import { BOW_FORMAT, readBowFile, writeBowFile, type BowFile } from '@/contracts/bow-csv';
import { rowChange, type RowChange } from '@/contracts/csv';
import { bowName } from '@/core/bow';
import { db, type Db } from '@/data/db';
import { shopSettings } from '@/data/settings';
import { allBows, bowById } from '@/data/stock';

interface BowLook extends BowFile {
  readonly added: number;
  readonly changed: number;
  readonly same: number;
  /** Every row that would be added or changed. */
  readonly rows: readonly RowChange[];
}

/** What a bow file would do; nothing is saved. */
export function lookAtBows(text: string, from: Db = db()): BowLook {
  const file = readBowFile(text);
  const { units } = shopSettings(from);
  const count = { added: 0, changed: 0, same: 0 };
  const rows: RowChange[] = [];
  for (const { bow } of file.bows) {
    const row = rowChange(BOW_FORMAT, bowById(from, bow.id), bow, bowName(bow), units);
    count[!row ? 'same' : row.isNew ? 'added' : 'changed']++;
    if (row) rows.push(row);
  }
  return { ...file, ...count, rows };
}

export const bowsFile = (from: Db = db()): string => writeBowFile(allBows(from));
