import { moneyOf, readExtra, type Payment } from './delivery';

const centsOf = (text: string, total = 100_000) => {
  const read = readExtra(text, total);
  return read.ok ? read.cents : read.reason;
};

describe('a line of the bill as it is typed', () => {
  test.each([
    ['15,90', 1590],
    ['€ 20', 2000],
    ['-20', -2000],
    ['−20,50', -2050],
    ['5 %', -5000],
    ['-5%', -5000],
    ['12,5 %', -12_500],
    ['100 %', -100_000],
  ])('%s is %d cents', (text, cents) => expect(centsOf(text)).toBe(cents));
  test.each([
    ['', 'empty'],
    ['nothing', 'notANumber'],
    ['0', 'nothing'],
    ['0 %', 'not-a-part'],
    ['101 %', 'not-a-part'],
    ['-1001', 'below-nothing'],
    ['--5', 'tooSmall'],
    ['99999999999', 'tooLarge'],
    ['5 % 5', 'notANumber'],
  ])('“%s” is refused as %s', (text, reason) => expect(centsOf(text)).toBe(reason));
  test('a part is of what it all comes to, rounded to the cent', () =>
    expect(centsOf('3 %', 33_335)).toBe(-1000));
});

test('money that came in, went back, and is left', () => {
  const of = (cents: number): Payment => ({
    id: 1,
    at: '',
    who: '',
    kind: 'rest',
    cents,
    way: 'card',
  });
  expect(moneyOf([], 5000)).toEqual({ paidCents: 0, leftCents: 5000 });
  expect(moneyOf([of(3000), of(2500), of(-400)], 5000)).toEqual({
    paidCents: 5100,
    leftCents: -100,
  });
});
