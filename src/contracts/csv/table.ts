import Papa from 'papaparse';
import type { ShopUnits } from '@/core/units';
import { MOST_FAULTS } from '../faults';
import { text, type CellKind } from './cells';
import { cellsOf } from './file-cells';

/** One column of a file: where its value stands in the record, and how it is written. */
export interface Column<R> {
  readonly header: string;
  /** What stands in it, for the form and the format's page. */
  readonly name: string;
  readonly about: string;
  readonly kind: CellKind<unknown>;
  /** A file without this column is refused. */
  readonly required: boolean;
  readonly example: string;
  readonly get: (record: R) => unknown;
  readonly put: (draft: Draft, value: unknown) => void;
}

/** A record while its cells are read one by one. */
export type Draft = Record<string, unknown>;

/** Where a file is wrong; line 1 is the header, column empty for the whole row. */
export interface RowFault {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}
export type Fault = Omit<RowFault, 'line'>;

export interface TableFormat<R> {
  readonly columns: readonly Column<R>[];
  /** An empty record, for what is not read from a column. */
  readonly blank: () => Draft;
  /** What single cells cannot tell: figures of one row that contradict each other. */
  readonly faults: (record: R) => readonly Fault[];
  readonly idOf: (record: R) => string;
}

export interface Table<R> {
  readonly rows: readonly { readonly line: number; readonly record: R }[];
  /** The first of them, `MOST_FAULTS` of a file at most. */
  readonly faults: readonly RowFault[];
  /** Of all faults, those told and those not. */
  readonly faultCount: number;
}

/** A header that does not do, or a file of another kind: one fault and no rows. */
export const refusedTable = (fault: RowFault): Table<never> => ({
  rows: [],
  faults: [fault],
  faultCount: 1,
});

/** Longest cell read, letters. */
const CELL_LIMIT = 2000;

/** A column as a shop's own screens have it: its measures in the shop's units. */
export function inShopUnits<R>(column: Column<R>, shop: ShopUnits): Column<R> {
  const kind = column.kind.inUnits?.(shop);
  if (!kind) return column;
  const value = column.kind.read(column.example);
  return {
    ...column,
    kind,
    // "Brace height, in" is what the file's column is called.
    name: `${column.name.replace(/, (in|lb|gr|fps)$/, '')}, ${kind.unit}`,
    example: value.ok ? kind.write(value.value) : column.example,
  };
}

/** Why a header does not do; null when it does. */
export function headerFault<R>(
  headers: readonly string[],
  { columns }: TableFormat<R>,
): RowFault | null {
  const known = columns.map(({ header }) => header);
  const fault = (message: string, column = '') => ({ line: 1, column, message });
  const missing = columns.filter(({ header, required }) => required && !headers.includes(header));
  if (missing.length > 0) {
    const one = headers.length === 1 ? ' Between columns stands a comma, semicolon or tab.' : '';
    return fault(
      `The header lacks ${missing.map(({ header }) => header).join(', ')}.${one} The columns are described on the format’s page.`,
    );
  }
  const strange = headers.find((header) => header !== '' && !known.includes(header));
  if (strange) return fault('is not a column known here', strange.slice(0, 60));
  const twice = headers.find((header, i) => header !== '' && headers.indexOf(header) !== i);
  return twice ? fault('stands in the header twice', twice) : null;
}

export const headersOf = (row: readonly string[]) => row.map((cell) => cell.trim().toLowerCase());

/** Reads rows one after another, in as many pieces as one likes; ids are kept between them. */
export class RowReader<R> {
  /** The columns of the format, each with its place in the file; -1 where it is left out. */
  private readonly columns: readonly { readonly column: Column<R>; readonly at: number }[];
  private readonly width: number;
  private readonly seen = new Map<string, number>();
  private line: number;
  /** Faults told so far, of all pieces. */
  private told = 0;

  constructor(
    private readonly format: TableFormat<R>,
    headerRow: readonly string[],
  ) {
    const headers = headersOf(headerRow);
    this.columns = format.columns.map((column) => ({
      column,
      at: headers.indexOf(column.header),
    }));
    this.width = headers.length;
    this.line = 2 + newlines(headerRow);
  }

  /**
   * Reads these rows. A row with a fault is left out and every fault of it is named; an empty row
   * is passed over.
   */
  read(rows: readonly (readonly string[])[]): Table<R> {
    const good: { line: number; record: R }[] = [];
    const faults: RowFault[] = [];
    let faultCount = 0;
    for (const cells of rows) {
      const line = this.line;
      this.line += 1 + newlines(cells);
      if (cells.every((cell) => cell.trim() === '')) continue;
      const { record, wrong } = this.readRow(cells);
      const id = this.format.idOf(record);
      const before = id ? this.seen.get(id) : undefined;
      if (before !== undefined)
        wrong.push({ column: 'id', message: `“${id}” stands in line ${before} already` });
      else if (id) this.seen.set(id, line);
      if (wrong.length === 0) good.push({ line, record });
      faultCount += wrong.length;
      const told = wrong.slice(0, MOST_FAULTS - this.told);
      this.told += told.length;
      for (const fault of told) faults.push({ line, ...fault });
    }
    return { rows: good, faults, faultCount };
  }

