import type { BowPiece } from '@/core/bow';
import {
  money,
  oneOf,
  optional,
  text,
  textOrEmpty,
  type CellKind,
  type Column,
  type Fault,
  type TableFormat,
} from '../csv';

type PieceField = Exclude<keyof BowPiece, 'bowId'>;

const column = <F extends PieceField>(
  header: string,
  field: F,
  name: string,
  kind: CellKind<BowPiece[F]>,
  about: string,
  example: string,
): Column<BowPiece> => ({
  header,
  name,
  about,
  kind: kind as CellKind<unknown>,
  required: field === 'serial' || field === 'condition',
  example,
  get: (piece) => piece[field],
  put: (draft, value) => void (draft[field] = value),
});

/** What is asked of a single bow, read like a row of a file. */
export const PIECE_COLUMNS: readonly Column<BowPiece>[] = [
  column('serial', 'serial', 'Serial number', text(60), 'As it stands on the limb', 'FJ-20418'),
  column(
    'condition',
    'condition',
    'New, used or loan',
    oneOf('new', 'used', 'loan'),
    'New ones are among the count; a loan bow is lent, never sold',
    'used',
  ),
  column(
    'price_eur',
    'priceCents',
    'Price, €',
    optional(money(20_000)),
    'Its own price; empty is the bow’s',
    '520',
  ),
  column(
    'note',
    'note',
    'Note',
    textOrEmpty(200),
    'What whoever takes it should know',
    'limbs new in May',
  ),
];

const pieceFaults = ({ condition, priceCents }: BowPiece): Fault[] =>
  condition === 'loan' && priceCents !== null
    ? [{ column: 'price_eur', message: 'must be empty: a loan bow is lent, not sold' }]
    : [];

export const PIECE_FORMAT: TableFormat<BowPiece> = {
  columns: PIECE_COLUMNS,
  blank: () => ({}),
  faults: pieceFaults,
  idOf: ({ serial }) => serial,
};
