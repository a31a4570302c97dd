'use client';
import { useEffect, useRef, useState } from 'react';
import { TextField } from '../fields/TextField';
import { draftOf, keepDraft } from '../keep/draft';
import { shopWords as w } from '../words';

/** A number as it was typed, with why it cannot stand; what is typed is kept either way. */
type ReadText<T> = (
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
}: {
  id: string;
  label: string;
  hint?: string;
  value: string;
  placeholder?: string;
  reads: ReadText<T>;
  onRead: (value: T) => void;
}) {
  const draft = `shop.${id}`;
  const [typed, setTyped] = useState(value);
  const [wrong, setWrong] = useState('');
  /** Something was typed that is not taken yet; it may be nothing at all. */
  const dirty = useRef(false);
  const read = useRef(reads);
  useEffect(() => {
    const kept = draftOf(draft);
    if (kept === '') return;
    setTyped(kept);
    dirty.current = true;
    const answer = read.current(kept);
    setWrong(answer.ok ? '' : answer.message);
  }, [draft]);
  /** Taken when the field is left: "4" on the way to "40" is meant by nobody. */
  const take = (text: string) => {
    const answer = reads(text);
    if (!answer.ok || !dirty.current) return;
    dirty.current = false;
    keepDraft(draft, '');
    onRead(answer.value);
  };
  return (
    <TextField
      id={`shop-${id}`}
      label={label}
      value={typed}
      placeholder={placeholder}
      autoComplete="off"
      error={wrong !== ''}
      helperText={wrong || hint}
      slotProps={{ htmlInput: { maxLength: 20 } }}
      onChange={({ target }) => {
        setTyped(target.value);
        const answer = reads(target.value);
        setWrong(answer.ok ? '' : answer.message);
        keepDraft(draft, target.value);
        dirty.current = true;
      }}
      onBlur={() => take(typed)}
      onKeyDown={({ key }) => key === 'Enter' && take(typed)}
    />
  );
}
