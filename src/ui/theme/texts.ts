import type { TypographyVariantsOptions } from '@mui/material/styles';
import { fonts } from './tokens';

/** The type of what MUI draws; our own text is `pieces/Text`. */
export const typography = {
  fontFamily: fonts.text,
  fontSize: 16,
  htmlFontSize: 16,
  button: {
    textTransform: 'none',
    fontWeight: 700,
    fontSize: 'var(--size-large)',
    letterSpacing: 0,
  },
} as TypographyVariantsOptions;
