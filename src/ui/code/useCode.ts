'use client';
import { useRef, useState } from 'react';
import type { CodeFound } from '@/core/sheet';
import { codeWords as w } from '../words';
import { pixelsOf, useCodeReader } from './usePicture';
import { askShop } from '../keep/ask-shop';

/** Larger files are not opened: a telephone's picture has a third of it. */
const MOST_MB = 25;

/** What was read, from wherever it came; a later text outruns an earlier answer. */
export function useCode() {
  const [text, setText] = useState('');
  const [found, setFound] = useState<CodeFound | null>(null);
  const [trouble, setTrouble] = useState('');
  const newest = useRef(0);
  const read = useCodeReader();

  const take = async (given: string) => {
    setText(given);
    setTrouble('');
    setFound(null);
    const own = ++newest.current;
    if (given.trim() === '') return;
    const answer = await ask(given);
    if (own !== newest.current) return;
    if ('code' in answer) setFound(answer);
    else setTrouble(answer.trouble);
  };

  const picture = async (file: File | undefined) => {
    if (!file) return;
    setText('');
    setFound(null);
    newest.current++;
    if (file.size > MOST_MB * 1e6) return setTrouble(w.tooLarge(MOST_MB));
    const bitmap = await createImageBitmap(file).catch(() => null);
    const pixels = bitmap && pixelsOf(bitmap, bitmap.width, bitmap.height);
    bitmap?.close();
    if (!pixels) return setTrouble(w.noPicture);
    const code = await read(pixels);
    if (code === null) setTrouble(w.noCode);
    else await take(code);
  };

  return { text, found, trouble, take, picture };
}

async function ask(text: string): Promise<CodeFound | { readonly trouble: string }> {
  try {
    const response = await askShop('/api/v1/codes', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ text }),
    });
    const body = (await response.json()) as CodeFound & { detail?: string; title?: string };
    return response.ok ? body : { trouble: body.detail ?? body.title ?? w.noCode };
  } catch {
    return { trouble: w.lost };
  }
}
