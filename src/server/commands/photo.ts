import { MOST_ON_RECORD, MOST_PHOTOS, photoAboutText } from '@/core/job';
import { describePhoto, keepPhoto, photoById, photosOf } from '@/data/photos';
import { cannot, ofStage, type Handlers, type Work } from './types';

const named = ({ db, snapshot }: Work, id: number) => {
  const photo = photoById(db, snapshot.job.id, id);
  if (!photo) throw cannot('no-photo', 'There is no such photograph.', '/command/photo');
  return photo;
};

const kept = (work: Work, id: number) => {
  const photo = named(work, id);
  if (!photo.kept) throw cannot('no-photo', 'This photograph was taken out.', '/command/photo');
  return photo;
};

/** Photographs: a picture that was handed in becomes the job's, is described, is taken out. */
export const PHOTO = ofStage('handover', {
  keepPhoto({ photo: id, words }, work) {
    const { db, snapshot, who, at } = work;
    const photo = named(work, id);
    if (photo.kept) throw cannot('kept-already', 'This photograph is kept already.');
    if (photosOf(db, snapshot.job.id).length >= MOST_PHOTOS)
      throw cannot('too-many-photos', `A job keeps ${MOST_PHOTOS} photographs.`);
    db.prepare('UPDATE photo SET who = ?, at = ? WHERE id = ?').run(who, at, id);
    describePhoto(db, id, words.trim(), false);
    keepPhoto(db, id, true);
    return {
      stage: '',
      summary: `Photograph: ${photoAboutText(photo.about)}`,
      inverse: { do: 'photoKept', photo: id, kept: false },
    };
  },

  describePhoto({ photo: id, words, onRecord }, work) {
    const photo = kept(work, id);
    const others = photosOf(work.db, work.snapshot.job.id).filter(
      (one) => one.onRecord && one.id !== id,
    ).length;
    if (onRecord && others >= MOST_ON_RECORD)
      throw cannot(
        'record-full',
        `The record page takes ${MOST_ON_RECORD} photographs: leave another off first.`,
        '/command/onRecord',
      );
    describePhoto(work.db, id, words.trim(), onRecord);
    return {
      stage: '',
      summary:
        onRecord === photo.onRecord
          ? `Photograph described: ${words.trim() || 'nothing'}`
          : onRecord
            ? 'Photograph goes on the record'
            : 'Photograph stays off the record',
      inverse: { do: 'photoSaid', photo: id, words: photo.words, onRecord: photo.onRecord },
    };
  },

  removePhoto({ photo: id }, work) {
    const photo = kept(work, id);
    keepPhoto(work.db, id, false);
    return {
      stage: '',
      summary: `Photograph taken out: ${photoAboutText(photo.about)}`,
      inverse: { do: 'photoKept', photo: id, kept: true },
    };
  },
} satisfies Partial<Handlers>);
