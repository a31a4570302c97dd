'use client';
import Button from '@mui/material/Button';
import type { PhotoAbout } from '@/core/job';
import { Picture } from '../pieces/Picture';
import { FieldError } from '../pieces/texts';
import { photoWords as w } from '../words';
import { useJob } from './JobProvider';
import { usePhotos } from './usePhotos';
import css from './PhotoStrip.module.css';

/** What was photographed of a step or value, small, and a way to take another. */
export function PhotoStrip({ about }: { about: PhotoAbout }) {
  const { snapshot } = useJob();
  const photos = snapshot.photos.filter((photo) => photo.about === about);
  return (
    <div className={css.strip} data-part="photo-strip">
      {photos.map(({ id, words, width, height }) => (
        <a key={id} href={`/api/v1/jobs/${snapshot.job.id}/photos/${id}`} target="_blank">
          <Picture
            src={`/api/v1/jobs/${snapshot.job.id}/photos/${id}?size=small`}
            width={width}
            height={height}
            alt={words || w.of(about)}
          />
        </a>
      ))}
      <TakePhoto about={about} />
    </div>
  );
}

/** Camera or file: a tablet offers both. */
export function TakePhoto({ about }: { about: PhotoAbout }) {
  const { take, busy, trouble } = usePhotos(about);
  return (
    <>
      <Button variant="text" component="label" disabled={busy}>
        {busy ? w.keeping : w.take}
        <input
          id={`photo-${about.replace(/\W/g, '-')}`}
          type="file"
          accept="image/*"
          hidden
          onChange={({ target }) => {
            void take(target.files?.[0]);
            target.value = '';
          }}
        />
      </Button>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </>
  );
}
