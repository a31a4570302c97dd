'use client';
import { useState } from 'react';
import type { PhotoAbout } from '@/core/job';
import { photoWords as w } from '../words';
import { useJob } from './JobProvider';
import { askShop } from '../keep/ask-shop';

/** As the server takes them. */
const MOST_MB = 25;

/** Takes pictures for a job: handed in first, kept by an entry like any other. */
export function usePhotos(about: PhotoAbout) {
  const { snapshot, send } = useJob();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const take = async (file: File | undefined) => {
    if (!file || busy) return;
    setTrouble('');
    if (file.size > MOST_MB * 1e6)
      return setTrouble(w.tooLarge(MOST_MB, Math.round(file.size / 1e6)));
    setBusy(true);
    const handed = await handIn(snapshot.job.id, about, file);
    const refused =
      'photo' in handed ? await send({ name: 'keepPhoto', photo: handed.photo, words: '' }) : null;
    setBusy(false);
    if ('trouble' in handed) setTrouble(handed.trouble);
    else if (refused) setTrouble(refused.message);
  };
  return { take, busy, trouble };
}

async function handIn(
  jobId: string,
  about: PhotoAbout,
  file: File,
): Promise<{ readonly photo: number } | { readonly trouble: string }> {
  try {
    const response = await askShop(
      `/api/v1/jobs/${jobId}/photos?about=${encodeURIComponent(about)}`,
      { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: file },
    );
    const body = (await response.json()) as { photo: number; detail?: string; title?: string };
    return response.ok ? body : { trouble: body.detail ?? body.title ?? w.lost };
  } catch {
    return { trouble: w.lost };
  }
}
