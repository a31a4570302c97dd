import { mm } from '../../units';
import { attr, lengthMm, oneOf, orNone, yesNo } from './attr';
import { good, place, plain } from './part';

const KINDS = { thumb: 'thumb button', index: 'index finger', backTension: 'back tension' };

export const RELEASE = place({
  name: 'Release',
  need: 'required',
  onTheBow: false,
  weight: 6,
  drawing: 'release',
  attrs: {
    type: attr(oneOf('thumb', 'index', 'backTension'), 'Kind', 'What lets it go', 'thumb'),
    /** Shortest loop its jaws close on; null where it also takes the bare string or is not known. */
    minLoopMm: attr(orNone(lengthMm(4, 40)), 'Shortest loop', 'Its jaws close on it', mm(10)),
    /** Its hook wears, or is worn by, a metal loop. */
    cordOnly: attr(yesNo, 'Cord only', 'Not for a metal loop', true),
  },
  glance: ({ type }) => [KINDS[type]],
  does: ({ attrs: { type } }, { release }) =>
    release !== 'unknown' && type === release ? good('the kind they shoot') : plain,
});
