import { cellsOf, headerFault, headersOf, RowReader, type RowFault } from '@/contracts/csv';
import { kindOfFile, MOST_PART_ROWS, PART_FILE_LIMIT, partFormat } from '@/contracts/part-csv';
import type { AnyPart, PartKind } from '@/core/kit';

/** Rows read between two words about how far it is. */
const PIECE = 1000;

export type FileRead =
  | { readonly say: 'progress'; readonly done: number; readonly total: number }
  | {
      readonly say: 'read';
      readonly kind: PartKind;
      readonly parts: readonly AnyPart[];
      readonly faults: readonly RowFault[];
      /** Of all faults, those told and those not. */
      readonly faultCount: number;
    }
  | { readonly say: 'refused'; readonly message: string };

/**
 * Reads a file of parts piece by piece, saying how far it is. What runs it may stop between two
 * pieces: nothing is kept anywhere.
 */
export function* readPieces(text: unknown): Generator<FileRead> {
  if (typeof text !== 'string') return yield { say: 'refused', message: 'That is no text.' };
  if (text.length > PART_FILE_LIMIT)
    return yield {
      say: 'refused',
      message: `The file is larger than ${PART_FILE_LIMIT / 1e6} MB. Split it.`,
    };
  if (text.trim() === '') return yield { say: 'refused', message: 'The file is empty.' };
  const [header = [], ...rows] = cellsOf(text);
  const found = kindOfFile([header, ...rows.slice(0, 50)]);
  if (!found.ok) return yield { say: 'refused', message: found.message };
  const format = partFormat(found.kind);
  const wrong = headerFault(headersOf(header), format);
  if (wrong)
    return yield { say: 'refused', message: [wrong.column, wrong.message].join(' ').trim() };
  if (rows.length > MOST_PART_ROWS + 1)
    return yield {
      say: 'refused',
      message: `The file has ${rows.length} rows; at most ${MOST_PART_ROWS}. Split it.`,
    };
  const reader = new RowReader(format, header);
  const parts: AnyPart[] = [];
  const faults: RowFault[] = [];
  let faultCount = 0;
  for (let at = 0; at < rows.length; at += PIECE) {
    const piece = reader.read(rows.slice(at, at + PIECE));
    parts.push(...piece.rows.map(({ record }) => record));
    faultCount += piece.faultCount;
    faults.push(...piece.faults);
    yield { say: 'progress', done: Math.min(rows.length, at + PIECE), total: rows.length };
  }
  yield { say: 'read', kind: found.kind, parts, faults, faultCount };
}
