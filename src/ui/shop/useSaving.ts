'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useRouter } from 'next/navigation';
import type { Shop } from '@/core/job';
import { post } from '../job/post';
import { shopWords as w } from '../words';

type Said = { readonly text: string; readonly wrong: boolean } | null;

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Whether somebody is in the middle of typing: then it is saved when the field is left. */
const typing = () =>
  document.activeElement instanceof HTMLTextAreaElement ||
  (document.activeElement instanceof HTMLInputElement &&
    !['checkbox', 'radio', 'button', 'file'].includes(document.activeElement.type));

/**
 * Saves settings as they are given: what was typed when its field is left, what was chosen at once. Only
 * what changed is sent, so that another screen's changes stay.
 */
export function useSaving(shop: Shop, settled: Partial<Shop>): { said: Said; leave: () => void } {
  const router = useRouter();
  const [said, setSaid] = useState<Said>(null);
  const saved = useRef<Partial<Shop>>(shop);
  const newest = useRef(settled);
  const queue = useRef<Promise<unknown>>(Promise.resolve());

  const save = useCallback(() => {
    queue.current = queue.current.then(async () => {
      const changed = changes(saved.current, newest.current);
      if (Object.keys(changed).length === 0) return;
      const answer = await post<Shop>('/api/v1/shop', changed, 'PATCH');
      setSaid({ text: answer.ok ? w.saved : answer.message, wrong: !answer.ok });
      if (!answer.ok) return;
      saved.current = { ...saved.current, ...changed };
      router.refresh();
    });
  }, [router]);

  useEffect(() => {
    newest.current = settled;
    if (!typing()) save();
  }, [save, settled]);

  useEffect(() => {
    // The page goes in the middle of a field: what stands in it goes along.
    const going = () => {
      const changed = changes(saved.current, newest.current);
      if (Object.keys(changed).length === 0) return;
      void fetch('/api/v1/shop', {
        method: 'PATCH',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(changed),
        keepalive: true,
      }).catch(() => undefined);
    };
    window.addEventListener('pagehide', going);
    return () => {
      window.removeEventListener('pagehide', going);
      save();
    };
  }, [save]);

  return { said, leave: save };
}

const changes = (saved: Partial<Shop>, now: Partial<Shop>): Partial<Shop> =>
  Object.fromEntries(
    Object.entries(now).filter(([key, value]) => !same(value, saved[key as keyof Shop])),
  );
