'use client';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { ThemeProvider } from '@mui/material/styles';
import type { Shop } from '@/core/job';
import { theme } from '../theme/theme';
import { SCHEME } from '../theme/tokens';
import { VARIABLES } from '../theme/variables';
import { useServiceWorker } from '../keep/connection';
import { useDialog } from './useDialog';
import { useKeys, usePageKeys } from './useKeys';
import { ShellContext, type Opened } from './useShell';
import { useWho } from './useWho';

/** The variables stand in a sheet of their own; known to the provider, not to its types. */
const WRITTEN_ONCE = { disableStyleSheetGeneration: true } as object;

/** What every page has: theme, the person at work, find, new job, the list of keys. */
export function Shell({ shop, children }: { shop: Shop; children: ReactNode }) {
  const [opened, open] = useState<Opened>(null);
  const [who, setWho] = useWho(shop.people);
  usePageKeys();
  useServiceWorker();
  useKeys({ '/': () => open('find'), n: () => open('new'), '?': () => open('keys') });
  useEffect(() => {
    // From here on keys and taps are heard; what drives the page from outside waits for it.
    document.documentElement.dataset.ready = 'yes';
  }, []);
  const Dialog = useDialog(opened);
  const value = useMemo(() => ({ shop, who, setWho, open }), [shop, who, setWho]);
  const close = () => open(null);
  return (
    <ThemeProvider
      theme={theme}
      defaultMode="light"
      modeStorageKey={SCHEME.storageKey}
      {...WRITTEN_ONCE}
    >
      <style href="waffenrad-variables" precedence="variables">
        {VARIABLES}
      </style>
      <ShellContext value={value}>
        {children}
        {Dialog && <Dialog onClose={close} />}
      </ShellContext>
    </ThemeProvider>
  );
}
