import type { BowRecord } from '@/core/bow';
import {
  isArrowComponent,
  MOST_OF_A_SLOT,
  type AnyPart,
  type CatalogueItem,
  type PartKind,
} from '@/core/kit';
import type { Db } from './db';
import { boolean, booleanOrNull, json, plain, RowMapping } from './mapping';
import { wordsOf } from './words-of';

type StoredBow = Omit<BowRecord, 'riserAngleDeg' | 'brought' | 'untold'> &
  Required<Pick<BowRecord, 'brought' | 'untold'>>;

export const bowMapping = new RowMapping<StoredBow>('bow', {
  id: plain('id'),
  maker: plain('maker'),
  model: plain('model'),
  hand: plain('hand'),
  camSystem: plain('camSystem'),
  character: plain('character'),
  modules: json('modules'),
  fixedDrawLengthMm: plain('fixedDrawLengthMm'),
  moduleCams: json('moduleCams'),
  minPeakN: plain('minPeakN'),
  maxPeakN: plain('maxPeakN'),
  maxTurns: plain('maxTurns'),
  stockTurns: plain('stockTurns'),
  letOff: plain('letOff'),
  letOffChoices: json('letOffChoices'),
  stops: plain('stops'),
  timedBy: plain('timedBy'),
  yokes: plain('yokes'),
  stringLengthMm: plain('stringLengthMm'),
  cableLengthsMm: json('cableLengthsMm'),
  braceHeightMm: plain('braceHeightMm'),
  axleToAxleMm: plain('axleToAxleMm'),
  massG: plain('massG'),
  centreShotMm: plain('centreShotMm'),
  ratedSpeedMps: plain('ratedSpeedMps'),
  ratedDrawLengthMm: plain('ratedDrawLengthMm'),
  ratedPeakN: plain('ratedPeakN'),
  ratedArrowG: plain('ratedArrowG'),
  restMounts: json('restMounts'),
  sightMounts: json('sightMounts'),
  quiverMounts: json('quiverMounts'),
  riserWidthMm: plain('riserWidthMm'),
  cableGapMm: plain('cableGapMm'),
  shelfMm: plain('shelfMm'),
  rearBushing: booleanOrNull('rearBushing'),
  limbLocks: booleanOrNull('limbLocks'),
  cordWay: booleanOrNull('cordWay'),
  stringStop: plain('stringStop'),
  barThreads: json('barThreads'),
  centre: json('centre'),
  yawInertiaKgMm2: plain('yawInertiaKgMm2'),
  pitchInertiaKgMm2: plain('pitchInertiaKgMm2'),
  balanceFrom: plain('balanceFrom'),
  priceCents: plain('priceCents'),
  stock: plain('stock'),
  deliveryDays: plain('deliveryDays'),
  supplier: plain('supplier'),
  brought: boolean('brought'),
  untold: json('untold'),
});

interface StoredItem extends Omit<CatalogueItem, 'slot' | 'attrs'> {
  readonly slot: PartKind;
  readonly attrs: unknown;
}

export const itemMapping = new RowMapping<StoredItem>('catalogue_item', {
  id: plain('id'),
  slot: plain('slot'),
  maker: plain('maker'),
  model: plain('model'),
  hand: plain('hand'),
  massG: plain('massG'),
  priceCents: plain('priceCents'),
  closeOutCents: plain('closeOutCents'),
  stock: plain('stock'),
  deliveryDays: plain('deliveryDays'),
  supplier: plain('supplier'),
  attrs: json('attrs'),
});

/** A bow of a file says nothing of whether it was brought along: then it was not. */
const stored = (bow: BowRecord): StoredBow => ({ brought: false, untold: [], ...bow });

export const insertBow = (db: Db, bow: BowRecord) => bowMapping.insert(db, stored(bow));
export const updateBow = (db: Db, bow: BowRecord) => bowMapping.update(db, stored(bow), 'id');

/** The shop's list: what archers brought along does not stand in it. */
export const allBows = (db: Db): BowRecord[] =>
  db
    .prepare(
      `SELECT ${bowMapping.columnList} FROM bow WHERE brought = 0 ORDER BY maker, model, hand`,
    )
    .all()
    .map((row) => bowMapping.fromRow(row));

export function bowById(db: Db, id: string): BowRecord | null {
  const row = db.prepare(`SELECT ${bowMapping.columnList} FROM bow WHERE id = ?`).get(id);
  return row ? bowMapping.fromRow(row) : null;
}

export const partOfRow = (row: unknown) => itemMapping.fromRow(row) as AnyPart;

/** Every part a kit's places are filled from; arrow parts are asked for by their kind. */
export const allItems = (db: Db): CatalogueItem[] =>
  allParts(db).filter((item): item is CatalogueItem => !isArrowComponent(item));

export const allParts = (db: Db): AnyPart[] =>
  db
    .prepare(
      `SELECT ${itemMapping.columnList} FROM catalogue_item ORDER BY slot, price_cents, model`,
    )
    .all()
    .map(partOfRow);

/** Of each slot what lies in the shop first, then the cheapest: what is chosen from. */
const chosenFrom = (db: Db): AnyPart[] =>
  db
    .prepare(
      `SELECT ${itemMapping.columnList} FROM (
         SELECT *, row_number() OVER (
           PARTITION BY slot ORDER BY stock = 0, price_cents, model, id) AS place
         FROM catalogue_item) AS catalogue_item
       WHERE place <= ? ORDER BY slot, price_cents, model`,
    )
    .all(MOST_OF_A_SLOT)
    .map(partOfRow);

/** What kits are chosen from. */
export const assortment = (db: Db): CatalogueItem[] =>
  chosenFrom(db).filter((item): item is CatalogueItem => !isArrowComponent(item));

/** What arrows are built from. */
export const arrowAssortment = (db: Db): AnyPart[] => chosenFrom(db).filter(isArrowComponent);

export const partSuppliers = (db: Db): string[] =>
  db
    .prepare("SELECT DISTINCT supplier FROM catalogue_item WHERE supplier <> '' ORDER BY supplier")
    .pluck()
    .all() as string[];

export const partsOfKind = (db: Db, kind: PartKind): AnyPart[] =>
  db
    .prepare(
      `SELECT ${itemMapping.columnList} FROM catalogue_item WHERE slot = ? ORDER BY price_cents, model`,
    )
    .all(kind)
    .map(partOfRow);

export function partById(db: Db, id: string): AnyPart | null {
  const row = db
    .prepare(`SELECT ${itemMapping.columnList} FROM catalogue_item WHERE id = ?`)
    .get(id);
  return row ? partOfRow(row) : null;
}

export function itemById(db: Db, id: string): CatalogueItem | null {
  const found = partById(db, id);
  return found && !isArrowComponent(found) ? found : null;
}

export function insertItem(db: Db, item: AnyPart): void {
  itemMapping.insert(db, item);
  saveWords(db, item);
}

export function updateItem(db: Db, item: AnyPart): void {
  itemMapping.update(db, item, 'id');
  saveWords(db, item);
}

const saveWords = (db: Db, item: AnyPart) =>
  db
    .prepare(
      `INSERT INTO catalogue_words (item_id, kind, words) VALUES (?, ?, ?)
       ON CONFLICT (item_id) DO UPDATE SET words = excluded.words WHERE words <> excluded.words`,
    )
    .run(item.id, item.slot, wordsOf(item));
