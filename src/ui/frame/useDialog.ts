'use client';
import { useEffect, useRef, useState, type ComponentType } from 'react';
import { isConnected, reportLost } from '../keep/connection';
import type { Opened } from './useShell';

type Dialog = ComponentType<{ onClose: () => void }>;
type Name = NonNullable<Opened> | 'locked';

const DIALOGS: Readonly<Record<Name, () => Promise<Dialog>>> = {
  find: () => import('./FindDialog').then(({ FindDialog }) => FindDialog),
  new: () => import('./NewJobDialog').then(({ NewJobDialog }) => NewJobDialog),
  person: () => import('./PersonDialog').then(({ PersonDialog }) => PersonDialog),
  locked: () => import('./PersonDialog').then(({ LockedDialog }) => LockedDialog),
  keys: () => import('./KeysDialog').then(({ KeysDialog }) => KeysDialog),
};

/**
 * The window that is open. All are fetched when the page stands, so that they open at once and without
 * a connection; null while none is open or it is not here yet.
 */
export function useDialog(opened: Name | null): Dialog | null {
  const [here, setHere] = useState<Partial<Record<Name, Dialog>>>({});
  const missed = useRef(new Set<Name>());
  useEffect(() => {
    const fetchAll = () => {
      for (const [name, load] of Object.entries(DIALOGS) as [Name, () => Promise<Dialog>][])
        load().then(
          (dialog) => setHere((before) => ({ ...before, [name]: dialog })),
          () => missed.current.add(name),
        );
    };
    // What the page itself needs comes first.
    if (document.readyState === 'complete') return fetchAll();
    window.addEventListener('load', fetchAll, { once: true });
    return () => window.removeEventListener('load', fetchAll);
  }, []);
  useEffect(() => {
    if (opened === null || !missed.current.has(opened)) return;
    // A script that was missed once is not asked for again by this page: a page drawn anew has it.
    if (isConnected()) window.location.reload();
    else reportLost();
  }, [opened]);
  return opened === null ? null : (here[opened] ?? null);
}
