import { MOST_PHOTOS, photoAboutText, type PhotoAbout } from '@/core/job';
import { db, type Db } from '@/data/db';
import { jobById } from '@/data/jobs';
import { forgetPhotos, insertPhoto, photosOf, pictureOf } from '@/data/photos';
import { nowIso } from './clock';
import type { KeptPicture } from './pictures';
import { invalid, notFound, Problem } from './problem';

/** Whatever was handed in and not kept is forgotten after a day. */
const FORGET_MS = 86_400_000;

/** Pictures being read at once: each may hold 25 MB and unfolds to more. */
const AT_ONCE = 4;
let beingRead = 0;

/**
 * Reads a picture while there is room for it.
 *
 * @throws Problem 503 where others are being read already; nothing of the body was read then.
 */
export async function withRoom<T>(work: () => Promise<T>): Promise<T> {
  if (beingRead >= AT_ONCE)
    throw new Problem(503, 'busy', 'Other pictures are being read', {
      detail: `${AT_ONCE} pictures are being read already. Try again in a few seconds.`,
      retryAfterS: 3,
    });
  beingRead++;
  try {
    return await work();
  } finally {
    beingRead--;
  }
}

/** Whether a picture may be handed in for a job at all: asked before its bytes are read. */
export function mayTakePhoto(jobId: string, about: string, on: Db = db()): PhotoAbout {
  if (!jobById(on, jobId)) throw notFound('job');
  if (about.length > 80 || photoAboutText(about) === null)
    throw invalid([
      { pointer: '/about', detail: 'is “bow”, “step:” and a step, or “value:” and a value' },
    ]);
  if (photosOf(on, jobId).length >= MOST_PHOTOS)
    throw new Problem(422, 'too-many-photos', 'There are many photographs already', {
      detail: `A job keeps ${MOST_PHOTOS} photographs: take one out first.`,
    });
  return about as PhotoAbout;
}

/** Hands a picture in; the command “keepPhoto” makes it the job's. */
export function handInPhoto(
  jobId: string,
  about: PhotoAbout,
  picture: KeptPicture,
  on: Db = db(),
): { readonly photo: number } {
  const at = nowIso();
  const run = on.transaction(() => {
    forgetPhotos(on, new Date(Date.parse(at) - FORGET_MS).toISOString());
    const { width, height } = picture;
    const photo = { jobId, at, who: '', about, words: '', width, height, onRecord: false };
    return { photo: insertPhoto(on, photo, picture) };
  });
  return run.immediate();
}

/** The bytes of a picture, JPEG. */
export function photoPicture(jobId: string, id: string, size: 'large' | 'small', on: Db = db()) {
  const bytes = /^\d{1,12}$/.test(id) ? pictureOf(on, jobId, Number(id), size) : null;
  if (!bytes) throw notFound('photograph');
  return bytes;
}

/** Pictures of a sheet's record by their number. */
export const recordPictures = (
  jobId: string,
  photos: readonly { readonly id: number }[],
  on: Db = db(),
): ReadonlyMap<number, Uint8Array> =>
  new Map(
    photos.flatMap(({ id }) => {
      const bytes = pictureOf(on, jobId, id, 'large');
      return bytes ? [[id, bytes] as const] : [];
    }),
  );
