import { photoAboutText } from '@/core/job';

/** Words of the photographs. */
export const photoWords = {
  title: 'Photographs',
  none: 'None yet. A picture of the finished bow, of the rest and of the peep tells more than a page.',
  take: 'Photograph',
  keeping: 'Keeping the picture …',
  of: (about: string) => photoAboutText(about) ?? about,
  words: 'What it shows',
  onRecord: 'On the record page of the sheet',
  remove: 'Take it out',
  tooLarge: (most: number, mb: number) =>
    `This file has ${mb} MB, at most ${most} are taken: save it smaller, or photograph again.`,
  lost: 'The picture could not be handed in: the program does not answer. Try it again.',
} as const;
