import sharp, { type SharpOptions } from 'sharp';
import { PHOTO_PX } from '@/core/job';
import { Problem } from './problem';

/** More squares than any camera of a telephone makes: a small file can unfold to gigabytes. */
const MOST_PIXELS = 120_000_000;
const SMALL_PX = 320;
/** By what the bytes say, whatever the name says. */
const TAKEN = ['jpeg', 'png', 'webp', 'heif', 'avif'];

export interface KeptPicture {
  readonly large: Uint8Array;
  readonly small: Uint8Array;
  readonly width: number;
  readonly height: number;
}

const noPicture = (detail: string) =>
  new Problem(422, 'no-picture', 'This is no picture that can be kept', {
    detail,
    errors: [{ pointer: '', detail }],
  });

/**
 * A photograph as it is kept: turned upright, at most 1,600 px, JPEG, without place, device and time the
 * camera wrote into it.
 *
 * @throws Problem where it is no picture, broken, or of a kind that is not taken.
 */
export async function keptPicture(bytes: Uint8Array): Promise<KeptPicture> {
  const options = { limitInputPixels: MOST_PIXELS, failOn: 'error' as const };
  const format = await formatOf(bytes, options);
  if (format === undefined || !TAKEN.includes(format))
    throw noPicture(
      'Its bytes are no photograph, whatever its name says: JPEG, PNG and WebP are taken.',
    );
  try {
    const upright = sharp(bytes, options).rotate().flatten({ background: '#ffffff' });
    const sized = (px: number) =>
      upright
        .clone()
        .resize({ width: px, height: px, fit: 'inside', withoutEnlargement: true })
        .jpeg({ quality: px === SMALL_PX ? 70 : 82, mozjpeg: px !== SMALL_PX });
    const [large, small] = await Promise.all([
      sized(PHOTO_PX).toBuffer({ resolveWithObject: true }),
      sized(SMALL_PX).toBuffer(),
    ]);
    const { width, height } = large.info;
    return { large: large.data, small, width, height };
  } catch {
    throw noPicture(
      'The picture is broken, or larger than 120 megapixels: take it again, or save it anew.',
    );
  }
}

/** What the bytes say they are; undefined where that is no picture at all. */
async function formatOf(bytes: Uint8Array, options: SharpOptions) {
  try {
    return (await sharp(bytes, options).metadata()).format;
  } catch {
    return undefined;
  }
}
