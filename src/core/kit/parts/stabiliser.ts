import { mm } from '../../units';
import { attr, lengthMm } from './attr';
import { place } from './part';
import { lightToLearn, mostDiscs, thread } from './shared';

export const STABILISER = place({
  name: 'Stabiliser',
  need: 'usual',
  onTheBow: true,
  weight: 4,
  weightFor: { target: 6, hunting: 3 },
  drawing: 'stabiliser',
  attrs: {
    lengthMm: attr(lengthMm(40, 1000), 'Length', 'End to end', mm(254)),
    thread: attr(thread, 'Thread', 'Where it screws in', '5/16-24'),
    /** Thread for weights at its end. */
    weightThread: attr(thread, 'Thread for weights', 'At its free end', '1/4-20'),
    mostDiscs,
  },
  glance: ({ lengthMm: long, weightThread }, say) => [say.length(long), `weights ${weightThread}`],
  does: lightToLearn,
});
