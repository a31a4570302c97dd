import { attr, oneOf } from './attr';
import { place } from './part';

export const SLING = place({
  name: 'Sling',
  need: 'extra',
  onTheBow: true,
  weight: 2,
  drawing: 'sling',
  attrs: {
    /** Between bar and riser, or to a hole of its own. */
    mount: attr(
      oneOf('bushing', 'hole'),
      'Mount',
      'Under the bar or to a hole of its own',
      'bushing',
    ),
  },
  glance: ({ mount }) => [mount === 'bushing' ? 'under the bar' : 'own hole'],
});
