import type { BowRecord } from '@/core/bow';
import type { CatalogueItem, Slot } from '@/core/kit';
import type { Db } from './db';
import { json, plain, RowMapping } from './mapping';

type StoredBow = Omit<BowRecord, 'riserAngleDeg'>;

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
  letOff: plain('letOff'),
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
  priceCents: plain('priceCents'),
  stock: plain('stock'),
  deliveryDays: plain('deliveryDays'),
});

interface StoredItem extends Omit<CatalogueItem, 'slot' | 'attrs'> {
  readonly slot: Slot;
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
  stock: plain('stock'),
  deliveryDays: plain('deliveryDays'),
  attrs: json('attrs'),
});

export const insertBow = (db: Db, bow: BowRecord) => bowMapping.insert(db, bow);
export const insertItem = (db: Db, item: CatalogueItem) => itemMapping.insert(db, item);

export const allBows = (db: Db): BowRecord[] =>
  db
    .prepare(`SELECT ${bowMapping.columnList} FROM bow ORDER BY maker, model, hand`)
    .all()
    .map((row) => bowMapping.fromRow(row));

export function bowById(db: Db, id: string): BowRecord | null {
  const row = db.prepare(`SELECT ${bowMapping.columnList} FROM bow WHERE id = ?`).get(id);
  return row ? bowMapping.fromRow(row) : null;
}

export const allItems = (db: Db): CatalogueItem[] =>
  db
    .prepare(
      `SELECT ${itemMapping.columnList} FROM catalogue_item ORDER BY slot, price_cents, model`,
    )
    .all()
    .map((row) => itemMapping.fromRow(row) as CatalogueItem);

export function itemById(db: Db, id: string): CatalogueItem | null {
  const row = db
    .prepare(`SELECT ${itemMapping.columnList} FROM catalogue_item WHERE id = ?`)
    .get(id);
  return row ? (itemMapping.fromRow(row) as CatalogueItem) : null;
}
