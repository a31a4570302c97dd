import { mm } from '../../units';
import { attr, lengthMm } from './attr';
import { component } from './part';

export const VANE = component({
  name: 'Vane',
  drawing: 'vane',
  attrs: {
    lengthMm: attr(lengthMm(15, 150), 'Length', 'Along the shaft', mm(51)),
    heightMm: attr(lengthMm(2, 30), 'Height', 'From the skin', mm(11)),
  },
  glance: ({ lengthMm: long, heightMm }, say, each) => [
    say.mass(each),
    say.length(long),
    `${heightMm} mm tall`,
  ],
  saysMass: true,
});
