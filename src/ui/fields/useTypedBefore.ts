import { useEffect, useRef } from 'react';

/**
 * What somebody typed into a field before the page's scripts were there: the browser shows it, and nobody
 * has heard of it. Told once, when they are; with the next letter it would be gone otherwise.
 */
export function useTypedBefore(id: string, heard: (field: HTMLInputElement) => void): void {
  const first = useRef(heard);
  useEffect(() => {
    const field = document.getElementById(id);
    if (!(field instanceof HTMLInputElement) && !(field instanceof HTMLTextAreaElement)) return;
    // What it was drawn with stands in the page as its default.
    if (field.value !== field.defaultValue) first.current(field as HTMLInputElement);
  }, [id]);
}
