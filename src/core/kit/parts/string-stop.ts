import { mm } from '../../units';
import { attr, lengthMm } from './attr';
import { place } from './part';

export const STRING_STOP = place({
  name: 'String stop',
  need: 'extra',
  onTheBow: true,
  weight: 2,
  drawing: 'stringStop',
  attrs: {
    rodMm: attr(lengthMm(20, 400), 'Rod', 'Length of its rod', mm(120)),
  },
  glance: ({ rodMm }, say) => [`rod ${say.length(rodMm)}`],
});
