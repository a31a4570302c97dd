import { offerBars } from './bars';

/** In: what bars are looked for, and from what. Out: the offers, or why there are none. */
self.onmessage = ({ data }: MessageEvent<unknown>) => self.postMessage(offerBars(data));
