import ButtonBase, { type ButtonBaseProps } from '@mui/material/ButtonBase';
import clsx from 'clsx';
import s from './Press.module.css';

/** Something to press that is no button of MUI's shape: its own module says how it lies. */
export const Press = ({ className, ...rest }: ButtonBaseProps) => (
  <ButtonBase className={clsx(s.press, className)} {...rest} />
);
