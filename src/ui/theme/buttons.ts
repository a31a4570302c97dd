import type { Components } from '@mui/material/styles';

const focus = { outline: '3px solid var(--amber-mark)', outlineOffset: 2 };

export const buttons: Components = {
  MuiButtonBase: {
    defaultProps: { disableRipple: true },
    styleOverrides: { root: { font: 'inherit', '&.Mui-focusVisible': focus } },
  },
  MuiButton: {
    defaultProps: { disableElevation: true },
    styleOverrides: {
      root: {
        minHeight: 48,
        padding: '8px 18px',
        lineHeight: 1.2,
        textAlign: 'left',
        whiteSpace: 'nowrap',
        // In a narrow column words go on in a second line rather than out of their button.
        '@media (max-width: 1180px)': { whiteSpace: 'normal' },
      },
      contained: {
        background: 'var(--petrol)',
        color: 'var(--on-strong)',
        '&:hover': { background: 'var(--petrol)', filter: 'brightness(0.93)' },
        '&.Mui-disabled': { background: 'var(--paper-deep)', color: 'var(--ink-soft)' },
      },
      outlined: {
        borderWidth: 1.5,
        borderColor: 'var(--petrol)',
        background: 'var(--sheet)',
        color: 'var(--petrol)',
      },
      text: {
        color: 'var(--petrol)',
        padding: '8px 10px',
        // It has no edge of its own: its words stand in line with what is above them.
        marginLeft: -10,
        textDecoration: 'underline',
        textUnderlineOffset: 4,
      },
    },
    variants: [
      {
        props: { variant: 'outlined', color: 'error' },
        style: { borderColor: 'var(--brick)', color: 'var(--brick)' },
      },
      {
        props: { variant: 'plain' },
        style: {
          minHeight: 44,
          minWidth: 44,
          padding: '0 6px',
          gap: 7,
          fontSize: 'inherit',
          fontWeight: 'inherit',
          color: 'var(--ink-soft)',
          '&:hover': { color: 'var(--ink)', background: 'none' },
        },
      },
      {
        props: { variant: 'link' },
        style: {
          minHeight: 44,
          minWidth: 0,
          padding: 0,
          fontSize: 'inherit',
          fontWeight: 650,
          color: 'var(--ink)',
          textDecoration: 'underline',
          textDecorationColor: 'var(--rule)',
          textUnderlineOffset: 4,
          '&:hover': { background: 'none', textDecoration: 'underline' },
        },
      },
    ],
  },
  MuiToggleButtonGroup: {
    styleOverrides: {
      root: {
        flexWrap: 'wrap',
        width: 'fit-content',
        borderRadius: 3,
      },
    },
  },
  MuiToggleButton: {
    styleOverrides: {
      root: {
        minHeight: 46,
        minWidth: 56,
        padding: '6px 14px',
        fontSize: 'var(--size-normal)',
        fontWeight: 500,
        textTransform: 'none',
        color: 'var(--ink)',
        background: 'var(--sheet)',
        borderColor: 'var(--rule)',
        '&.Mui-selected, &.Mui-selected:hover': {
          background: 'var(--petrol)',
          color: 'var(--on-strong)',
          fontWeight: 700,
        },
        '&.Mui-focusVisible': { outlineOffset: -3 },
      },
    },
  },
};
