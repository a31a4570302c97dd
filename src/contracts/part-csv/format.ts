import { isPartKind, kindOf, PART_KINDS, slotName, type AnyPart, type PartKind } from '@/core/kit';
import {
  bad,
  good,
  money,
  oneOf,
  optional,
  plainNumber,
  text,
  textOrEmpty,
  type CellKind,
  type Column,
  type Draft,
  type Fault,
  type TableFormat,
} from '../csv';
import { Type } from '@sinclair/typebox';
import { ATTR_COLUMNS, headerOf } from './attr-columns';

type BaseField = Exclude<keyof AnyPart, 'attrs'>;

/** The slot's own name, as a file has to say it. */
const slotCell = (kind: PartKind): CellKind<string> => ({
  says: `always ${kind}`,
  schema: Type.Literal(kind),
  read: (cell) => {
    if (cell === kind) return good(cell);
    return bad(
      isPartKind(cell)
        ? `is “${cell}”; this file is of ${slotName(kind).toLowerCase()} rows: one file for each slot`
        : `“${cell}” is no slot; there are ${PART_KINDS.map(({ id }) => id).join(', ')}`,
    );
  },
  write: () => kind,
});

const base = <F extends BaseField>(
  field: F,
  header: string,
  name: string,
  kind: CellKind<string> | CellKind<number> | CellKind<number | null> | CellKind<AnyPart['hand']>,
  about: string,
  example: string,
  required = true,
): Column<AnyPart> => ({
  header,
  name,
  about,
  kind: kind as unknown as CellKind<unknown>,
  required,
  example,
  get: (part) => part[field],
  put: (draft, value) => void (draft[field] = value),
});

const cents = money(20_000);

const baseColumns = (kind: PartKind): Column<AnyPart>[] => [
  base(
    'id',
    'id',
    'Id',
    text(60),
    'Stable name of the row; a row with a known id changes that part',
    `${kind}-one`,
  ),
  base('slot', 'slot', 'Slot', slotCell(kind), 'Which place it fills', kind),
  base('maker', 'maker', 'Maker', text(60), 'Maker', 'Rohrdommel'),
  base('model', 'model', 'Model', text(80), 'Model', 'Kiebitz'),
  base(
    'hand',
    'hand',
    'Hand',
    oneOf('right', 'left', 'both'),
    'The bow’s hand it is made for',
    'both',
  ),
  base(
    'massG',
    'mass_g',
    'Mass, g',
    plainNumber({ min: 0, max: 20_000 }, { decimals: 3 }),
    'Of one; of arrows and their parts each',
    '98',
  ),
  base('priceCents', 'price_eur', 'Price, €', cents, 'Usual price', '129'),
  base(
    'closeOutCents',
    'close_out_eur',
    'Close-out, €',
    optional(cents),
    'Price while it is cleared out; empty otherwise',
    '99',
    false,
  ),
  base(
    'stock',
    'stock',
    'In stock',
    plainNumber({ min: 0, max: 100_000 }, { whole: true }),
    'How many lie in the shop',
    '2',
  ),
  base(
    'deliveryDays',
    'delivery_days',
    'Delivery, days',
    plainNumber({ min: 0, max: 400 }, { whole: true }),
    'Days from order to shop',
    '3',
  ),
  base(
    'supplier',
    'supplier',
    'Supplier',
    textOrEmpty(60),
    'Where it is ordered',
    'Nordufer Handel',
    false,
  ),
];

const attrsOf = (draft: Draft) => (draft.attrs ??= {}) as Draft;

const attrColumns = (kind: PartKind): Column<AnyPart>[] =>
  ATTR_COLUMNS[kind].map(({ attr, ...column }) => ({
    ...column,
    get: (part) => (part.attrs as unknown as Draft)[attr],
    put: (draft, value) => void (attrsOf(draft)[attr] = value),
  }));

/** What single cells of a part cannot tell. */
function partFaults(part: AnyPart): Fault[] {
  const faults: Fault[] = [];
  if (part.closeOutCents !== null && part.closeOutCents > part.priceCents)
    faults.push({ column: 'close_out_eur', message: 'is more than the usual price' });
  for (const fault of kindOf(part.slot).faults?.(part.attrs as never) ?? [])
    if (fault) faults.push({ column: headerOf(fault[0]), message: fault[1] });
  return faults;
}

const made = new Map<PartKind, TableFormat<AnyPart>>();

/** The file format of one kind of part. */
export function partFormat(kind: PartKind): TableFormat<AnyPart> {
  const known = made.get(kind);
  if (known) return known;
  const format: TableFormat<AnyPart> = {
    columns: [...baseColumns(kind), ...attrColumns(kind)],
    blank: () => ({ attrs: {} }),
    faults: partFaults,
    idOf: ({ id }) => id ?? '',
  };
  made.set(kind, format);
  return format;
}
