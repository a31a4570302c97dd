import { mm } from '../../units';
import { attr, lengthMm, rate, spineIn } from './attr';
import { component } from './part';
import { shaftText, spineText } from './shared';

export const SHAFT = component({
  name: 'Shaft',
  drawing: 'shaft',
  attrs: {
    outerMm: attr(lengthMm(3, 12), 'Outside', 'Outer diameter', mm(6.9)),
    innerMm: attr(lengthMm(2, 11), 'Inside', 'Inner diameter', mm(5.2)),
    gPerMm: attr(rate(0.003, 0.1, 5), 'Grams a millimetre', 'Of the bare shaft', 0.0209),
    /** As it comes, uncut. */
    stockLengthMm: attr(lengthMm(400, 900), 'As it comes', 'Uncut', mm(813)),
    staticSpineIn: attr(spineIn(0.15, 2.5), 'Spine', 'Deflection, ASTM F2031', 0.5),
  },
  faults: ({ innerMm, outerMm }) => [
    innerMm >= outerMm && ['innerMm', 'is not less than the outer diameter'],
  ],
  glance: ({ staticSpineIn, outerMm, stockLengthMm }, say) => [
    spineText(staticSpineIn),
    shaftText(outerMm),
    `${say.length(stockLengthMm)} uncut`,
  ],
  saysMass: true,
});
