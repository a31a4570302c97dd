import { attr, text } from './attr';
import { place } from './part';

export const CONSUMABLES = place({
  name: 'Consumables',
  need: 'extra',
  onTheBow: false,
  weight: 1,
  drawing: 'consumables',
  attrs: {
    contents: attr(text(120), 'Contents', 'What is in it', 'string wax, serving'),
  },
  glance: ({ contents }) => [contents],
});
