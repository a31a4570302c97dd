'use client';
import { useEffect, useRef } from 'react';
import { actedAt } from '../pieces/acted-at';

const TYPING = 'input, textarea, select, [contenteditable="true"], [role="dialog"]';
/** After `g` a digit goes to a stage for so long. */
const GO_MS = 1500;
/**
 * What goes on with a number that was begun: fractions, decimals, a unit’s first letter. Other letters
 * stay keys of the screen, also beside a number that was left standing.
 */
const GOES_ON = /^[0-9.,/"'#\s+−–°icmylNgof-]$/;

/** Whether a key belongs to what is focused and not to the screen. */
const isTyping = (target: EventTarget | null) =>
  target instanceof Element &&
  target.closest(TYPING) !== null &&
  !(target instanceof HTMLInputElement && ['checkbox', 'radio', 'button'].includes(target.type));

/** The measuring field of the screen, where it takes typing. */
const measuring = () => document.querySelector<HTMLInputElement>('input[data-measure]');

/** An empty measuring field holds no number yet: letters that begin none are keys of the screen. */
const isEmptyMeasure = (target: EventTarget | null, key: string, anyKey = false) =>
  target instanceof HTMLInputElement &&
  // A field for words takes every letter from the first on.
  target.matches('[data-measure=""]') &&
  target.value === '' &&
  (anyKey || !/^[0-9,"'#+−–-]$/.test(key));

let goUntil = 0;

/** `g` was pressed a moment ago: the next digit is a stage, not a number. */
const isGoing = () => actedAt() < goUntil;

/**
 * Single keys while nothing is being typed; Escape leaves the field that has the keys. A held key acts
 * once. Handlers are named by the key, those after `g` as "g 3".
 */
export function useKeys(handlers: Readonly<Record<string, () => void>>): void {
  const held = useRef(handlers);
  useEffect(() => {
    held.current = handlers;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      if (event.key === 'Escape' && isEmptyMeasure(event.target, '', true)) {
        (event.target as HTMLElement).blur();
        return;
      }
      const going = isGoing() && isEmptyMeasure(event.target, event.key, true);
      if (isTyping(event.target) && !going && !isEmptyMeasure(event.target, event.key)) {
        const inDialog = (event.target as Element).closest('[role="dialog"]') !== null;
        if (event.key === 'Escape' && !inDialog && !event.repeat)
          (event.target as HTMLElement).blur();
        return;
      }
      if (document.querySelector('[role="dialog"]')) return;
      const handler = held.current[isGoing() ? `g ${event.key}` : event.key];
      if (!handler) return;
      event.preventDefault();
      if (event.repeat) return;
      goUntil = 0;
      handler();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

/**
 * What every page hears: `g` before a stage, digits into the measuring field wherever the focus is,
 * and a held Enter or blank that acts once. Once on a page.
 */
export function usePageKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const { key, target } = event;
      // A held key goes on writing in a field, and does nothing else.
      if (event.repeat && (key === 'Enter' || (key === ' ' && !isTyping(target))))
        event.preventDefault();
      if (document.querySelector('[role="dialog"]')) return;
      if (isTyping(target) && !isEmptyMeasure(target, key)) return;
      if (key === 'g' && !event.repeat) {
        goUntil = actedAt(event) + GO_MS;
        event.preventDefault();
        return;
      }
      const field = measuring();
      if (!field || isGoing() || target === field) return;
      const begins = /^[0-9−-]$/.test(key);
      // Focused before the key is written: it writes itself into the field.
      if (begins || (field.value !== '' && GOES_ON.test(key))) {
        field.focus();
        event.stopImmediatePropagation();
      }
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, []);
}
