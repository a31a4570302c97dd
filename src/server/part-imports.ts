import { randomUUID } from 'node:crypto';
import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import type { ImportLook } from '@/contracts/csv';
import { checkPart } from '@/contracts/part-csv';
import { isPartKind, slotName } from '@/core/kit';
import { db, type Db } from '@/data/db';
import {
  beginTaking,
  begunTakings,
  dropStaged,
  forgotten,
  idsOfOtherKinds,
  importFile,
  stagedAlready,
  stageParts,
  takeSlice,
  type TakeWish,
} from '@/data/part-imports';
import { now, nowIso } from './clock';
import { heavy } from './heavy';
import { listOfSupplier, lookAtImport } from './part-looks';
import { othersFirst } from './others-first';
import { invalid, notFound, Problem } from './problem';

const DAY_MS = 86_400_000;
/** Rows that are sent, taken or dropped in one go: others are served between two. */
const SLICE = 250;
const MOST_A_PIECE = 500;
const MOST_ROWS = 100_000;
/** Files put aside at once in the whole shop; older ones are forgotten. */
const FILES_KEPT = 6;

const checkRows = checker(
  Type.Object(
    {
      /** Given by the first piece's answer. */
      importId: Type.Optional(Type.String({ maxLength: 60 })),
      kind: Type.String({ maxLength: 40 }),
      parts: Type.Array(Type.Unknown(), { minItems: 1, maxItems: MOST_A_PIECE }),
    },
    { additionalProperties: false },
  ),
);

/** Puts a piece of a file aside; nobody sees it before all of it is taken. */
export async function stagePiece(
  body: unknown,
  on: Db = db(),
): Promise<{ importId: string; count: number }> {
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
  await forgetOld(on);
  const ids = parts.map(({ id }) => id);
  const run = on.transaction(() => {
    const there = importFile(on, importId);
    if (there?.taking) throw isTaken();
    if ((there?.count ?? 0) + parts.length > MOST_ROWS)
      throw taken(`A file of more than ${MOST_ROWS} rows is taken in several files`);
    const [other] = idsOfOtherKinds(on, kind, ids);
    if (other) throw taken(`“${other.id}” is the id of a ${slotName(other.slot).toLowerCase()}`);
    const twice = ids.find((id, i) => ids.indexOf(id) !== i) ?? stagedAlready(on, importId, ids)[0];
    if (twice) throw taken(`“${twice}” stands in the file twice`);
    return { importId, count: stageParts(on, importId, parts, nowIso()) };
  });
  return run.immediate();
}

const taken = (why: string) =>
  new Problem(422, 'id-taken', 'The file was not taken', {
    detail: `${why}. Nothing of the file was taken.`,
  });

const isTaken = () =>
  new Problem(409, 'is-taken', 'The file is being taken', {
    detail: 'The file is being taken into the catalogue already; nothing more can be added to it.',
  });

async function forgetOld(on: Db): Promise<void> {
  const before = new Date(now().getTime() - DAY_MS).toISOString();
  for (const importId of forgotten(on, before, FILES_KEPT)) await dropImport(importId, on);
}

/** Which rows of a look are asked for; from the first where it is not said. */
export function offsetOf(request: Request): number {
  const text = new URL(request.url).searchParams.get('offset') ?? '0';
  if (!/^\d{1,7}$/.test(text))
    throw invalid([{ pointer: '/offset', detail: 'must be a whole number from 0 to 9999999' }]);
  return Number(text);
}

const Ids = Type.Array(Type.String({ maxLength: 60 }), { maxItems: 5000 });

const checkTake = checker(
  Type.Object(
    {
      /** Only these; null takes all. */
      only: Type.Union([Ids, Type.Null()]),
      /** All but these. */
      except: Type.Optional(Ids),
      /** Of the rows whose price moves by more than a third only these; without it all of them. */
      jumps: Type.Optional(Ids),
    },
    { additionalProperties: false },
  ),
);

/**
 * Takes what was put aside, slice by slice with others served between. From the first slice on it is
 * taken as a whole: a program that ends in the middle goes on with it when it begins again.
 */
export async function takeImport(
  importId: string,
  body: unknown,
  on: Db = db(),
): Promise<{ taken: number }> {
  const checked = checkTake(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { only, except = [], jumps = null } = checked.value as Partial<TakeWish>;
  const begun = on.transaction(() => {
    if (!importFile(on, importId)) throw notFound('file');
    return beginTaking(on, importId, { only: only ?? null, except, jumps });
  });
  if (!begun.immediate()) throw isTaken();
  return finishTaking(importId, on);
}

async function finishTaking(importId: string, on: Db): Promise<{ taken: number }> {
  const slice = on.transaction(() => takeSlice(on, importId, SLICE));
  for (;;) {
    const count = slice.immediate();
    if (count !== null) return { taken: count };
    await othersFirst();
  }
}

/** What was being taken when the program ended is taken to its end. */
export async function finishTakings(on: Db = db()): Promise<void> {
  for (const importId of begunTakings(on)) await finishTaking(importId, on);
}

export async function dropImport(importId: string, on: Db = db()): Promise<{ dropped: number }> {
  if (importFile(on, importId)?.taking) throw isTaken();
  const slice = on.transaction(() => dropStaged(on, importId, SLICE));
  let dropped = 0;
  for (;;) {
    const some = slice.immediate();
    dropped += some;
    if (some < SLICE) return { dropped };
    await othersFirst();
  }
}

const checkSupplier = checker(
  Type.Object({ supplier: Type.String({ maxLength: 60 }) }, { additionalProperties: false }),
);
/** Fetches a supplier's list, puts it aside and says what it would change. */
export async function fetchSupplierList(body: unknown, on: Db = db()): Promise<ImportLook> {
  const checked = checkSupplier(body);
  if (!checked.ok) throw invalid(checked.errors);
  const list = await listed(checked.value.supplier, on);
  if (list.length === 0) throw notFound('supplier');
  await forgetOld(on);
  const importId = randomUUID();
  for (let at = 0; at < list.length; at += SLICE) {
    const slice = list.slice(at, at + SLICE);
    on.transaction(() => stageParts(on, importId, slice, nowIso())).immediate();
    await othersFirst();
  }
  return lookedAt(importId, 0, on);
}

// Threads read the shop's own file; a test's is read in place.
const listed = (supplier: string, on: Db) =>
  on.memory ? listOfSupplier(supplier, on) : heavy('supplierList', supplier);
export const lookedAt = async (importId: string, offset: number, on: Db = db()) =>
  on.memory ? lookAtImport(importId, on, offset) : heavy('importLook', importId, offset);
