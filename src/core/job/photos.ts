import { STEP_TEMPLATES } from '../bench';
import { isSetupKey, setupValue } from '../setup';

/** What a picture of a job shows: the whole bow, a step, or a value as it was read. */
export type PhotoAbout = 'bow' | `step:${string}` | `value:${string}`;

/** A photograph of a job, without the picture. */
export interface Photo {
  readonly id: number;
  readonly at: string;
  readonly who: string;
  readonly about: PhotoAbout;
  /** In the technician's words; may be empty. */
  readonly words: string;
  /** Of the picture as it is kept, px. */
  readonly width: number;
  readonly height: number;
  /** Printed on the record page of the next sheet. */
  readonly onRecord: boolean;
}

/** Pictures a job keeps at most. Shop rule. */
export const MOST_PHOTOS = 60;
/** On the record page at most: more are no record but an album. Shop rule. */
export const MOST_ON_RECORD = 6;
/** Longest side a picture is kept at, px. */
export const PHOTO_PX = 1600;

/** What a picture shows, in words; null where nothing is called that. */
export function photoAboutText(about: string): string | null {
  if (about === 'bow') return 'The whole bow';
  const [kind, name = ''] = [
    about.slice(0, about.indexOf(':')),
    about.slice(about.indexOf(':') + 1),
  ];
  if (kind === 'value') return isSetupKey(name) ? setupValue(name).name : null;
  return kind === 'step'
    ? (STEP_TEMPLATES.find(({ id }) => id === name)?.title ??
        (/^[a-z0-9-]{1,40}$/.test(name) ? name.replaceAll('-', ' ') : null))
    : null;
}
