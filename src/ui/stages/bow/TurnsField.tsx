'use client';
import { useId } from 'react';
import Add from '@mui/icons-material/Add';
import Remove from '@mui/icons-material/Remove';
import { figureText, read, write, writeParts, type ReadOptions } from '@/core/units';
import { bow as w } from '../../words';

const QUARTER = 0.25;

/** Turns both bolts stand at: typed, or a quarter at a time up to the hard stop. */
export function TurnsField({
  text,
  onText,
  options,
  limit,
}: {
  text: string;
  onText: (text: string) => void;
  options: ReadOptions;
  limit: number;
}) {
  const id = useId();
  const result = read(text, options);
  const value = result.ok ? result.si : null;
  const put = (next: number) =>
    onText(figureText(writeParts(Math.min(limit, Math.max(0, next)), 'turns', options.shop)));
  const wrong = !result.ok && text.trim() !== '' ? result.message : null;
  const limitText = write(limit, 'turns', options.shop);
  return (
    <div className="turns-field">
      <label className="field-label" htmlFor={id}>
        <span>{w.standAt}</span>
        <span className="soft">{w.limit(limitText)}</span>
      </label>
      <div className="stepper" data-wrong={wrong ? 'yes' : 'no'}>
        <button
          type="button"
          aria-label={w.less}
          disabled={value !== null && value <= 0}
          onClick={() => put((value ?? 0) - QUARTER)}
        >
          <Remove />
        </button>
        <input
          id={id}
          value={text}
          autoComplete="off"
          maxLength={20}
          aria-invalid={wrong !== null}
          aria-describedby={`${id}-wrong`}
          onChange={(event) => onText(event.target.value)}
        />
        <button
          type="button"
          aria-label={w.more}
          disabled={value !== null && value >= limit}
          onClick={() => put((value ?? 0) + QUARTER)}
        >
          <Add />
        </button>
      </div>
      <div id={`${id}-wrong`} className="field-error" role={wrong ? 'alert' : undefined}>
        {wrong}
      </div>
      {value !== null && value >= limit && <p className="note">{w.hardStop(limitText)}</p>}
    </div>
  );
}
