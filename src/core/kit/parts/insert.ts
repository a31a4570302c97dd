import { mm } from '../../units';
import { attr, lengthMm } from './attr';
import { component } from './part';

export const INSERT = component({
  name: 'Insert',
  drawing: 'insert',
  attrs: {
    lengthMm: attr(lengthMm(3, 120), 'Length', 'Inside the shaft', mm(22)),
    fitsInnerMm: attr(lengthMm(2, 11), 'Fits inside', 'Of a shaft', mm(5.2)),
  },
  glance: ({ fitsInnerMm }, say, each) => [say.mass(each), `into ${fitsInnerMm} mm`],
  saysMass: true,
});
