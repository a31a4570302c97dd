'use client';
import { useState } from 'react';
import TextField from '@mui/material/TextField';
import { shopWords as w } from '../words';

/** A number as it was typed, with why it cannot stand; what is typed is kept either way. */
export type ReadText<T> = (
  text: string,
) => { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

/** A plain number between two limits. */
export function plain(text: string, min: number, max: number, whole = false) {
  const value = /^\d+([.,]\d+)?$/.test(text.trim()) ? Number(text.replace(',', '.')) : Number.NaN;
  const fits = value >= min && value <= max && (!whole || Number.isInteger(value));
  return fits
    ? { ok: true as const, value }
    : { ok: false as const, message: w.numberBetween(min, max, whole) };
}

/** One field of the settings, read as it is typed. */
export function TypedField<T>({
  id,
  label,
  hint,
  value,
  placeholder,
  reads,
  onRead,
  onFault,
}: {
  id: string;
  label: string;
  hint?: string;
  value: string;
  placeholder?: string;
  reads: ReadText<T>;
  onRead: (value: T) => void;
  onFault: (field: string, wrong: boolean) => void;
}) {
  const [typed, setTyped] = useState(value);
  const [wrong, setWrong] = useState('');
  return (
    <TextField
      id={`shop-${id}`}
      label={label}
      value={typed}
      placeholder={placeholder}
      autoComplete="off"
      error={wrong !== ''}
      helperText={wrong || hint}
      slotProps={{ htmlInput: { maxLength: 20 }, inputLabel: { shrink: true } }}
      onChange={({ target }) => {
        setTyped(target.value);
        const answer = reads(target.value);
        setWrong(answer.ok ? '' : answer.message);
        onFault(id, !answer.ok);
        if (answer.ok) onRead(answer.value);
      }}
    />
  );
}
