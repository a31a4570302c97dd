'use client';
import { createTheme } from '@mui/material/styles';
import { fonts, tokens as t } from './tokens';

/** MUI with the house's face: ink on paper, thin rules, no shadows, no capitals, no ripple. */
export const theme = createTheme({
  palette: {
    mode: 'light',
    background: { default: t.paper, paper: t.sheet },
    text: { primary: t.ink, secondary: t.inkSoft },
    primary: { main: t.petrol, contrastText: t.sheet },
    warning: { main: t.amberMark },
    error: { main: t.brick },
    success: { main: t.moss },
    divider: t.rule,
  },
  shape: { borderRadius: 3 },
  shadows: Array.from({ length: 25 }, () => 'none') as never,
  typography: {
    fontFamily: fonts.text,
    fontSize: 16,
    htmlFontSize: 16,
    button: { textTransform: 'none', fontWeight: 700, fontSize: 17, letterSpacing: 0 },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: {
          minHeight: 48,
          padding: '8px 18px',
          lineHeight: 1.2,
          textAlign: 'left',
          whiteSpace: 'nowrap',
          '&.Mui-focusVisible': { outline: '3px solid var(--amber-mark)', outlineOffset: 2 },
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
          textDecoration: 'underline',
          textUnderlineOffset: 4,
        },
      },
    },
    MuiToggleButtonGroup: {
      styleOverrides: {
        root: {
          flexWrap: 'wrap',
          width: 'fit-content',
          background: 'var(--sheet)',
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
          fontSize: 16,
          fontWeight: 500,
          textTransform: 'none',
          color: 'var(--ink)',
          borderColor: 'var(--rule)',
          '&.Mui-selected, &.Mui-selected:hover': {
            background: 'var(--petrol)',
            color: 'var(--on-strong)',
            fontWeight: 700,
          },
          '&.Mui-focusVisible': { outline: '3px solid var(--amber-mark)', outlineOffset: -3 },
        },
      },
    },
    MuiTextField: { defaultProps: { variant: 'standard', fullWidth: true } },
    MuiInputLabel: {
      defaultProps: { shrink: true },
      styleOverrides: {
        root: {
          color: 'var(--ink-soft)',
          fontSize: 15,
          transform: 'none',
          position: 'static',
          '&.Mui-focused': { color: 'var(--petrol)' },
          '&.Mui-error': { color: 'var(--brick)' },
        },
      },
    },
    MuiInput: {
      styleOverrides: {
        root: {
          marginTop: '2px !important',
          minHeight: 46,
          fontSize: 18,
          '&::before': { borderBottom: '1.5px solid var(--rule)' },
          '&::after': { borderBottom: '2.5px solid var(--petrol)' },
        },
      },
    },
    MuiFormHelperText: {
      styleOverrides: { root: { fontSize: 14.5, lineHeight: 1.35, margin: '4px 0 0' } },
    },
    MuiCheckbox: { styleOverrides: { root: { color: 'var(--ink-soft)', padding: 10 } } },
    MuiDialog: {
      styleOverrides: {
        paper: {
          border: '1.5px solid var(--ink)',
          background: 'var(--sheet)',
          backgroundImage: 'none',
        },
      },
    },
    MuiBackdrop: { styleOverrides: { root: { background: 'rgba(30, 42, 47, 0.35)' } } },
  },
});
