import { isPartKind, PART_KINDS, type AnyPart, type PartKind } from '@/core/kit';
import {
  cellsOf,
  columnLines,
  headersOf,
  readTable,
  refusedTable,
  writeTable,
  type Table,
} from '../csv';
import { partFormat } from './format';

export * from './attr-columns';
export * from './format';
export * from './schema';

/** A catalogue of 50,000 rows is about 8 MB. */
export const PART_FILE_LIMIT = 60_000_000;
export const MOST_PART_ROWS = 100_000;

type KindFound =
  { readonly ok: true; readonly kind: PartKind } | { readonly ok: false; readonly message: string };

/** Of which slot a file is, by its header and its first row. */
export function kindOfFile(rows: readonly (readonly string[])[]): KindFound {
  const at = headersOf(rows[0] ?? []).indexOf('slot');
  const slots = PART_KINDS.map(({ id }) => id).join(', ');
  if (at < 0) {
    const one =
      (rows[0] ?? []).length === 1 ? ' Between columns stands a comma, semicolon or tab.' : '';
    return {
      ok: false,
      message: `The header lacks slot.${one} Each file is of one slot and says it in every row.`,
    };
  }
  const first = rows.slice(1).find((cells) => cells.some((cell) => cell.trim() !== ''));
  const named = first?.[at]?.trim() ?? '';
  if (!first) return { ok: false, message: 'The file has a header and no rows.' };
  return isPartKind(named)
    ? { ok: true, kind: named }
    : { ok: false, message: `“${named.slice(0, 60)}” is no slot; there are ${slots}.` };
}

/** Reads a whole file of parts; which slot it is of stands in it. */
export function readPartFile(text: string): Table<AnyPart> {
  const refuse = (message: string) => refusedTable({ line: 1, column: '', message });
  if (text.trim() === '') return refuse('The file is empty.');
  const found = kindOfFile(cellsOf(text.slice(0, 200_000)));
  return found.ok ? readTable(text, partFormat(found.kind)) : refuse(found.message);
}

export const writePartFile = (kind: PartKind, parts: readonly AnyPart[]): string =>
  writeTable(parts, partFormat(kind));

/** The format's page: every slot with its columns, from the columns themselves. */
export const partFormatPage = (): string =>
  [
    '# Parts',
    '',
    'One file for each slot, one row a part, one header line; comma, semicolon or tab between the columns,',
    'which may stand in any order. A row with a known `id` changes that part, parts not named stay as they',
    `are. Text is UTF-8, with or without a byte order mark, at most ${PART_FILE_LIMIT / 1e6} MB and ${MOST_PART_ROWS.toLocaleString('en')} rows, a`,
    'cell at most 2000 letters. Written by `npm run schemas` from the columns the program reads by; the',
    'same figures in SI are described as JSON Schema in `parts.schema.json`.',
    '',
    'A row with a fault is named by line and column. Whoever reads the file in chooses: the good rows are',
    'kept, or all of it is refused.',
    ...PART_KINDS.flatMap(({ id, name }) => [
      '',
      `## ${name}: \`${id}\``,
      '',
      ...columnLines(partFormat(id)),
    ]),
    '',
  ].join('\n');
