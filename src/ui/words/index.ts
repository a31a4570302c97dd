/** Every word the screens say, by area; another language is another set of these files. */
export { frame } from './frame';
export { today } from './today';
export { fields } from './fields';
export { meet } from './meet';
export { fit } from './fit';
export { bow } from './bow';
export { kit } from './kit';
export { bench } from './bench';
export { lane } from './lane';
export { steady, handover } from './handover';
export { sheet } from './sheet';
export { shopWords } from './shop';
