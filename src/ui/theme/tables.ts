import type { Components } from '@mui/material/styles';

export const tables: Components = {
  MuiTable: { styleOverrides: { root: { fontSize: 'var(--size-normal)' } } },
  MuiTableCell: {
    styleOverrides: {
      root: {
        font: 'inherit',
        padding: '8px 10px 8px 0',
        borderBottom: '1px solid var(--rule-soft)',
        verticalAlign: 'baseline',
        color: 'inherit',
      },
      head: {
        fontSize: 'var(--size-fine)',
        fontWeight: 650,
        color: 'var(--ink-soft)',
        padding: '4px 10px 6px 0',
        borderBottomColor: 'var(--rule)',
      },
      footer: { fontSize: 'inherit', color: 'inherit' },
    },
  },
};
