'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useRouter } from 'next/navigation';
import { havingSeen, sameValue, type Clash } from '@/contracts/merge';
import type { Shop } from '@/core/job';
import { post } from '../keep/post';
import { draftOf, keepDraft } from '../keep/draft';
import { shopWords as w } from '../words';

const UNSAVED = 'shop.unsaved';

/** What was changed and not saved before the page went, and what stood there then. */
interface Unsaved {
  readonly changed: Partial<Shop>;
  readonly seen: Partial<Shop>;
}

/** Null where nothing was. */
export function unsavedSettings(): Unsaved | null {
  try {
    return JSON.parse(draftOf(UNSAVED) || 'null') as Unsaved | null;
  } catch {
    return null;
  }
}

type Said = { readonly text: string; readonly wrong: boolean } | null;

/** Whether somebody is in the middle of typing: then it is saved when the field is left. */
const typing = () =>
  document.activeElement instanceof HTMLTextAreaElement ||
  (document.activeElement instanceof HTMLInputElement &&
    !['checkbox', 'radio', 'button', 'file'].includes(document.activeElement.type));

/**
 * Saves settings as they are given: what was typed when its field is left, what was chosen at once. Only
 * what changed is sent, with what stood there before, so that another screen's changes stay.
 */
export function useSaving(shop: Shop, settled: Partial<Shop>): { said: Said; leave: () => void } {
  const router = useRouter();
  const [said, setSaid] = useState<Said>(null);
  const saved = useRef<Partial<Shop>>(shop);
  const newest = useRef(settled);
  const queue = useRef<Promise<unknown>>(Promise.resolve());

  /** What is typed and not saved outlives the page. */
  const keepUnsaved = useCallback(() => {
    const changed = changes(saved.current, newest.current);
    const unsaved: Unsaved = { changed, seen: pickOf(saved.current, changed) };
    keepDraft(UNSAVED, Object.keys(changed).length === 0 ? '' : JSON.stringify(unsaved));
  }, []);

  const save = useCallback(() => {
    // As it stands now: what is typed while this is on its way is saved when its own field is left.
    const given = newest.current;
    queue.current = queue.current.then(async () => {
      const changed = changes(saved.current, given);
      if (Object.keys(changed).length === 0) return;
      const seen = pickOf(saved.current, changed);
      const answer = await post<Shop>('/api/v1/shop', { ...changed, seen }, 'PATCH');
      setSaid({ text: answer.ok ? w.saved : answer.message, wrong: !answer.ok });
      if (!answer.ok) {
        // Told what stands there now, whoever saves once more means it.
        const clashes = answer.problem.clashes as readonly Clash[] | undefined;
        if (clashes) saved.current = havingSeen(saved.current, clashes) as Partial<Shop>;
        return;
      }
      saved.current = { ...saved.current, ...changed };
      keepUnsaved();
      router.refresh();
    });
  }, [keepUnsaved, router]);

  useEffect(() => {
    const kept = unsavedSettings();
    if (kept) saved.current = { ...saved.current, ...kept.seen };
  }, []);

  useEffect(() => {
    newest.current = settled;
    keepUnsaved();
    if (!typing()) save();
  }, [keepUnsaved, save, settled]);

  useEffect(() => () => save(), [save]);

  // After the field left has told what stands in it, and before the first key of the next one.
  const leave = useCallback(() => queueMicrotask(save), [save]);
  return { said, leave };
}

/** What is saved of the fields that changed. */
const pickOf = (saved: Partial<Shop>, changed: Partial<Shop>): Partial<Shop> =>
  Object.fromEntries(
    Object.keys(changed).flatMap((key) => (key in saved ? [[key, saved[key as keyof Shop]]] : [])),
  );

const changes = (saved: Partial<Shop>, now: Partial<Shop>): Partial<Shop> =>
  Object.fromEntries(
    Object.entries(now).filter(([key, value]) => !sameValue(value, saved[key as keyof Shop])),
  );