  private readRow(cells: readonly string[]): { record: R; wrong: Fault[] } {
    const wrong: Fault[] = [];
    const draft = this.format.blank();
    if (cells.length > this.width)
      wrong.push({
        column: '',
        message: `has ${cells.length} cells for ${this.width} columns`,
      });
    for (const { column, at } of this.columns) {
      const answer = readCell(column, at < 0 ? '' : (cells[at] ?? ''));
      if (answer.ok) column.put(draft, answer.value);
      else wrong.push({ column: column.header, message: answer.message });
    }
    const record = draft as R;
    if (wrong.length === 0) wrong.push(...this.format.faults(record));
    return { record, wrong };
  }
}

/** A quoted cell may run over lines; the line told is the one the row starts in. */
const newlines = (cells: readonly string[]) =>
  cells.reduce((sum, cell) => sum + (cell.match(/\n/g)?.length ?? 0), 0);

export function readCell<R>(column: Column<R>, cell: string) {
  if (cell.length > CELL_LIMIT)
    return {
      ok: false as const,
      message: `has ${cell.length} letters; a cell holds at most ${CELL_LIMIT}`,
    };
  return column.kind.read(asWritten(cell.trim()));
}

/**
 * A whole file at once; a header that does not do, or more rows than `mostRows`, is one fault at line 1
 * and no rows.
 */
export function readTable<R>(text: string, format: TableFormat<R>, mostRows = Infinity): Table<R> {
  if (text.trim() === '')
    return refusedTable({ line: 1, column: '', message: 'The file is empty.' });
  const [header = [], ...rows] = cellsOf(text);
  const wrong = headerFault(headersOf(header), format);
  if (wrong) return refusedTable(wrong);
  // The last line ends with a line break as a rule, which is no row.
  if (rows.length > mostRows + 1)
    return refusedTable({
      line: 1,
      column: '',
      message: `The file has ${rows.length} rows; at most ${mostRows}. Split it.`,
    });
  return new RowReader(format, header).read(rows);
}

export const writeCell = <R>(column: Column<R>, record: R): string =>
  column.kind.write(column.get(record));

/**
 * What a table program would calculate, as a name that begins with = would be; a plain number, or a place of
 * three, is none.
 */
export const FORMULA = /^(?![-+]?[\d.,/-]+$)[=+\-@\t\r].*$/s;

/** A cell as it was before it was kept from being a formula. */
const asWritten = (cell: string) => cell.replace(/^'(?=[=+\-@\t\r])/, '');

/** Records as a file that reads back to the same. */
export const writeTable = <R>(records: readonly R[], { columns }: TableFormat<R>): string =>
  `${Papa.unparse(
    {
      fields: columns.map(({ header }) => header),
      data: records.map((record) => columns.map((column) => writeCell(column, record))),
    },
    { newline: '\n', escapeFormulae: FORMULA },
  )}\n`;

/** One record from a form: every cell as typed, read as in a file. */
export function readForm<R>(
  cells: Readonly<Record<string, string>>,
  format: TableFormat<R>,
): { readonly record: R; readonly faults: readonly Fault[] } {
  const draft = format.blank();
  const faults: Fault[] = [];
  for (const column of format.columns) {
    const answer = readCell(column, cells[column.header] ?? '');
    if (answer.ok) column.put(draft, answer.value);
    else faults.push({ column: column.header, message: answer.message });
  }
  const record = draft as R;
  if (faults.length === 0) faults.push(...format.faults(record));
  return { record, faults };
}

export interface Merged {
  readonly cells: Readonly<Record<string, string>>;
  /** What another screen changed to something else, with what stands there now. */
  readonly clashes: readonly (Fault & { readonly now: string })[];
}

/**
 * Cells of a form laid over a record that another screen may have changed meanwhile: what only one of
 * the two changed is kept, what both changed differently is told.
 *
 * @param seen the cells as they stood when the form was opened; without them the form speaks alone.
 */
export function mergeCells<R>(
  { columns }: Pick<TableFormat<R>, 'columns'>,
  current: R,
  cells: Readonly<Record<string, string>>,
  seen: Readonly<Record<string, string>> | undefined,
): Merged {
  if (!seen) return { cells, clashes: [] };
  const merged = { ...cells };
  const clashes: (Fault & { now: string })[] = [];
  for (const column of columns) {
    const { header } = column;
    const [now, was, mine] = [writeCell(column, current), seen[header], cells[header]];
    if (was === undefined || mine === undefined || now === was || now === mine) continue;
    if (mine === was) merged[header] = now;
    else
      clashes.push({
        column: header,
        now,
        message: `was changed meanwhile from “${was}” to “${now}”: save once more to put “${mine}” in its place`,
      });
  }
  return { cells: merged, clashes };
}

/** The lines of a format's page that describe its columns. */
export const columnLines = <R>({ columns }: Pick<TableFormat<R>, 'columns'>): string[] =>
  columns.map(
    ({ header, about, kind, required, example }) =>
      `- \`${header}\`${required ? '' : ' (may be left out)'}: ${about}. ${capital(kind.says)}. For example \`${example}\`.`,
  );

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

const IDENTIFIER = text(60);

/** An identifier as a file would say it; null where it could not. */
export function plainId(typed: string): string | null {
  const cell = IDENTIFIER.read(typed);
  return cell.ok ? cell.value : null;
}
