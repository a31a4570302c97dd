import { closeness, fold } from './spelling';

describe('spellings', () => {
  test.each([
    ['Dröge', 'droge'],
    ['STRASSE', 'strasse'],
    ['Straße', 'strasse'],
    ['Ångström', 'angstrom'],
  ])('%s folds to %s', (text, folded) => expect(fold(text)).toBe(folded));

  const text = fold('Bettina Olufsen 0151555 0133 Fjordling 29');
  test.each([
    ['olufsen', 0],
    ['ufs', 0],
    ['olofsen', 1],
    ['olovsen', 2],
    ['betina', 1],
    ['oluvsen betina', 2],
    ['bettina 29', 0],
  ])('“%s” is %s letters off', (asked, off) => expect(closeness(asked.split(' '), text)).toBe(off));

  test.each([['alexander'], ['bettina quast'], ['0134'], ['xy'], ['olw']])(
    '“%s” is not meant',
    (asked) => expect(closeness(asked.split(' '), text)).toBeNull(),
  );

  test('nothing asked is answered by everything', () => expect(closeness([], text)).toBe(0));
});
