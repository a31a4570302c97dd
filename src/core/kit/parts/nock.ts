import { mm } from '../../units';
import { attr, lengthMm } from './attr';
import { component } from './part';

export const NOCK = component({
  name: 'Nock',
  drawing: 'nock',
  attrs: {
    /** Groove to the shaft's end. */
    throatMm: attr(lengthMm(2, 25), 'Throat', 'Groove to shaft end', mm(8)),
    fitsInnerMm: attr(lengthMm(2, 11), 'Fits inside', 'Of a shaft', mm(5.2)),
  },
  glance: ({ fitsInnerMm }, say, each) => [say.mass(each), `into ${fitsInnerMm} mm`],
  saysMass: true,
});
