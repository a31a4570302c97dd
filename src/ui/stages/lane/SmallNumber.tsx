'use client';
import { useId } from 'react';
import type { ReadResult } from '@/core/units';

/** A number of a drawing, typed instead of tapped. */
export function SmallNumber({
  label,
  text,
  onText,
  result,
  current = false,
}: {
  label: string;
  text: string;
  onText: (text: string) => void;
  result: ReadResult;
  current?: boolean;
}) {
  const id = useId();
  const wrong = !result.ok && text.trim().length > 1 ? result.message : '';
  return (
    <div>
      <label className="field-label" htmlFor={id}>
        {label}
      </label>
      <div className="measure-field small-number" data-wrong={wrong ? 'yes' : 'no'}>
        <div className="line">
          <input
            id={id}
            value={text}
            autoComplete="off"
            maxLength={30}
            placeholder="0 mm"
            data-measure={current ? '' : undefined}
            aria-invalid={wrong !== ''}
            aria-describedby={`${id}-wrong`}
            onChange={(event) => onText(event.target.value)}
          />
        </div>
      </div>
      <div id={`${id}-wrong`} className="field-error">
        {wrong}
      </div>
    </div>
  );
}
