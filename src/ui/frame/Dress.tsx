'use client';
import type { ReactNode } from 'react';
import { ThemeProvider } from '@mui/material/styles';
import { theme } from '../theme/theme';
import { SCHEME } from '../theme/tokens';
import { VARIABLES } from '../theme/variables';

/** The variables stand in a sheet of their own; known to the provider, not to its types. */
const WRITTEN_ONCE = { disableStyleSheetGeneration: true } as object;

/** Our look, for all that stands in it. */
export const Dress = ({ children }: { children: ReactNode }) => (
  <ThemeProvider
    theme={theme}
    defaultMode="light"
    modeStorageKey={SCHEME.storageKey}
    {...WRITTEN_ONCE}
  >
    <style href="waffenrad-variables" precedence="variables">
      {VARIABLES}
    </style>
    {children}
  </ThemeProvider>
);
