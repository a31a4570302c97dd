import type { Components } from '@mui/material/styles';
import type { TypographyVariantsOptions } from '@mui/material/styles';
import { fonts } from './tokens';

/** Text takes its size from where it stands; the variants say where it does not. */
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
  small: { fontSize: 'var(--size-fine)' },
  aside: { fontSize: 'var(--size-large)', color: 'var(--ink-soft)' },
} as TypographyVariantsOptions;

const figure = {
  fontFamily: fonts.figure,
  fontVariantNumeric: 'tabular-nums',
  fontWeight: 600,
  whiteSpace: 'nowrap',
} as const;

export const texts: Components = {
  MuiTypography: {
    defaultProps: {
      variant: 'inherit',
      variantMapping: {
        inherit: 'p',
        small: 'span',
        aside: 'span',
        figure: 'span',
        big: 'span',
        huge: 'span',
      } as Record<string, string>,
    },
    variants: [
      { props: { variant: 'figure' }, style: figure },
      {
        props: { variant: 'big' },
        style: {
          ...figure,
          fontSize: 'var(--size-work)',
          lineHeight: 1.05,
          color: 'var(--petrol)',
          '--unit': 'currentColor',
        },
      },
      {
        props: { variant: 'huge' },
        style: {
          ...figure,
          fontSize: 'var(--size-huge)',
          lineHeight: 1.05,
          '@media (max-width: 1180px)': { fontSize: 'var(--size-work)' },
        },
      },
    ],
  },
};
