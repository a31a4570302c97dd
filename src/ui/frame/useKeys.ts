'use client';
import { useEffect, useRef } from 'react';

const TYPING = 'input, textarea, select, [contenteditable="true"], [role="dialog"]';

/** Whether a key belongs to what is focused and not to the screen. */
const isTyping = (target: EventTarget | null) =>
  target instanceof Element &&
  target.closest(TYPING) !== null &&
  !(target instanceof HTMLInputElement && ['checkbox', 'radio', 'button'].includes(target.type));

/** Single keys while nothing is being typed; Escape leaves the field that has the keys. */
export function useKeys(handlers: Readonly<Record<string, () => void>>): void {
  const held = useRef(handlers);
  useEffect(() => {
    held.current = handlers;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      if (isTyping(event.target)) {
        const inDialog = (event.target as Element).closest('[role="dialog"]') !== null;
        if (event.key === 'Escape' && !inDialog) (event.target as HTMLElement).blur();
        return;
      }
      if (document.querySelector('[role="dialog"]')) return;
      const handler = held.current[event.key];
      if (!handler) return;
      event.preventDefault();
      handler();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
