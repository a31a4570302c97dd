import { mm } from '../../units';
import { attr, lengthMm, oneOf, orNone } from './attr';
import { component } from './part';

const HEADS = { field: 'field point', fixedBlade: 'fixed blades', mechanical: 'opening blades' };

export const POINT = component({
  name: 'Point',
  drawing: 'point',
  attrs: {
    /** Own centre of mass past the shaft's front end. */
    centreMm: attr(
      lengthMm(-30, 60),
      'Centre',
      'Own centre of mass past the shaft’s front end',
      mm(11),
    ),
    head: attr(oneOf('field', 'fixedBlade', 'mechanical'), 'Head', 'What it is', 'field'),
    /** Half the width over the blades; null for a head without fixed blades. */
    bladeMm: attr(
      orNone(lengthMm(5, 40)),
      'Fixed blade',
      'Middle of the shaft to the blade’s edge; empty for other points',
      mm(14),
    ),
  },
  faults: ({ head, bladeMm }) => [
    head === 'fixedBlade' && bladeMm === null && ['bladeMm', 'is needed for fixed blades'],
  ],
  glance: ({ head }, say, each) => [say.mass(each), HEADS[head]],
  saysMass: true,
});
