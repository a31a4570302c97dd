'use client';
import MuiTextField from '@mui/material/TextField';
import Autocomplete from '@mui/material/Autocomplete';
import { STATIONS, STEP_TEMPLATES, type ShopSteps, type Station } from '@/core/bench';
import { TextField } from '../fields/TextField';
import { stepWords as w } from '../words';

export interface Named {
  readonly id: string;
  readonly name: string;
}

/** Several of a long list, found by typing. */
export function Several({
  id,
  label,
  options,
  value,
  onChange,
}: {
  id: string;
  label: string;
  options: readonly Named[];
  value: readonly string[];
  onChange: (ids: string[]) => void;
}) {
  return (
    <Autocomplete
      multiple
      id={id}
      options={[...options]}
      getOptionLabel={({ name }) => name}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      value={value.map(
        (one) => options.find((other) => other.id === one) ?? { id: one, name: one },
      )}
      onChange={(_, next) => onChange(next.map((one) => one.id))}
      renderInput={(params) => <MuiTextField {...params} label={label} />}
    />
  );
}

export const stepsOf = ({ own }: ShopSteps, but: string): Named[] => [
  ...STEP_TEMPLATES.map(({ id, title }) => ({ id, name: title })).filter(({ id }) => id !== but),
  ...own.map(({ id, title }) => ({ id, name: title })).filter(({ id }) => id !== but),
];

export function StationField({
  value,
  onChange,
}: {
  value: Station;
  onChange: (station: Station) => void;
}) {
  return (
    <TextField
      select
      id="step-station"
      label={w.station}
      value={value}
      onChange={({ target }) => onChange(target.value as Station)}
    >
      {STATIONS.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </TextField>
  );
}

export const minutesIn = (text: string) => (/^\d+$/.test(text.trim()) ? Number(text) : Number.NaN);
