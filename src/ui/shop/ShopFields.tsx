'use client';
import type { Shop } from '@/core/job';
import type { ShopUnits } from '@/core/units';
import { Choice, type ChoiceOption } from '../fields/Choice';
import { TextField } from '../fields/TextField';
import { Block, Questions } from '../pieces/layout';
import { shopWords as w } from '../words';
import type { Faults } from './useShopDraft';

type Change = (part: Partial<Shop>) => void;

/** One line of text of the settings. */
export function ShopText({
  field,
  maxLength,
  draft,
  faults,
  change,
}: {
  field: 'name' | 'address' | 'phone' | 'timeZone';
  maxLength: number;
  draft: Shop;
  faults: Faults;
  change: Change;
}) {
  return (
    <TextField
      id={`shop-${field}`}
      label={w[field]}
      value={draft[field]}
      error={faults[field] !== undefined}
      helperText={faults[field]}
      slotProps={{ htmlInput: { maxLength } }}
      onChange={(event) => change({ [field]: event.target.value })}
    />
  );
}

/** How numbers are written here. */
export function UnitFields(shared: { draft: Shop; change: Change }) {
  return (
    <Block as={Questions} data-units>
      <h2>{w.units}</h2>
      <UnitChoice {...shared} unit="length" label={w.length} options={w.lengths} />
      <UnitChoice {...shared} unit="force" label={w.force} options={w.forces} />
      <UnitChoice {...shared} unit="mass" label={w.mass} options={w.masses} />
      <UnitChoice {...shared} unit="speed" label={w.speed} options={w.speeds} />
      <UnitChoice {...shared} unit="distance" label={w.distance} options={w.distances} />
    </Block>
  );
}

function UnitChoice<K extends keyof ShopUnits>({
  draft,
  change,
  unit,
  label,
  options,
}: {
  draft: Shop;
  change: (part: Partial<Shop>) => void;
  unit: K;
  label: string;
  options: readonly ChoiceOption<ShopUnits[K]>[];
}) {
  return (
    <Choice
      label={label}
      value={draft.units[unit]}
      options={options}
      onChange={(value) => change({ units: { ...draft.units, [unit]: value } })}
    />
  );
}
