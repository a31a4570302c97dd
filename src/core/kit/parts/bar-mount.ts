import { degree, mm } from '../../units';
import { angleDeg, attr, count, lengthMm, oneOf, orNone } from './attr';
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
    sideMostDeg: attr(
      orNone(angleDeg(0, 90)),
      'Furthest out',
      'Largest angle to the side; empty when not known',
      degree(60),
    ),
    sideNotchDeg: attr(
      orNone(angleDeg(1, 45)),
      'Notch to the side',
      'From one tooth to the next; empty without teeth',
      degree(10),
    ),
    downMostDeg: attr(
      orNone(angleDeg(0, 90)),
      'Furthest down',
      'Largest angle down; empty when not known',
      degree(40),
    ),
    downNotchDeg: attr(
      orNone(angleDeg(1, 45)),
      'Notch down',
      'From one tooth to the next; empty without teeth',
      degree(10),
    ),
    slideMm: attr(
      orNone(lengthMm(0, 150)),
      'Slides',
      'How far it slides back; empty where it does not',
      mm(60),
    ),
    outMm: attr(
      orNone(lengthMm(0, 120)),
      'Out',
      'Foot of the bar beside the riser’s middle; empty when not known',
      mm(30),
    ),
  },
  glance: ({ kind, thread }) => [KINDS[kind], `thread ${thread}`],
});
