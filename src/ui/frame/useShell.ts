'use client';
import { createContext, useContext } from 'react';
import type { Shop } from '@/core/job';

export type Opened = 'find' | 'new' | 'keys' | null;

interface ShellValue {
  readonly shop: Shop;
  readonly who: string;
  readonly setWho: (name: string) => void;
  readonly open: (dialog: Opened) => void;
}

export const ShellContext = createContext<ShellValue | null>(null);

export function useShell(): ShellValue {
  const value = useContext(ShellContext);
  if (!value) throw new Error('useShell() is used outside of <Shell>');
  return value;
}
