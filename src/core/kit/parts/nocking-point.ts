import { attr, oneOf } from './attr';
import { place } from './part';

const KINDS = { tied: 'tied on', clamp: 'clamped on', kisser: 'kisser' };

export const NOCKING_POINT = place({
  name: 'Nocking point',
  need: 'extra',
  onTheBow: true,
  weight: 1,
  drawing: 'nockingPoint',
  attrs: {
    kind: attr(oneOf('tied', 'clamp', 'kisser'), 'Kind', 'What it is', 'tied'),
  },
  glance: ({ kind }) => [KINDS[kind]],
});
