'use client';
import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useRouter } from 'next/navigation';
import type { Shop } from '@/core/job';
import { Dress } from './Dress';
import { useServiceWorker } from '../keep/connection';
import { useForgetErased } from '../keep/forget-pages';
import { useNewestSomeone } from '../keep/newest-someone';
import { useSender } from '../keep/sender';
import { useDialog } from './useDialog';
import { useKeys, usePageKeys } from './useKeys';
import { useLock } from './useLock';
import { useTaps } from './useTaps';
import { ShellContext, type Opened, type Someone } from './useShell';

/** What every page has: theme, the person at work and the tablet's lock, find, new job, the list of keys. */
export function Shell({
  shop,
  someone: ofPage,
  hints = false,
  erased = 0,
  children,
}: {
  shop: Shop;
  someone: Someone;
  hints?: boolean;
  /** How many people were erased in this shop. */
  erased?: number;
  children: ReactNode;
}) {
  const someone = useNewestSomeone(ofPage);
  const [opened, open] = useState<Opened>(null);
  const router = useRouter();
  // What is typed stands in the page, which stays: only what was computed for somebody is asked for anew.
  const heard = useCallback(() => {
    open(null);
    router.refresh();
  }, [router]);
  const locked = useLock(shop.lockAfterMin, heard);
  usePageKeys();
  useTaps();
  useServiceWorker();
  useSender();
  useForgetErased(erased);
  useKeys({ '/': () => open('find'), n: () => open('new'), '?': () => open('keys') });
  useEffect(() => {
    // From here on keys and taps are heard; what drives the page from outside waits for it.
    document.documentElement.dataset.ready = 'yes';
  }, []);
  const Dialog = useDialog(locked ? 'locked' : opened);
  const value = useMemo(
    () => ({
      shop,
      who: someone.name,
      mark: someone.mark,
      hints,
      may: (right: Someone['rights'][number]) => someone.rights.includes(right),
      open,
    }),
    [shop, someone, hints],
  );
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
