import type { ReactNode } from 'react';
import Alert, { type AlertProps } from '@mui/material/Alert';
import Chip, { type ChipProps } from '@mui/material/Chip';
import FormHelperText from '@mui/material/FormHelperText';
import { piece } from './piece';
import s from './texts.module.css';

/** A key of the keyboard, where pressing it does what stands beside it. */
export const Key = piece('span', s.key);
/** For those who hear the page. */
export const Heard = piece('p', s.heard);

const SEVERITY = { care: 'warning', stop: 'error', good: 'success', again: 'info' } as const;
type NoteKind = keyof typeof SEVERITY;

/** Something to heed: amber asks for care, brick stops, moss is good, plum is stale. */
export const Note = ({
  kind = 'care',
  role = 'note',
  ...rest
}: Omit<AlertProps, 'severity'> & { kind?: NoteKind | undefined }) => (
  <Alert severity={SEVERITY[kind]} role={role} data-kind={kind} {...rest} />
);

const COLOUR = {
  petrol: 'primary',
  again: 'info',
  waits: 'warning',
  warn: 'warning',
  delivered: 'success',
  in: 'success',
  out: 'error',
  stop: 'error',
  plain: 'default',
} as const;
type TagKind = keyof typeof COLOUR;

/** A word that says in which state something is. */
export const Tag = ({
  kind = 'petrol',
  children,
  ...rest
}: Omit<ChipProps, 'color' | 'label' | 'children'> & {
  /** What the table above does not name stands in petrol. */
  kind?: TagKind | (string & {}) | undefined;
  children: ReactNode;
}) => (
  <Chip
    component="span"
    color={COLOUR[kind as TagKind] ?? 'primary'}
    data-kind={kind}
    label={children}
    {...(rest as object)}
  />
);

/** Why something typed cannot be taken; nothing stands there while there is nothing to say. */
export const FieldError = ({
  children,
  ...rest
}: {
  children?: ReactNode;
  id?: string;
  role?: string;
  className?: string;
}) => (
  <FormHelperText error component="div" className={s.fieldError} {...rest}>
    {children}
  </FormHelperText>
);
