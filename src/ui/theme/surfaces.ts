import type { Components } from '@mui/material/styles';

/** A role's three colours: its mark, its ground, its words. */
const tinted = (mark: string, name: string) => ({
  borderColor: `var(--${mark})`,
  background: `var(--${name}-tint)`,
  color: `var(--${name})`,
});

const tag = (name: string) => ({ background: `var(--${name}-tint)`, color: `var(--${name})` });

export const surfaces: Components = {
  // Spaced by gaps: what stands in it keeps its own margin, and a line that is broken begins at the edge.
  MuiStack: { defaultProps: { useFlexGap: true } },
  MuiAlert: {
    defaultProps: { icon: false },
    styleOverrides: {
      root: {
        border: 0,
        borderLeft: '4px solid',
        borderRadius: 0,
        padding: '9px 14px',
        font: 'inherit',
        fontSize: 'var(--size-normal)',
        lineHeight: 1.35,
      },
      message: { padding: 0, minWidth: 0, overflow: 'visible', flex: '1 1 auto' },
    },
    variants: [
      { props: { severity: 'warning' }, style: tinted('amber-mark', 'amber') },
      { props: { severity: 'error' }, style: tinted('brick', 'brick') },
      { props: { severity: 'success' }, style: tinted('moss', 'moss') },
      { props: { severity: 'info' }, style: tinted('plum', 'plum') },
    ],
  },
  MuiChip: {
    styleOverrides: {
      root: {
        height: 'auto',
        maxWidth: 'none',
        borderRadius: 3,
        fontSize: 'var(--size-fine)',
        fontWeight: 650,
        lineHeight: 1.45,
        padding: '2px 9px',
        background: 'var(--paper-deep)',
        color: 'var(--ink-soft)',
      },
      label: { padding: 0, overflow: 'visible' },
    },
    variants: [
      { props: { color: 'primary' }, style: tag('petrol') },
      { props: { color: 'info' }, style: tag('plum') },
      { props: { color: 'warning' }, style: tag('amber') },
      { props: { color: 'success' }, style: tag('moss') },
      { props: { color: 'error' }, style: tag('brick') },
    ],
  },
  MuiAccordion: {
    styleOverrides: {
      root: { background: 'none', '&::before': { display: 'none' } },
    },
  },
  MuiAccordionSummary: {
    styleOverrides: {
      root: {
        minHeight: 44,
        padding: 0,
        textDecoration: 'underline',
        textUnderlineOffset: 4,
      },
      content: { margin: 0 },
    },
  },
  MuiAccordionDetails: { styleOverrides: { root: { padding: 0 } } },
  MuiDialog: {
    styleOverrides: {
      paper: {
        border: '1.5px solid var(--ink)',
        background: 'var(--sheet)',
        backgroundImage: 'none',
      },
    },
  },
  MuiDialogTitle: {
    styleOverrides: {
      root: {
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'space-between',
        padding: '20px 24px 12px',
        fontSize: 'var(--size-title)',
        lineHeight: 1.2,
        fontWeight: 700,
        '& h2': { fontSize: 'inherit' },
      },
    },
  },
  MuiDialogContent: { styleOverrides: { root: { padding: '0 24px 24px', overflow: 'visible' } } },
  MuiBackdrop: { styleOverrides: { root: { background: 'var(--veil)' } } },
  MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
};
