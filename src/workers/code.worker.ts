import { codeIn } from './code';

/** In: a picture. Out: the text of its code, or null. */
self.onmessage = ({ data }: MessageEvent<unknown>) => self.postMessage(codeIn(data));
