import { attr, count, oneOf } from './attr';
import { place } from './part';
import { thread } from './shared';

const KINDS = { offset: 'offset', vBar: 'two bars', slide: 'slides' };

export const BAR_MOUNT = place({
  name: 'Bar mount',
  need: 'extra',
  onTheBow: true,
  weight: 1,
  drawing: 'barMount',
  attrs: {
    kind: attr(oneOf('offset', 'vBar', 'slide'), 'Kind', 'How it holds a bar', 'offset'),
    thread: attr(thread, 'Thread', 'For the bar', '5/16-24'),
    bars: attr(count(1, 3), 'Bars', 'How many it holds', 1),
  },
  glance: ({ kind, thread }) => [KINDS[kind], `thread ${thread}`],
});
