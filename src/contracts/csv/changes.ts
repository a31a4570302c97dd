import type { ShopUnits } from '@/core/units';
import { inShopUnits, writeCell, type Column, type TableFormat } from './table';

/** One cell a file would change. */
export interface CellChange {
  /** Name of the column. */
  readonly column: string;
  readonly before: string;
  readonly after: string;
}

/** A row a file would add or change. */
export interface RowChange {
  readonly id: string;
  readonly name: string;
  /** No record of that id stands there yet. */
  readonly isNew: boolean;
  /** Of a new row its price; of a known one everything that differs. */
  readonly changes: readonly CellChange[];
  /** Its price moves by more than a third: looked at one by one. */
  readonly jump: boolean;
}

/** What a list put aside would change, a page of it. */
export interface ImportLook {
  readonly importId: string;
  readonly added: number;
  readonly changed: number;
  readonly same: number;
  /** Rows whose price moves by more than a third, the first of them; taken only one by one. */
  readonly jumps: readonly RowChange[];
  readonly jumpCount: number;
  /** The other rows that would be added or changed, a page of them. */
  readonly rows: readonly RowChange[];
  readonly rowCount: number;
}

/** Whether a price moves by more than a third of what it was: a slip, or another currency. */
export const isPriceJump = (beforeCents: number, afterCents: number): boolean =>
  3 * Math.abs(afterCents - beforeCents) > beforeCents && beforeCents > 0;

interface Priced {
  readonly id: string;
  readonly priceCents: number;
}

/**
 * What taking a row of a file would change, cell by cell as files write them.
 *
 * @param known null for a row whose id is not known.
 * @param shop units the changes are shown in; the file's own where it is not said.
 * @returns null where nothing differs.
 */
export function rowChange<R extends Priced>(
  { columns }: Pick<TableFormat<R>, 'columns'>,
  known: R | null,
  next: R,
  name: string,
  shop?: ShopUnits,
): RowChange | null {
  const shown = (column: Column<R>) => (shop ? inShopUnits(column, shop) : column);
  const row = { id: next.id, name };
  if (known === null) {
    const price = columns.find(({ header }) => header === 'price_eur')!;
    const change = { column: price.name, before: '', after: writeCell(price, next) };
    return { ...row, isNew: true, changes: [change], jump: false };
  }
  const changes = columns.flatMap((column): CellChange[] => {
    if (writeCell(column, known) === writeCell(column, next)) return [];
    const as = shown(column);
    return [{ column: as.name, before: writeCell(as, known), after: writeCell(as, next) }];
  });
  if (changes.length === 0) return null;
  return { ...row, isNew: false, changes, jump: isPriceJump(known.priceCents, next.priceCents) };
}
