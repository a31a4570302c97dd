import type { SheetPaper, SheetPhoto } from './sheet-document';

/** A cell of a table of the sheet. */
export interface SheetCell {
  readonly text: string;
  readonly as?: 'strong' | 'figure' | 'soft';
  readonly right?: true;
}

/** A table, or papers beside one another: what page and paper are both drawn from. */
export interface SheetBlock {
  readonly id: string;
  readonly title: string;
  /** Widths of its columns, as parts of the page. */
  readonly parts: readonly number[];
  readonly rows: readonly (readonly SheetCell[])[];
  readonly papers?: readonly SheetPaper[];
  readonly photos?: readonly SheetPhoto[];
  /** Under it. */
  readonly note?: string;
}

export const cell = (text: string, as?: SheetCell['as'], right?: true): SheetCell => ({
  text,
  ...(as ? { as } : {}),
  ...(right ? { right } : {}),
});

export function block(
  id: string,
  title: string,
  parts: readonly number[],
  rows: readonly (readonly SheetCell[])[],
  more: Pick<SheetBlock, 'papers' | 'photos' | 'note'> = {},
): SheetBlock | null {
  const isEmpty = rows.length === 0 && !more.papers?.length && !more.photos?.length && !more.note;
  return isEmpty ? null : { id, title, parts, rows, ...more };
}

export const listBlock = (id: string, title: string, lines: readonly string[]) =>
  block(
    id,
    title,
    [1],
    lines.map((line) => [cell(line)]),
  );
