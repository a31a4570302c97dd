import { write, type ShopUnits } from '@/core/units';

const turnsText = (turns: number, shop: ShopUnits) =>
  `${write(Math.abs(turns), 'turns', shop).replace(/ turns?$/, '')} ${Math.abs(turns) <= 1 ? 'twist' : 'twists'}`;

/** Words of twists and timing. */
export const twists = {
  part: 'Twists, timing',
  string: 'The rest of the draw length',
  stringDo: (more: number, shop: ShopUnits) =>
    Math.abs(more) < 0.25
      ? 'Nothing to twist'
      : `${turnsText(more, shop)} ${more > 0 ? 'into the string' : 'out of the string'}`,
  noLength: 'No draw length or no module yet.',
  response: (per: string, sigma: string, moves: number) =>
    moves === 0
      ? `A full twist is worth ${per} ± ${sigma}: a shop rule, until this bow has shown its own.`
      : `A full twist moves ${per} ± ${sigma} on this bow, from ${moves} ${moves === 1 ? 'change' : 'changes'}.`,
  timing: 'Cam timing',
  notSeen: 'Not seen on the draw board yet: draw slowly and watch which stop touches first.',
  lookAgain: 'Twisted since: look at the stops again',
  readAgain: 'Twisted since: read the draw board again',
  timingDo: (leads: 'top' | 'bottom' | 'neither', cable: string, more: number, shop: ShopUnits) =>
    leads === 'neither'
      ? 'The cams run together'
      : `${turnsText(more, shop)} ${more > 0 ? 'into' : 'out of'} the ${cable}`,
  expected: (gap: string, sigma: string) => `Expected then: ${gap} ± ${sigma}.`,
  timingResponse: (per: string, moves: number) =>
    moves === 0
      ? `By the shop’s rule a full twist closes ${per}.`
      : `A full twist closed ${per} on this bow, ${moves === 1 ? 'once' : `in ${moves} changes`}.`,
  drawing: 'Which cam reaches its stop first',
  topFirst: 'top stop touches',
  bottomFirst: 'bottom stop touches',
  bothTouch: 'both touch',
  touches: 'touches',
  touchedFirst: 'Touched first',
  firsts: [
    { id: 'top', name: 'top cam' },
    { id: 'bottom', name: 'bottom cam' },
  ],
  together: 'Both together: take 0',
  measure: (name: string) => `Measure ${name.toLowerCase()}`,
  notYet: 'not yet',
  alsoMoves: (others: readonly string[]) => `A twist also moves: ${others.join(', ')}.`,
  because: {
    rule: 'A twist put in shortens: less draw, a little more weight, brace height up. Taken out, the other way.',
    learned:
      'What the twists did here is learned from two looks with nothing else touched between them.',
  },
  watch: {
    press:
      'Strings and cables are twisted in a press only. Let it down slowly, then look along both cams.',
    half: 'A half or a full twist, two at the most, then look again.',
  },
} as const;
