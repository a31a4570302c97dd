import { mm } from '../../units';
import { attr, count, lengthMm, oneOf, orNone, yesNo } from './attr';
import { place } from './part';
import { massPlace } from './shared';

export const QUIVER = place({
  name: 'Quiver',
  need: 'usual',
  onTheBow: true,
  weight: 3,
  weightFor: { target: 1, hunting: 6 },
  drawing: 'quiver',
  attrs: {
    mount: attr(oneOf('riser', 'sight'), 'Mount', 'Where it is held', 'riser'),
    arrows: attr(count(1, 12), 'Arrows', 'How many it holds', 5),
    minShaftMm: attr(lengthMm(3, 12), 'Thinnest shaft', 'Its clips hold', mm(6.4)),
    maxShaftMm: attr(lengthMm(3, 12), 'Thickest shaft', 'Its clips hold', mm(8)),
    pieces: attr(count(1, 2), 'Pieces', 'In one piece or two', 1),
    /** Screws into the two holes of the side plate, over or under the sight. */
    usesSightHoles: attr(
      yesNo,
      'Takes the sight’s holes',
      'Screws into the two holes of the side plate',
      false,
    ),
    ...massPlace(20, 90, 75),
    arrowsUpMm: attr(
      orNone(lengthMm(-500, 500)),
      'Arrows’ middle up',
      'Middle of the arrows in it above the grip; below is less than 0',
      mm(-60),
    ),
  },
  faults: ({ minShaftMm, maxShaftMm }) => [
    minShaftMm > maxShaftMm && ['minShaftMm', 'is thicker than the thickest shaft'],
  ],
  glance: ({ mount, arrows }) => [
    mount === 'riser' ? 'on the riser' : 'on the sight',
    `holds ${arrows}`,
  ],
});
