import type { ChangeEvent, ComponentProps, ReactNode } from 'react';
import FormControl, { type FormControlProps } from '@mui/material/FormControl';
import FormHelperText from '@mui/material/FormHelperText';
import Input, { type InputProps } from '@mui/material/Input';
import InputLabel from '@mui/material/InputLabel';
import NativeSelect from '@mui/material/NativeSelect';
import { useTypedBefore } from './useTypedBefore';

type Change = (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => void;

interface TextFieldProps
  extends
    Omit<FormControlProps, 'onChange' | 'onBlur' | 'onKeyDown' | 'children' | 'defaultValue'>,
    Pick<
      InputProps,
      | 'value'
      | 'type'
      | 'multiline'
      | 'minRows'
      | 'maxRows'
      | 'autoComplete'
      | 'autoFocus'
      | 'placeholder'
      | 'inputRef'
      | 'onBlur'
      | 'onKeyDown'
    > {
  /** Label and help text are tied to the field by it. */
  readonly id: string;
  readonly label?: ReactNode;
  readonly helperText?: ReactNode;
  readonly onChange?: Change;
  /** One of its options instead of text. */
  readonly select?: boolean;
  readonly children?: ReactNode;
  readonly slotProps?: {
    readonly htmlInput?: ComponentProps<'input'>;
    readonly formHelperText?: ComponentProps<typeof FormHelperText>;
  };
}

/**
 * A line of text with its label and what is to say of it. Put together here, because the one of the
 * box brings menus, popovers and frames along that nothing of ours shows.
 */
export function TextField({
  id,
  label,
  helperText,
  value,
  type,
  multiline,
  minRows,
  maxRows,
  autoComplete,
  autoFocus,
  placeholder,
  inputRef,
  onChange,
  onBlur,
  onKeyDown,
  select = false,
  children,
  slotProps = {},
  ...rest
}: TextFieldProps) {
  useTypedBefore(id, (target) => onChange?.({ target } as ChangeEvent<HTMLInputElement>));
  const helpId = helperText ? `${id}-helper-text` : undefined;
  const shared = { id, value, onBlur, onKeyDown, autoFocus, inputRef, 'aria-describedby': helpId };
  return (
    <FormControl variant="standard" fullWidth {...rest}>
      {label !== undefined && label !== '' && (
        <InputLabel htmlFor={id} id={`${id}-label`}>
          {label}
        </InputLabel>
      )}
      {select ? (
        <NativeSelect
          {...shared}
          inputProps={{ ...slotProps.htmlInput, id } as object}
          onChange={onChange as never}
        >
          {children}
        </NativeSelect>
      ) : (
        <Input
          {...shared}
          type={type}
          multiline={multiline}
          minRows={minRows}
          maxRows={maxRows}
          autoComplete={autoComplete}
          placeholder={placeholder}
          inputProps={slotProps.htmlInput}
          onChange={onChange}
        />
      )}
      {helperText && (
        <FormHelperText id={helpId} {...slotProps.formHelperText}>
          {helperText}
        </FormHelperText>
      )}
    </FormControl>
  );
}
