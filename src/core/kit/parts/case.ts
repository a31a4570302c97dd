import { mm } from '../../units';
import { attr, lengthMm, yesNo } from './attr';
import { place } from './part';

export const CASE = place({
  name: 'Case',
  need: 'extra',
  onTheBow: false,
  weight: 2,
  drawing: 'case',
  attrs: {
    insideMm: attr(lengthMm(500, 1800), 'Inside', 'Length inside', mm(1050)),
    hard: attr(yesNo, 'Hard', 'A hard shell', true),
  },
  glance: ({ insideMm, hard }, say) => [
    `${say.length(insideMm)} inside`,
    hard ? 'hard shell' : 'soft',
  ],
});
