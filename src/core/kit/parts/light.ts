import { attr, oneOf } from './attr';
import { place } from './part';

export const LIGHT = place({
  name: 'Sight light',
  need: 'extra',
  onTheBow: true,
  weight: 2,
  drawing: 'light',
  attrs: {
    mount: attr(oneOf('thread', 'clip'), 'Mount', 'Screwed in or clipped on', 'thread'),
  },
  glance: ({ mount }) => [mount === 'thread' ? 'screws into the housing' : 'clips on'],
});
