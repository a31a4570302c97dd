'use client';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import type { Shop } from '@/core/job';
import { Dress } from './Dress';
import { useServiceWorker } from '../keep/connection';
import { useDialog } from './useDialog';
import { useKeys, usePageKeys } from './useKeys';
import { ShellContext, type Opened } from './useShell';
import { useWho } from './useWho';

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
    <Dress>
      <ShellContext value={value}>
        {children}
        {Dialog && <Dialog onClose={close} />}
      </ShellContext>
    </Dress>
  );
}
