import { planPieces } from './calendar';

/** In: what is to be planned. Out: ever better plans, then the remedies. Ended from outside to stop. */
self.onmessage = ({ data }: MessageEvent<unknown>) => {
  for (const said of planPieces(data)) self.postMessage(said);
};
