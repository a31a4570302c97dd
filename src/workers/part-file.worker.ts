import { readPieces } from './part-file';

/** In: the file's text. Out: how far it is, then what was read. Ended from outside to cancel. */
self.onmessage = ({ data }: MessageEvent<unknown>) => {
  for (const said of readPieces(data)) self.postMessage(said);
};
