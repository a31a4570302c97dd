import type { Components } from '@mui/material/styles';

export const inputs: Components = {
  MuiTextField: { defaultProps: { variant: 'standard', fullWidth: true } },
  MuiInputLabel: {
    defaultProps: { shrink: true },
    styleOverrides: {
      root: {
        color: 'var(--ink-soft)',
        fontSize: 'var(--size-small)',
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
        // The label stands over the field, not in it: no room is kept for it inside.
        '&&, label + &&': { marginTop: 2 },
        minHeight: 46,
        fontSize: 'var(--size-large)',
        '&::before': { borderBottom: '1.5px solid var(--rule)' },
        '&::after': { borderBottom: '2.5px solid var(--petrol)' },
      },
    },
  },
  MuiFormHelperText: {
    styleOverrides: {
      root: { fontSize: 'var(--size-fine)', lineHeight: 1.35, margin: '4px 0 0' },
    },
  },
  MuiCheckbox: { styleOverrides: { root: { color: 'var(--ink-soft)', padding: 10 } } },
  MuiNativeSelect: {
    styleOverrides: {
      icon: { color: 'var(--ink-soft)' },
      select: { '& option': { background: 'var(--sheet)' } },
    },
  },
};
