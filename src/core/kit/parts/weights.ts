import { attr, count } from './attr';
import { place } from './part';
import { lightToLearn, thread } from './shared';

export const WEIGHTS = place({
  name: 'Weights',
  need: 'extra',
  onTheBow: true,
  weight: 1,
  drawing: 'weights',
  attrs: {
    thread: attr(thread, 'Thread', 'Through the weights', '1/4-20'),
    count: attr(count(1, 20), 'In the set', 'How many', 3),
  },
  glance: ({ count: pieces, thread }) => [`${pieces} in the set`, `thread ${thread}`],
  does: lightToLearn,
});
