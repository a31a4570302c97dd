import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { PIECE_FORMAT } from '@/contracts/bow-csv';
import { mergeCells, readForm } from '@/contracts/csv';
import { bowName, type BowRecord } from '@/core/bow';
import {
  dropPiece,
  holderOf,
  pieceBySerial,
  piecesInShop,
  savePiece,
  type PieceSeen,
  type StoredPiece,
} from '@/data/bow-pieces';
import { db, type Db } from '@/data/db';
import { jobById } from '@/data/jobs';
import { bowById } from '@/data/stock';
import { identifier, notOverwritten } from './part-stock';
import { invalid, notFound, Problem } from './problem';

export const singleBows = (from: Db = db()): PieceSeen[] => piecesInShop(from);

const Cells = Type.Record(Type.String({ maxLength: 40 }), Type.String({ maxLength: 2000 }));
const checkPiece = checker(
  Type.Object(
    {
      bowId: Type.String({ minLength: 1, maxLength: 60 }),
      cells: Cells,
      seen: Type.Optional(Cells),
    },
    { additionalProperties: false },
  ),
);

const NOT_SAVED = 'The single bow cannot be saved so';

const refuse = (reason: string, column: string, detail: string) =>
  new Problem(422, reason, NOT_SAVED, {
    detail,
    errors: [{ pointer: `/cells/${column}`, detail }],
  });

/** Saves one single bow from its form; the number in the address is the one it is known by. */
export function saveSingleBow(typed: string, body: unknown, on: Db = db()): StoredPiece {
  const serial = identifier(typed);
  const checked = checkPiece(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { bowId, cells, seen } = checked.value as {
    bowId: string;
    cells: Record<string, string>;
    seen?: Record<string, string>;
  };
  const run = on.transaction((): StoredPiece => {
    const bow = bowById(on, bowId);
    if (!bow) throw notFound('bow');
    const known = pieceBySerial(on, serial);
    const merged = known ? notOverwritten(mergeCells(PIECE_FORMAT, known, cells, seen)) : cells;
    const { record, faults } = readForm({ ...merged, serial }, PIECE_FORMAT);
    if (faults.length > 0)
      throw new Problem(400, 'invalid-input', NOT_SAVED, {
        detail: 'The single bow was not saved: see the marked fields.',
        errors: faults.map(({ column, message }) => ({
          pointer: `/cells/${column}`,
          detail: message,
        })),
      });
    const piece = { ...record, bowId, leftWith: known?.leftWith ?? null };
    if (known && !seen)
      throw refuse(
        'serial-taken',
        'serial',
        `There is a single bow with the number ${serial} already.`,
      );
    if (known) checkChange(on, known, piece);
    if (piece.condition === 'new' && known?.condition !== 'new') checkCount(on, bow);
    savePiece(on, piece);
    return piece;
  });
  return run.immediate();
}

/** What a job has taken stays what it is until the job gives it back. */
function checkChange(on: Db, known: StoredPiece, piece: StoredPiece): void {
  if (known.bowId !== piece.bowId)
    throw refuse(
      'serial-taken',
      'serial',
      `The number ${known.serial} is that of a ${bowName(bowById(on, known.bowId)!)} already.`,
    );
  const holder = holderOf(on, known.serial, '') ?? known.leftWith;
  if (holder && known.condition !== piece.condition)
    throw refuse(
      'piece-held',
      'condition',
      `Ticket ${jobById(on, holder)!.number} has it: it stays ${known.condition} until it is given back.`,
    );
}

/** New bows are counted; more numbers than bows would mean the count is wrong. */
function checkCount(on: Db, bow: BowRecord): void {
  const named = piecesInShop(on).filter(
    ({ bowId, condition }) => bowId === bow.id && condition === 'new',
  ).length;
  if (named >= bow.stock)
    throw refuse(
      'more-than-counted',
      'condition',
      `${bow.stock === 0 ? 'No new one is' : `${bow.stock} new ${bow.stock === 1 ? 'one is' : 'ones are'}`} in stock, and ${named === 0 ? 'this would be one more' : `${named} ${named === 1 ? 'has' : 'have'} a number already`}. Put the count of the bow right first.`,
    );
}

/** Forgets a single bow nobody has. */
export function forgetSingleBow(serial: string, on: Db = db()): { forgotten: string } {
  const run = on.transaction(() => {
    const piece = pieceBySerial(on, serial);
    if (!piece) throw notFound('single bow');
    const holder = holderOf(on, serial, '') ?? piece.leftWith ?? everHeld(on, serial);
    if (holder)
      throw refuse(
        'piece-held',
        'serial',
        `Ticket ${jobById(on, holder)!.number} has it, or had it: it stays in the book.`,
      );
    dropPiece(on, serial);
    return { forgotten: serial };
  });
  return run.immediate();
}

const everHeld = (on: Db, serial: string): string | null =>
  (on.prepare('SELECT job_id FROM job_bow WHERE serial = ? LIMIT 1').pluck().get(serial) as
    string | undefined) ?? null;

/** A loan bow is back in the shop. */
export function bringBack(serial: string, on: Db = db()): StoredPiece {
  const run = on.transaction(() => {
    const piece = pieceBySerial(on, serial);
    if (!piece) throw notFound('single bow');
    if (piece.condition !== 'loan' || piece.leftWith === null)
      throw refuse('not-lent', 'serial', 'It is not lent out.');
    const back = { ...piece, leftWith: null };
    savePiece(on, back);
    return back;
  });
  return run.immediate();
}
