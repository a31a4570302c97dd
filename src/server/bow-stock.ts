import { Type, type Static } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { BOW_FORMAT, type RowFault } from '@/contracts/bow-csv';
import { mergeCells, readForm, type RowChange } from '@/contracts/csv';
import { bowName, OWN_BOW_ID, type BowRecord } from '@/core/bow';
import { db, type Db } from '@/data/db';
import { bowById, insertBow, updateBow } from '@/data/stock';
import { lookAtBows } from './bow-looks';
import { heavy } from './heavy';
import { identifier, idTaken, notOverwritten, type SentCells } from './part-stock';
import { invalid, Problem } from './problem';

const OneOf = <T extends string>(...names: T[]) => Type.Unsafe<T>({ type: 'string', enum: names });

const Ids = Type.Array(Type.String({ maxLength: 60 }), { maxItems: 5000 });
const ImportRequest = Type.Object(
  {
    text: Type.String({ maxLength: 1_000_000 }),
    /** `check` saves nothing; `keepGood` leaves faulty rows out; `allOrNone` refuses the file. */
    mode: OneOf('check', 'keepGood', 'allOrNone'),
    /** Bows of the file that stay as they are. */
    except: Type.Optional(Ids),
    /** Of the bows whose price moves by more than a third only these are taken; without it all. */
    jumps: Type.Optional(Ids),
  },
  { additionalProperties: false },
);
const checkImport = checker(ImportRequest);

interface ImportAnswer {
  readonly saved: boolean;
  readonly added: number;
  readonly changed: number;
  readonly same: number;
  /** Every row that is, or would be, added or changed. */
  readonly rows: readonly RowChange[];
  /** The first of them. */
  readonly faults: readonly RowFault[];
  readonly faultCount: number;
}

/** Takes a bow file in, or only looks at it; bows not named in it stay as they are. */
export async function importBows(body: unknown, on: Db = db()): Promise<ImportAnswer> {
  const checked = checkImport(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { text, mode, except = [], jumps } = checked.value as Static<typeof ImportRequest>;
  const look = await (on.memory ? lookAtBows(text, on) : heavy('bowFile', text));
  const { bows, faults, faultCount, rows, added, changed, same } = look;
  if (mode === 'allOrNone' && faultCount > 0) {
    throw new Problem(422, 'faulty-rows', 'The file was refused whole', {
      detail: `${faultCount === 1 ? 'One fault' : `${faultCount} faults`}: nothing of the file was taken. ${faultText(faults[0]!)}`,
      faults,
    });
  }
  const saved = mode !== 'check' && bows.length > 0;
  if (saved) {
    const left = new Set([
      ...except,
      ...rows.flatMap(({ id, jump }) => (jump && jumps && !jumps.includes(id) ? [id] : [])),
    ]);
    const differ = new Set(rows.map(({ id }) => id));
    const run = on.transaction(() => {
      for (const { bow } of bows) {
        if (!differ.has(bow.id) || left.has(bow.id)) continue;
        if (bowById(on, bow.id)) updateBow(on, bow);
        else insertBow(on, bow);
      }
    });
    run.immediate();
  }
  return { saved, added, changed, same, rows, faults, faultCount };
}

const faultText = ({ line, column, message }: RowFault) =>
  `Line ${line}${column ? `, ${column}` : ''}: ${message}.`;

const Cells = Type.Record(Type.String({ maxLength: 40 }), Type.String({ maxLength: 2000 }));
const checkCells = checker(
  Type.Object(
    { cells: Cells, seen: Type.Optional(Cells), isNew: Type.Optional(Type.Boolean()) },
    { additionalProperties: false },
  ),
);

/** Saves one bow from its form: every cell as typed, read as in a file. */
export function saveBow(typedId: string, body: unknown, on: Db = db()): BowRecord {
  const id = identifier(typedId);
  const checked = checkCells(body);
  if (!checked.ok) throw invalid(checked.errors);
  if (id === OWN_BOW_ID)
    throw invalid([{ pointer: '', detail: 'that id is kept for the archer’s own bow' }]);
  const sent = checked.value as SentCells;
  // Read and written in one go, whoever else writes.
  return on.transaction(() => putBow(id, sent, on)).immediate();
}

function putBow(id: string, { cells, seen, isNew }: SentCells, on: Db): BowRecord {
  const known = bowById(on, id);
  if (known && isNew) throw idTaken(bowName(known));
  const merged = known ? notOverwritten(mergeCells(BOW_FORMAT, known, cells, seen)) : cells;
  const { record: bow, faults } = readForm({ ...merged, id }, BOW_FORMAT);
  const errors = faults.map(({ column, message }) => ({
    pointer: `/cells/${column}`,
    detail: message,
  }));
  if (errors.length > 0)
    throw new Problem(400, 'invalid-input', 'The bow cannot be saved so', {
      detail: 'The bow was not saved: see the marked fields.',
      errors,
    });
  if (known) updateBow(on, bow);
  else insertBow(on, bow);
  return bow;
}
