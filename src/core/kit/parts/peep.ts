import { mm } from '../../units';
import { attr, lengthMm, yesElseNo, yesNo } from './attr';
import { good, place, plain } from './part';

/** What is told of eyes that a lens in the peep may help. */
const GLASSES = /glass|lens|blur|near|far|sight/i;

export const PEEP = place({
  name: 'Peep',
  need: 'required',
  onTheBow: true,
  weight: 3,
  drawing: 'peep',
  attrs: {
    apertureMm: attr(lengthMm(0.5, 12), 'Hole', 'Across the hole', mm(4.8)),
    lens: attr(yesNo, 'Lens', 'A lens can be set in', false),
    /** Turned square by a tube to the cable. */
    tube: attr(yesElseNo, 'Tube', 'A tube to the cable turns it square', false),
  },
  glance: ({ apertureMm }) => [`${apertureMm} mm`],
  does: ({ attrs: { lens, apertureMm } }, { eyesight, lowLight }) => {
    if (lens && GLASSES.test(eyesight)) return good('takes a lens for their eyes');
    return lowLight && apertureMm >= 6 ? good('a wide hole for dim light') : plain;
  },
});
