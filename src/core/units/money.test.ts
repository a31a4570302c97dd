import { readMoney, writeMoney } from './money';

describe('money', () => {
  test.each([
    ['900', 90000],
    ['€ 900', 90000],
    ['899,50', 89950],
    ['899.5 €', 89950],
    ['1 250', 125000],
    ['1.250,00 €', 125000],
    ['1,250', 125000],
    ['0', 0],
    ['12 euro', 1200],
  ])('%s is %i cents', (text, cents) => expect(readMoney(text)).toEqual({ ok: true, cents }));

  test.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['lots', 'notANumber'],
    ['-5', 'tooSmall'],
    ['12.345.6', 'notANumber'],
    ['1 2', 'notANumber'],
    ['99999999', 'tooLarge'],
  ])('“%s” is refused: %s', (text, code) =>
    expect(readMoney(text, 'budget')).toMatchObject({ ok: false, code }),
  );

  test('is written with cents only where there are any', () => {
    expect(writeMoney(90000)).toBe('€\u00a0900');
    expect(writeMoney(89950)).toBe('€\u00a0899.50');
    expect(writeMoney(123456700)).toBe('€\u00a01\u00a0234\u00a0567');
    expect(writeMoney(-500)).toBe('−€\u00a05');
  });
});
