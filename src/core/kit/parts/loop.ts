import { mm } from '../../units';
import { attr, lengthMm, oneOf } from './attr';
import { place } from './part';

export const LOOP = place({
  name: 'Loop',
  need: 'required',
  onTheBow: true,
  weight: 2,
  drawing: 'loop',
  attrs: {
    lengthMm: attr(lengthMm(4, 40), 'Length', 'String to inside of loop', mm(13)),
    material: attr(oneOf('cord', 'metal'), 'Material', 'What it is made of', 'cord'),
  },
  glance: ({ lengthMm: long, material }, say) => [say.length(long), material],
});
