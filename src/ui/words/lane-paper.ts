import type { Adjustment } from '@/core/tuning';

const side = (right: boolean) => (right ? 'right' : 'left');

/** Words of Paper, bare shafts and walk-back. */
export const paperWords = {
  tabs: { paper: 'Through paper', bare: 'Bare shafts', walk: 'Walk-back' },
  distance: 'Paper hangs at',
  tapWhat: 'What a tap marks',
  tapNock: 'nock’s end',
  tapPoint: 'point’s hole',
  states: {
    noShot: 'Shoot through the paper',
    unsure: 'One more like this',
    goodEnough: 'Good enough',
    tear: 'One move, then shoot again',
    unanswered: 'Stop: this bow does not answer the moves',
    tooLarge: 'Stop: no setting alone makes such a tear',
    wild: 'Stop: the tears differ too much',
    spent: 'Stop: nothing left to move helps',
  },
  hints: {
    noShot: 'A few arrows first, loose grip; then one through the paper and note its tear.',
    unsure: 'These shots cannot tell this tear from a good one. Nothing is moved on a guess.',
    goodEnough: (chance: number) =>
      `The true tear is under 4 mm with ${Math.round(chance * 100)} % to show for it.`,
    unanswered:
      'The tear did not follow the moves. Another cause holds it: look for these in this order, and leave rest and cams alone meanwhile.',
    tooLarge:
      'Rest, nock and cams moved as far as they go would not make up for it. Something touches, or an arrow, a cam or the hand is at fault: look for these in order, then shoot again.',
    wild: 'At one setting the tears lie far apart. No move can be read from them: begin with the hand.',
    spent: 'What can be moved has been moved as far as it should. Look for these in this order.',
  },
  /** One adjustment in its own unit and direction; left-handed bows have their riser on the other side. */
  advice: (
    adjustment: Adjustment,
    amount: number,
    hand: 'right' | 'left',
    yokes: 'none' | 'top' | 'both' | null,
    length: (mm: number) => string,
  ): string => {
    const size = Math.abs(amount);
    const up = amount > 0;
    switch (adjustment) {
      case 'restSideways': {
        const riser = up === (hand === 'right') ? 'towards the riser' : 'away from the riser';
        return `Rest ${length(size)} to the ${side(up)}, ${riser}`;
      }
      case 'restHeight':
        return `Rest ${length(size)} ${up ? 'up' : 'down'}`;
      case 'nockHeight':
        return `Nock ${length(size)} ${up ? 'up' : 'down'} on the string`;
      case 'cableGuard':
        return `${up ? 'Ease' : 'Set on'} the cable guard by ${size === 1 ? 'one mark' : `${size} marks`}`;
      case 'camShim': {
        if (yokes === 'top' || yokes === 'both') {
          const much =
            size === 1 ? 'Half a twist' : size === 2 ? 'One twist' : `${size / 2} twists`;
          return `${much} into the yoke’s ${side(up)} leg${yokes === 'both' ? ', both ends' : ''}`;
        }
        return `Both cams ${size === 1 ? 'one shim step' : `${size} shim steps`} to the ${side(up)}`;
      }
    }
  },
  short: {
    restSideways: 'rest',
    restHeight: 'rest height',
    nockHeight: 'nock',
    cableGuard: 'guard',
    camShim: 'cams',
  } satisfies Record<Adjustment, string>,
  expected: (words: string, sigma: string) => `Then likely: ${words}, ± ${sigma} mm`,
  expectedShort: 'broken: likely after the move',
  done: 'It is moved',
  leaves: (name: string, to: string, low: string, high: string) =>
    `This brings “${name}” to ${to}, out of the ${low} to ${high} it is wanted in. Look for another cause first, or move something else.`,
  opposite: {
    paper: 'paper',
    bare: 'the bare shafts',
    line: 'the walk-back line',
  },
  contradicts: (prevails: string, against: readonly string[]) =>
    `${against.join(' and ').replace(/^./, (c) => c.toUpperCase())} ${against.length > 1 ? 'ask' : 'asks'} for the opposite move of the rest. What counts: ${prevails}. Paper comes first, then bare shafts near, then the line far out.`,
  otherAmount: 'By another amount',
  otherLabel: (unit: string) => `Amount, ${unit}; − the other way`,
  unit: { mm: 'mm', step: 'steps' },
  instead: (words: string) => `Or instead: ${words.charAt(0).toLowerCase()}${words.slice(1)}`,
  why: (shots: number, scatter: string) =>
    `Learned from ${shots} ${shots === 1 ? 'paper' : 'papers'}; this archer’s tears scatter ${scatter} mm.`,
  response: (name: string, per: string, sigma: string, unit: string) =>
    `${name}: ${per} ± ${sigma} mm of tear for ${unit === 'mm' ? 'a millimetre' : 'a step'}.`,
  because:
    'One adjustment at a time. How much comes from what moves did on this bow; before the first, from the shop’s rule with its doubt. At most 2 mm or two steps a move.',
  moved: (words: string) => words,
  ripple: 'A move at the rest wants its cord and the clearance looked at again: see “To do again”.',
  far: 'Paper is read at two to two and a half metres: further off the arrow has begun to straighten.',
  bare: {
    hint: 'Two or three bare shafts into the group of the fletched ones, 15 to 20 m off. Where do they hit from the fletched?',
    distance: 'Distance',
    right: 'Bare shafts right (+) or left (−)',
    up: 'Bare shafts high (+) or low (−)',
    take: 'Note the pair',
    stands: (words: string) => `Counted at 18 m as ${words}.`,
    size: (rightMm: number, upMm: number) =>
      [
        `${Math.abs(rightMm).toFixed(1)} cm ${rightMm < 0 ? 'left' : 'right'}`,
        `${Math.abs(upMm).toFixed(1)} cm ${upMm < 0 ? 'low' : 'high'}`,
      ].join(', '),
    weak: 'That little can be the archer’s placing alone.',
    rule: 'Shop rule: a centimetre at 18 m counts as a millimetre of tear.',
    counted:
      'Which way the rest has to go is not the same on every bow, and schools contradict each other: a first small move asks this bow, and only what it answered is gone by. Paper prevails near.',
    states: {
      together: 'They hit together: nothing to move.',
      shoot: 'The rest was moved: shoot the pair again.',
      experiment: (words: string) =>
        `${words}, only to see which way this bow answers; then shoot the pair again.`,
      adjust: (words: string, per: string, sigma: string) =>
        `${words}. A millimetre at the rest moved them by ${per} ± ${sigma} cm at 18 m here.`,
      silent:
        'Three moves of the rest, and nothing that could be told from placing. Leave the rest to the paper; look at grip and spine.',
    },
    watch: 'Bare shafts are unsteady: stay near, a large backstop, no broadheads.',
  },
  walk: {
    hint: 'Hang a plumb line. One pin on it from every distance, the same aim; note how far beside the line each arrow hits.',
    distance: 'Distance',
    right: 'Right (+) or left (−)',
    add: 'Add hit',
    take: 'Note the line',
    straight: (low: string, high: string) =>
      `Straight enough: the drift lies between ${low} and ${high} mm a metre, and under 1 does not matter.`,
    small: 'The drift is told, and less than the rest’s smallest step makes up for.',
    notTold: (low: string, high: string, more: number | null) =>
      `Cannot be told: the drift may be ${low} to ${high} mm a metre. ${more === null ? 'The hits scatter too much for this.' : `Shoot about ${more} more ${more === 1 ? 'arrow' : 'arrows'} from these distances.`}`,
    drift: (words: string) => `Drifts ${words}`,
    rest: (words: string) => words,
    bends:
      'The hits bow away from a straight line: that is not the rest. Look at grip, wind and the sight’s levels.',
    because:
      'A straight drift is an arrow that leaves beside the line of sight: the rest goes against it by drift times the length from nock to rest. It is called straight only where the whole interval lies within a millimetre a metre.',
    again: 'Something was moved since the last line was shot: shoot it again.',
    remove: 'Take away',
  },
} as const;
