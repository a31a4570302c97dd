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
    unanswered: 'Stop: three moves without an answer',
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
    wild: 'At one setting the tears lie far apart. No move can be read from them: begin with the hand.',
    spent: 'What can be moved has been moved as far as it should. Look for these in this order.',
  },
  meaning: (rightMm: number, upMm: number): string => {
    if (Math.hypot(rightMm, upMm) < 0.5) return 'The nock follows the point.';
    const parts = [
      Math.abs(rightMm) < 0.5 ? '' : `its tail to the ${side(rightMm > 0)}`,
      Math.abs(upMm) < 0.5 ? '' : `its tail ${upMm > 0 ? 'high' : 'low'}`,
    ].filter(Boolean);
    return `The arrow goes through with ${parts.join(' and ')}.`;
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
    stands: (words: string) => `It stands for a paper tear of: ${words}`,
    weak: 'That little can be the archer’s placing alone.',
    rule: 'Shop rule: a centimetre at 18 m for each millimetre of tear. A bare shaft goes on the way it leaves: nock left, bare shaft right.',
    counted: 'It counts beside the papers, with less weight.',
    watch: 'Bare shafts are unsteady: stay near, a large backstop, no broadheads.',
  },
  walk: {
    hint: 'Hang a plumb line. One pin on it from every distance, the same aim; note how far beside the line each arrow hits.',
    distance: 'Distance',
    right: 'Right (+) or left (−)',
    add: 'Add hit',
    take: 'Note the line',
    straight: 'Straight down the line: centre shot is right.',
    drift: (words: string) => `Drifts ${words}`,
    rest: (words: string) => words,
    bends:
      'The hits bow away from a straight line: that is not the rest. Look at grip, wind and the sight’s levels.',
    because:
      'A straight drift is an arrow that leaves beside the line of sight: the rest goes against it by drift times the length from nock to rest. A drift no more than scatter moves nothing.',
    again: 'Something was moved since the last line was shot: shoot it again.',
    remove: 'Take away',
  },
} as const;
