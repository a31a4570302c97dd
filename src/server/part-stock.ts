import { randomUUID } from 'node:crypto';
import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import {
  mergeCells,
  readForm,
  rowChange,
  type ImportLook,
  type Merged,
  type RowChange,
} from '@/contracts/csv';
import { checkPart, partFormat, writePartFile } from '@/contracts/part-csv';
import {
  isPartKind,
  PART_KINDS,
  partName,
  slotName,
  type AnyPart,
  type PartKind,
} from '@/core/kit';
import { db, type Db } from '@/data/db';
import {
  dropOldStaged,
  dropStaged,
  idsOfOtherKinds,
  stagedAlready,
  stagedCount,
  stagedPairs,
  stageParts,
  takeStaged,
  unstage,
  unstageJumps,
} from '@/data/part-imports';
import { searchParts, type PartsFound } from '@/data/part-search';
import { allParts, insertItem, partById, partsOfKind, updateItem } from '@/data/stock';
import { supplierList } from '@/devices/stand-ins/supplier';
import { now, nowIso } from './clock';
import { invalid, notFound, Problem } from './problem';

const MOST_AT_ONCE = 200;
const DAY_MS = 86_400_000;

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
    },
    { additionalProperties: false },
  ),
);

interface SentCells {
  readonly cells: Readonly<Record<string, string>>;
  readonly seen?: Readonly<Record<string, string>>;
}

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
export function savePart(id: string, body: unknown, on: Db = db()): AnyPart {
  const checked = checkCells(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { kind, cells, seen } = checked.value as SentCells & { kind: string };
  if (!isPartKind(kind)) throw invalid([{ pointer: '/kind', detail: 'is no slot' }]);
  const known = partById(on, id);
  if (known && known.slot !== kind)
    throw new Problem(422, 'other-slot', 'This id is taken', {
      detail: `${partName(known)} is a ${slotName(known.slot).toLowerCase()}; a part stays in its slot.`,
    });
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

const checkRows = checker(
  Type.Object(
    {
      /** Given by the first piece's answer. */
      importId: Type.Optional(Type.String({ maxLength: 60 })),
      kind: Type.String({ maxLength: 40 }),
      parts: Type.Array(Type.Unknown(), { minItems: 1, maxItems: 1000 }),
    },
    { additionalProperties: false },
  ),
);

/** Puts a piece of a file aside; nobody sees it before all of it is taken. */
export function stagePiece(body: unknown, on: Db = db()): { importId: string; count: number } {
  const checked = checkRows(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { kind, importId = randomUUID() } = checked.value;
  if (!isPartKind(kind)) throw invalid([{ pointer: '/kind', detail: 'is no slot' }]);
  const parts = (checked.value.parts as unknown[]).map((value, i) => {
    const answer = checkPart(kind, value);
    if (answer.ok) return answer.value;
    throw invalid(
      answer.errors.map((error) => ({ ...error, pointer: `/parts/${i}${error.pointer}` })),
    );
  });
  const ids = parts.map(({ id }) => id);
  const run = on.transaction(() => {
    dropOldStaged(on, new Date(now().getTime() - DAY_MS).toISOString());
    const [other] = idsOfOtherKinds(on, kind, ids);
    if (other) throw taken(`“${other.id}” is the id of a ${slotName(other.slot).toLowerCase()}`);
    const twice = ids.find((id, i) => ids.indexOf(id) !== i) ?? stagedAlready(on, importId, ids)[0];
    if (twice) throw taken(`“${twice}” stands in the file twice`);
    stageParts(on, importId, parts, nowIso());
    return { importId, count: stagedCount(on, importId) };
  });
  return run.immediate();
}

const taken = (why: string) =>
  new Problem(422, 'id-taken', 'The file was not taken', {
    detail: `${why}. Nothing of the file was taken.`,
  });

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

/** Which rows of a look are asked for; from the first where it is not said. */
export function offsetOf(request: Request): number {
  const text = new URL(request.url).searchParams.get('offset') ?? '0';
  if (!/^\d{1,7}$/.test(text))
    throw invalid([{ pointer: '/offset', detail: 'must be a whole number from 0 to 9999999' }]);
  return Number(text);
}

const Ids = Type.Array(Type.String({ maxLength: 60 }), { maxItems: 5000 });

interface TakeRequest {
  readonly only: readonly string[] | null;
  readonly except?: readonly string[];
  readonly jumps?: readonly string[];
}

const checkTake = checker(
  Type.Object(
    {
      /** Only these; null takes all. */
      only: Type.Union([
        Type.Array(Type.String({ maxLength: 60 }), { maxItems: 5000 }),
        Type.Null(),
      ]),
      /** All but these. */
      except: Type.Optional(Ids),
      /** Of the rows whose price moves by more than a third only these; without it all of them. */
      jumps: Type.Optional(Ids),
    },
    { additionalProperties: false },
  ),
);

/** Takes what was put aside, at once. */
export function takeImport(importId: string, body: unknown, on: Db = db()): { taken: number } {
  const checked = checkTake(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { only, except = [], jumps } = checked.value as TakeRequest;
  const run = on.transaction(() => {
    if (stagedCount(on, importId) === 0) throw notFound('file');
    unstage(on, importId, except);
    if (jumps) unstageJumps(on, importId, jumps);
    return { taken: takeStaged(on, importId, only) };
  });
  return run.immediate();
}

export const dropImport = (importId: string, on: Db = db()) => ({
  dropped: dropStaged(on, importId),
});

const checkSupplier = checker(
  Type.Object({ supplier: Type.String({ maxLength: 60 }) }, { additionalProperties: false }),
);
const WEEK_MS = 7 * DAY_MS;

/** Fetches a supplier's list (a stand-in makes it up), puts it aside and says what it would change. */
export function fetchSupplierList(body: unknown, on: Db = db()): ImportLook {
  const checked = checkSupplier(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { supplier } = checked.value;
  const edition = Math.floor(now().getTime() / WEEK_MS);
  const list = supplierList(allParts(on), supplier, edition);
  if (list.length === 0) throw notFound('supplier');
  const importId = randomUUID();
  on.transaction(() => stageParts(on, importId, list, nowIso())).immediate();
  return lookAtImport(importId, on);
}

export const suppliers = (from: Db = db()): string[] =>
  [...new Set(allParts(from).map(({ supplier }) => supplier))].filter(Boolean).sort();
