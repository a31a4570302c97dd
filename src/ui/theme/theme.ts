'use client';
import { createTheme } from '@mui/material/styles';
import { fonts } from './tokens';

/** The page's own variables, so that everything of MUI's turns with the dim screen too. */
const t = {
  paper: 'var(--paper)',
  sheet: 'var(--sheet)',
  paperDeep: 'var(--paper-deep)',
  ink: 'var(--ink)',
  inkSoft: 'var(--ink-soft)',
  rule: 'var(--rule)',
  onStrong: 'var(--on-strong)',
  petrol: 'var(--petrol)',
  amberMark: 'var(--amber-mark)',
  brick: 'var(--brick)',
  moss: 'var(--moss)',
};
const strong = (main: string) => ({ main, light: main, dark: main, contrastText: t.onStrong });

/** MUI with the house's face: ink on paper, thin rules, no shadows, no capitals, no ripple. */
export const theme = createTheme({
  cssVariables: { nativeColor: true },
  palette: {
    mode: 'light',
    background: { default: t.paper, paper: t.sheet },
    text: { primary: t.ink, secondary: t.inkSoft, disabled: t.inkSoft },
    primary: strong(t.petrol),
    secondary: strong(t.petrol),
    info: strong(t.petrol),
    warning: strong(t.amberMark),
    error: strong(t.brick),
    success: strong(t.moss),
    action: { active: t.inkSoft, disabled: t.inkSoft, disabledBackground: t.paperDeep },
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
    MuiNativeSelect: {
      styleOverrides: {
        icon: { color: t.inkSoft },
        select: { '& option': { background: t.sheet } },
      },
    },
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
