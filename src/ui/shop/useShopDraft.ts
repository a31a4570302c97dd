'use client';
import { useEffect, useState } from 'react';
import type { Shop } from '@/core/job';
import { shopWords as w } from '../words';
import { unsavedSettings, useSaving } from './useSaving';

/** The settings as they stand on this screen, saved as they are given. */
export function useShopDraft(shop: Shop) {
  const [draft, setDraft] = useState(shop);
  /** Fields begin anew with what stood in them. */
  const [round, setRound] = useState(0);
  useEffect(() => {
    const kept = unsavedSettings();
    if (!kept) return;
    setDraft((now) => ({ ...now, ...kept.changed }));
    setRound((n) => n + 1);
  }, []);
  const faults = faultsOf(draft);
  const { said, leave } = useSaving(shop, settled(draft, faults));
  const change = (part: Partial<Shop>) => setDraft((now) => ({ ...now, ...part }));
  return { draft, change, faults, said, leave, round };
}

/** What can be saved: of a field that cannot stand as it is the others go all the same. */
function settled(draft: Shop, faults: Faults): Partial<Shop> {
  const { name, address, phone, timeZone, people: _people, ...rest } = draft;
  return {
    ...rest,
    address,
    phone,
    ...(faults.name ? {} : { name }),
    ...(faults.timeZone ? {} : { timeZone }),
  };
}

export type Faults = Partial<Record<'name' | 'address' | 'phone' | 'timeZone', string>>;

/** What cannot be saved as it stands, by field. */
function faultsOf(draft: Shop): Faults {
  return {
    ...(draft.name.trim() === '' ? { name: w.nameMissing } : {}),
    ...(isTimeZone(draft.timeZone) ? {} : { timeZone: w.timeZoneWrong }),
  };
}

function isTimeZone(text: string): boolean {
  try {
    return text !== '' && Boolean(new Intl.DateTimeFormat('en', { timeZone: text }));
  } catch {
    return false;
  }
}
