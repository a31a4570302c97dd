import { attr, count, oneOf } from './attr';
import { place } from './part';

const PLACES = { string: 'on the string', limb: 'on the limbs', cable: 'on the cables' };

export const DAMPENERS = place({
  name: 'Dampeners',
  need: 'extra',
  onTheBow: true,
  weight: 2,
  drawing: 'dampeners',
  attrs: {
    place: attr(oneOf('string', 'limb', 'cable'), 'Place', 'Where they sit', 'string'),
    count: attr(count(1, 12), 'In the set', 'How many', 4),
  },
  glance: ({ count: pieces, place: where }) => [`${pieces} in the set`, PLACES[where]],
});
