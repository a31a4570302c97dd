import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { mergeCells, plainId, readForm, type Merged } from '@/contracts/csv';
import { partFormat, writePartFile } from '@/contracts/part-csv';
import {
  isPartKind,
  PART_KINDS,
  partName,
  slotName,
  type AnyPart,
  type PartKind,
} from '@/core/kit';
import { db, type Db } from '@/data/db';
import { searchParts, type PartsFound } from '@/data/part-search';
import { insertItem, partById, partsOfKind, partSuppliers, updateItem } from '@/data/stock';
import { invalid, notFound, Problem } from './problem';

const MOST_AT_ONCE = 200;

/** Parts by any word, of one kind or of all, a page at a time. */
export function findParts(params: URLSearchParams, from: Db = db()): PartsFound {
  const kind = params.get('kind');
  if (kind !== null && kind !== '' && !isPartKind(kind))
    throw invalid([
      {
        pointer: '/kind',
        detail: `is no slot; there are ${PART_KINDS.map(({ id }) => id).join(', ')}`,
      },
    ]);
  const whole = (name: string, fallback: number, most: number) => {
    const value = Number(params.get(name) ?? fallback);
    if (!Number.isInteger(value) || value < 0 || value > most)
      throw invalid([{ pointer: `/${name}`, detail: `must be a whole number from 0 to ${most}` }]);
    return value;
  };
  return searchParts(from, {
    text: (params.get('q') ?? '').slice(0, 200),
    kind: kind ? (kind as PartKind) : null,
    limit: whole('limit', 50, MOST_AT_ONCE),
    offset: whole('offset', 0, 1_000_000),
  });
}

export function partsFile(kind: string | null, from: Db = db()): { text: string; name: string } {
  if (!isPartKind(kind)) throw notFound('slot');
  return { text: writePartFile(kind, partsOfKind(from, kind)), name: `${kind}.csv` };
}

const Cells = Type.Record(Type.String({ maxLength: 40 }), Type.String({ maxLength: 2000 }));
const checkCells = checker(
  Type.Object(
    {
      kind: Type.String({ maxLength: 40 }),
      cells: Cells,
      /** As they stood when the screen was opened. */
      seen: Type.Optional(Cells),
      /** Nothing of this id stood there when the form was opened, and nothing is to be written over. */
      isNew: Type.Optional(Type.Boolean()),
    },
    { additionalProperties: false },
  ),
);

export interface SentCells {
  readonly cells: Readonly<Record<string, string>>;
  readonly seen?: Readonly<Record<string, string>>;
  readonly isNew?: boolean;
}

/** The identifier an address names, as a file would say it. */
export function identifier(typed: string): string {
  const id = plainId(typed);
  if (id) return id;
  const detail = 'is no identifier: 1 to 60 letters that can be seen';
  throw invalid([{ pointer: '/id', detail }]);
}

/** A new record never takes the place of another one. */
export const idTaken = (name: string) => {
  const detail = `There is ${name} already. If this is another one, tell them apart by the model’s name.`;
  return new Problem(422, 'id-taken', 'There is one already', {
    detail,
    errors: [{ pointer: '/cells/model', detail }],
  });
};

/** What two screens changed differently is asked about; nobody overwrites the other in silence. */
export function notOverwritten({ cells, clashes }: Merged): Merged['cells'] {
  if (clashes.length === 0) return cells;
  throw new Problem(409, 'changed-meanwhile', 'Another screen changed it meanwhile', {
    detail: 'Not saved: another screen changed the marked fields meanwhile.',
    errors: clashes.map(({ column, message }) => ({
      pointer: `/cells/${column}`,
      detail: message,
    })),
    now: Object.fromEntries(clashes.map(({ column, now }) => [column, now])),
  });
}

/** Saves one part from its form or its line of the grid: every cell as typed, read as in a file. */
export function savePart(typedId: string, body: unknown, on: Db = db()): AnyPart {
  const id = identifier(typedId);
  const checked = checkCells(body);
  if (!checked.ok) throw invalid(checked.errors);
  const sent = checked.value as SentCells & { kind: string };
  // Read and written in one go, whoever else writes.
  return on.transaction(() => putPart(id, sent, on)).immediate();
}

function putPart(
  id: string,
  { kind, cells, seen, isNew }: SentCells & { kind: string },
  on: Db,
): AnyPart {
  if (!isPartKind(kind)) throw invalid([{ pointer: '/kind', detail: 'is no slot' }]);
  const known = partById(on, id);
  if (known && known.slot !== kind)
    throw new Problem(422, 'other-slot', 'This id is taken', {
      detail: `${partName(known)} is a ${slotName(known.slot).toLowerCase()}; a part stays in its slot.`,
    });
  if (known && isNew) throw idTaken(partName(known));
  const merged = known ? notOverwritten(mergeCells(partFormat(kind), known, cells, seen)) : cells;
  const { record, faults } = readForm({ ...merged, id, slot: kind }, partFormat(kind));
  if (faults.length > 0)
    throw new Problem(400, 'invalid-input', 'The part cannot be saved so', {
      detail: 'The part was not saved: see the marked fields.',
      errors: faults.map(({ column, message }) => ({
        pointer: `/cells/${column}`,
        detail: message,
      })),
    });
  if (known) updateItem(on, record);
  else insertItem(on, record);
  return record;
}

export const suppliers = (from: Db = db()): string[] => partSuppliers(from);
