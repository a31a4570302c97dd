'use client';
import Link from 'next/link';
import { BOW_COLUMNS } from '@/contracts/bow-csv';
import { bowName, type BowRecord } from '@/core/bow';
import type { ShopUnits } from '@/core/units';
import { bowStock as w, deliveredWords } from '../words';
import { freshId, RecordForm } from './RecordForm';

/** What one asks of a bow before anything else; the rest stands in its data sheet. */
const FIRST = [
  'maker',
  'model',
  'hand',
  'cam_system',
  'modules',
  'min_peak_lb',
  'max_peak_lb',
  'max_turns',
  'let_off_pct',
  'price_eur',
];

const COLUMNS = BOW_COLUMNS.filter(({ field }) => field !== 'id');

/** One bow of the shop. */
export function BowForm({
  bow,
  ids,
  units,
  onClose,
  onDone,
}: {
  /** Null for a new one. */
  bow: BowRecord | null;
  ids: readonly string[];
  units: ShopUnits;
  onClose: () => void;
  onDone: () => void;
}) {
  return (
    <RecordForm
      title={bow ? bowName(bow) : w.newBow}
      save={w.save}
      columns={COLUMNS}
      asksFirst={FIRST}
      record={bow}
      units={units}
      leads={
        bow && (
          <Link href={`/delivered?bow=${encodeURIComponent(bow.id)}`} prefetch={false}>
            {deliveredWords.ofThisKind}
          </Link>
        )
      }
      urlOf={({ model, hand = '' }) => {
        const id = bow?.id ?? freshId([model, hand.slice(0, 1)], ids);
        return `/api/v1/shop/bows/${encodeURIComponent(id)}`;
      }}
      onClose={onClose}
      onDone={onDone}
    />
  );
}
