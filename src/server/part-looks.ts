import { rowChange, type ImportLook, type RowChange } from '@/contracts/csv';
import { partFormat } from '@/contracts/part-csv';
import { partName, type AnyPart } from '@/core/kit';
import { db, type Db } from '@/data/db';
import { stagedPairs } from '@/data/part-imports';
import { allParts } from '@/data/stock';
import { supplierList } from '@/devices/stand-ins/supplier';
import { now } from './clock';
import { notFound } from './problem';

const ROWS_A_PAGE = 200;

/** What taking it would do, `ROWS_A_PAGE` rows from `offset` on; nothing is saved. */
export function lookAtImport(importId: string, on: Db = db(), offset = 0): ImportLook {
  const count = { added: 0, changed: 0, same: 0 };
  const [jumps, rows]: [RowChange[], RowChange[]] = [[], []];
  let [jumpCount, rowCount] = [0, 0];
  for (const { staged, known } of stagedPairs(on, importId)) {
    const row = rowChange(partFormat(staged.slot), known, staged, partName(staged));
    count[!row ? 'same' : row.isNew ? 'added' : 'changed']++;
    if (!row) continue;
    if (row.jump) {
      if (jumpCount++ < ROWS_A_PAGE) jumps.push(row);
    } else if (rowCount++ >= offset && rows.length < ROWS_A_PAGE) rows.push(row);
  }
  if (count.added + count.changed + count.same === 0) throw notFound('file');
  return { importId, ...count, jumps, jumpCount, rows, rowCount };
}

const WEEK_MS = 7 * 86_400_000;

/** A supplier's newest list; a stand-in makes it up from what the shop has. */
export function listOfSupplier(supplier: string, from: Db = db()): AnyPart[] {
  const edition = Math.floor(now().getTime() / WEEK_MS);
  return supplierList(allParts(from), supplier, edition);
}
