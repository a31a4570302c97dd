'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useRouter } from 'next/navigation';
import type { Shop } from '@/core/job';
import { post } from '../keep/post';
import { draftOf, keepDraft } from '../keep/draft';
import { shopWords as w } from '../words';

const UNSAVED = 'shop.unsaved';

/** What was changed and not saved before the page went; null where nothing was. */
export function unsavedSettings(): Partial<Shop> | null {
  try {
    return JSON.parse(draftOf(UNSAVED) || 'null') as Partial<Shop> | null;
  } catch {
    return null;
  }
}

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
      keepDraft(UNSAVED, '');
      router.refresh();
    });
  }, [router]);

  useEffect(() => {
    newest.current = settled;
    const changed = changes(saved.current, settled);
    // Until it is saved it outlives the page.
    keepDraft(UNSAVED, Object.keys(changed).length === 0 ? '' : JSON.stringify(changed));
    if (!typing()) save();
  }, [save, settled]);

  useEffect(() => () => save(), [save]);

  // After the field left has told what stands in it.
  const leave = useCallback(() => void setTimeout(save, 0), [save]);
  return { said, leave };
}

const changes = (saved: Partial<Shop>, now: Partial<Shop>): Partial<Shop> =>
  Object.fromEntries(
    Object.entries(now).filter(([key, value]) => !same(value, saved[key as keyof Shop])),
  );
