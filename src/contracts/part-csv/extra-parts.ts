import { oneOf, text, yesNo } from '../csv';
import { attr, mm, count, thread, type AttrColumn } from './attr';

const BAR: readonly AttrColumn[] = [
  attr('stabiliser', 'lengthMm', 'length_mm', 'Length, mm', mm(40, 1000), 'End to end', '254'),
  attr('stabiliser', 'thread', 'thread', 'Thread', thread, 'Where it screws in', '5/16-24'),
  attr(
    'stabiliser',
    'weightThread',
    'weight_thread',
    'Thread for weights',
    thread,
    'At its free end',
    '1/4-20',
  ),
];

/** Attributes of bars and of everything small. */
export const EXTRA_PARTS: Record<
  | 'stabiliser'
  | 'rearBar'
  | 'barMount'
  | 'weights'
  | 'nockingPoint'
  | 'sling'
  | 'dampeners'
  | 'stringStop'
  | 'light'
  | 'case'
  | 'armGuard'
  | 'consumables',
  readonly AttrColumn[]
> = {
  stabiliser: BAR,
  rearBar: BAR,
  barMount: [
    attr(
      'barMount',
      'kind',
      'kind',
      'Kind',
      oneOf('offset', 'vBar', 'slide'),
      'How it holds a bar',
      'offset',
    ),
    attr('barMount', 'thread', 'thread', 'Thread', thread, 'For the bar', '5/16-24'),
    attr('barMount', 'bars', 'bars', 'Bars', count(1, 3), 'How many it holds', '1'),
  ],
  weights: [
    attr('weights', 'thread', 'thread', 'Thread', thread, 'Through the weights', '1/4-20'),
    attr('weights', 'count', 'count', 'In the set', count(1, 20), 'How many', '3'),
  ],
  nockingPoint: [
    attr(
      'nockingPoint',
      'kind',
      'kind',
      'Kind',
      oneOf('tied', 'clamp', 'kisser'),
      'What it is',
      'tied',
    ),
  ],
  sling: [
    attr(
      'sling',
      'mount',
      'mount',
      'Mount',
      oneOf('bushing', 'hole'),
      'Under the bar or to a hole of its own',
      'bushing',
    ),
  ],
  dampeners: [
    attr(
      'dampeners',
      'place',
      'place',
      'Place',
      oneOf('string', 'limb', 'cable'),
      'Where they sit',
      'string',
    ),
    attr('dampeners', 'count', 'count', 'In the set', count(1, 12), 'How many', '4'),
  ],
  stringStop: [
    attr('stringStop', 'rodMm', 'rod_mm', 'Rod, mm', mm(20, 400), 'Length of its rod', '120'),
  ],
  light: [
    attr(
      'light',
      'mount',
      'mount',
      'Mount',
      oneOf('thread', 'clip'),
      'Screwed in or clipped on',
      'thread',
    ),
  ],
  case: [
    attr('case', 'insideMm', 'inside_mm', 'Inside, mm', mm(500, 1800), 'Length inside', '1050'),
    attr('case', 'hard', 'hard', 'Hard', yesNo, 'A hard shell', 'yes'),
  ],
  armGuard: [
    attr('armGuard', 'lengthMm', 'length_mm', 'Length, mm', mm(60, 400), 'Along the arm', '170'),
  ],
  consumables: [
    attr(
      'consumables',
      'contents',
      'contents',
      'Contents',
      text(120),
      'What is in it',
      'string wax, serving',
    ),
  ],
};
