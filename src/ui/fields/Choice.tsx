'use client';
import { useId } from 'react';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { Text } from '../pieces/Text';
import css from './Choice.module.css';

export interface ChoiceOption<T extends string> {
  readonly id: T;
  readonly name: string;
}

/** One of a few, all in sight; `value` null is "not answered yet". */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  hint,
  wide = false,
}: {
  label: string;
  value: T | null;
  options: readonly ChoiceOption<T>[];
  onChange: (value: T) => void;
  hint?: string;
  /** Takes both columns of a form. */
  wide?: boolean;
}) {
  const id = useId();
  return (
    <div className={css.choice} {...(wide ? { 'data-wide': '' } : {})}>
      <span className={css.choiceLabel} data-choice-label="" id={id}>
        {label}
      </span>
      <ToggleButtonGroup
        exclusive
        aria-labelledby={id}
        value={value}
        onChange={(_, next: T | null) => next !== null && onChange(next)}
      >
        {options.map((option) => (
          <ToggleButton key={option.id} value={option.id}>
            {option.name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {hint && (
        <Text variant="small" soft>
          {hint}
        </Text>
      )}
    </div>
  );
}
