'use client';
import { useId } from 'react';
import Add from '@mui/icons-material/Add';
import Remove from '@mui/icons-material/Remove';
import { figureText, read, write, writeParts, type ReadOptions } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { bow as w } from '../../words';
import { FieldError, Note } from '../../pieces/texts';
import measureCss from '../../fields/measure.module.css';
import { useTypedBefore } from '../../fields/useTypedBefore';
import css from './TurnsField.module.css';

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
  useTypedBefore(id, (field) => onText(field.value));
  const result = read(text, options);
  const value = result.ok ? result.si : null;
  const put = (next: number) =>
    onText(figureText(writeParts(Math.min(limit, Math.max(0, next)), 'turns', options.shop)));
  const wrong = !result.ok && text.trim() !== '' ? result.message : null;
  const limitText = write(limit, 'turns', options.shop);
  return (
    <div>
      <label className={measureCss.fieldLabel} htmlFor={id}>
        <span>{w.standAt}</span>
        <Text soft as="span">
          {w.limit(limitText)}
        </Text>
      </label>
      <div className={css.stepper} data-part="stepper" data-wrong={wrong ? 'yes' : 'no'}>
        <Press
          type="button"
          aria-label={w.less}
          disabled={value !== null && value <= 0}
          onClick={() => put((value ?? 0) - QUARTER)}
        >
          <Remove />
        </Press>
        <input
          id={id}
          value={text}
          autoComplete="off"
          maxLength={20}
          aria-invalid={wrong !== null}
          aria-describedby={`${id}-wrong`}
          onChange={(event) => onText(event.target.value)}
        />
        <Press
          type="button"
          aria-label={w.more}
          disabled={value !== null && value >= limit}
          onClick={() => put((value ?? 0) + QUARTER)}
        >
          <Add />
        </Press>
      </div>
      <FieldError id={`${id}-wrong`} role={wrong ? 'alert' : undefined}>
        {wrong}
      </FieldError>
      {value !== null && value >= limit && <Note>{w.hardStop(limitText)}</Note>}
    </div>
  );
}
