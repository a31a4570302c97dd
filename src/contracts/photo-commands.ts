import { Type } from '@sinclair/typebox';
import { command, Text } from './lane-commands';

const Photo = Type.Integer({ minimum: 1, maximum: 999_999_999_999 });

/** What is done with photographs; the picture itself was handed in before. */
export const PHOTO_COMMANDS = [
  command('keepPhoto', { photo: Photo, words: Text(200) }),
  command('describePhoto', { photo: Photo, words: Text(200), onRecord: Type.Boolean() }),
  command('removePhoto', { photo: Photo }),
] as const;
