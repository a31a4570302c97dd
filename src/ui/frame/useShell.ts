'use client';
import { createContext, useContext } from 'react';
import type { Shop } from '@/core/job';
import type { Right } from '@/core/people';

export type Opened = 'find' | 'new' | 'keys' | 'person' | null;

/** Who is at the tablet. */
export interface Someone {
  readonly id: string;
  readonly name: string;
  readonly rights: readonly Right[];
  /** What an entry that waits says by who made it; of the session. */
  readonly mark: string;
  /** When that session began, UTC instant. */
  readonly since: string;
}

interface ShellValue {
  readonly shop: Shop;
  readonly who: string;
  readonly mark: string;
  /** The shop is being opened: what is new is explained once. */
  readonly hints: boolean;
  /** Whether who is at the tablet may do this; the server asks again. */
  readonly may: (right: Right) => boolean;
  readonly open: (dialog: Opened) => void;
}

export const ShellContext = createContext<ShellValue | null>(null);

export function useShell(): ShellValue {
  const value = useContext(ShellContext);
  if (!value) throw new Error('useShell() is used outside of <Shell>');
  return value;
}
