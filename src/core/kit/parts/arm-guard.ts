import { mm } from '../../units';
import { attr, lengthMm } from './attr';
import { place } from './part';

export const ARM_GUARD = place({
  name: 'Arm guard',
  need: 'extra',
  onTheBow: false,
  weight: 2,
  drawing: 'armGuard',
  attrs: {
    lengthMm: attr(lengthMm(60, 400), 'Length', 'Along the arm', mm(170)),
  },
  glance: ({ lengthMm: long }, say) => [say.length(long)],
});
