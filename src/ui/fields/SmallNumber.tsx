'use client';
import { useId } from 'react';
import clsx from 'clsx';
import type { ReadResult } from '@/core/units';
import { FieldError } from '../pieces/texts';
import { useTypedBefore } from './useTypedBefore';
import measureCss from './measure.module.css';

/** A number of a drawing, typed instead of tapped. */
export function SmallNumber({
  label,
  text,
  onText,
  result,
  current = false,
  name,
  placeholder = '0 mm',
  hasPad = false,
  isAt = false,
  onFocus,
}: {
  label: string;
  text: string;
  onText: (text: string) => void;
  result: ReadResult;
  current?: boolean;
  /** Id of the field, where something else refers to it. */
  name?: string;
  placeholder?: string;
  /** Fingers use the pad beside it, not the tablet’s own keys. */
  hasPad?: boolean;
  /** The pad writes into this one. */
  isAt?: boolean;
  onFocus?: () => void;
}) {
  const own = useId();
  const id = name ?? own;
  useTypedBefore(id, (field) => onText(field.value));
  const wrong = !result.ok && text.trim().length > 1 ? result.message : '';
  return (
    <div>
      <label className={measureCss.fieldLabel} htmlFor={id}>
        {label}
      </label>
      <div
        className={clsx(measureCss.measureField, measureCss.smallNumber)}
        data-wrong={wrong ? 'yes' : 'no'}
        data-at={isAt}
      >
        <div className={measureCss.line}>
          <input
            id={id}
            value={text}
            autoComplete="off"
            inputMode={hasPad ? 'none' : undefined}
            onFocus={onFocus}
            maxLength={30}
            placeholder={placeholder}
            data-measure={current ? '' : undefined}
            aria-invalid={wrong !== ''}
            aria-describedby={`${id}-wrong`}
            onChange={(event) => onText(event.target.value)}
          />
        </div>
      </div>
      <FieldError id={`${id}-wrong`}>{wrong}</FieldError>
    </div>
  );
}
