import { readOptionsFor } from '../job';
import { OLD_BOW } from '../fit';
import { REGISTRY } from '../setup';
import { example } from './example';
import { read } from './read';
import { METRIC_UNITS, TRADE_UNITS, type ReadOptions } from './types';

const of = (options: Omit<ReadOptions, 'shop'>, shop = TRADE_UNITS) =>
  example({ ...options, shop });

test.each<[string, Omit<ReadOptions, 'shop'>, string]>([
  ['a length', { quantity: 'length' }, '28 3/8, 28.375 in or 721 mm'],
  // 79 to 260 mm: 169.5 mm are 6.673 in, five eighths nearly.
  ['where a peep can be', { quantity: 'length', min: 79, max: 260 }, '6 5/8, 6.625 in or 168 mm'],
  ['in millimetres', { quantity: 'length', bareUnit: 'mm', min: 10, max: 30 }, '20 mm or 0.79 in'],
  ['a weight', { quantity: 'force' }, '47 lb or 209 N'],
  ['a light one', { quantity: 'force', min: 10, max: 90 }, '11 lb or 50 N'],
  ['an arrow', { quantity: 'mass' }, '390 gr or 25 g'],
  ['a bow', { quantity: 'mass', bareUnit: 'g', min: 500, max: 5000 }, '2750 g or 97 oz'],
  ['a distance', { quantity: 'distance' }, '18 m or 20 yd'],
  ['a speed', { quantity: 'speed' }, '274 fps or 84 m/s'],
  ['an angle', { quantity: 'angle' }, '1.5'],
  ['turns', { quantity: 'turns' }, '4 1/2'],
  ['a time', { quantity: 'time' }, '12'],
  ['with a least alone', { quantity: 'length', min: 1500 }, '65 3/8, 65.375 in or 1661 mm'],
  ['an arm span', { quantity: 'length', min: 900, max: 2400 }, '65 3/8, 65.375 in or 1661 mm'],
  ['with a most alone', { quantity: 'length', max: 100 }, '3 1/2, 3.5 in or 89 mm'],
  ['in the shop’s yards', { quantity: 'distance', min: 30, max: 90 }, '60 m or 66 yd'],
])('%s: %s', (_, options, wanted) => expect(of(options)).toBe(wanted));

const OPTIONS = [TRADE_UNITS, METRIC_UNITS].flatMap((shop) =>
  [
    ...REGISTRY.map(({ key }) => readOptionsFor(key, shop, null)),
    ...OLD_BOW.map(({ key }) => readOptionsFor(key, shop, null)),
    ...(
      ['armSpan', 'wallToMouth', 'markedArrow', 'fittingBow', 'weightTrial', 'postureBow'] as const
    ).map((key) => readOptionsFor(key, shop, null)),
  ].flatMap((options) => (options ? [options] : [])),
);
test('whatever is named can be typed: each figure of each example is within the limits', () => {
  expect(OPTIONS.length).toBeGreaterThan(80);
  for (const options of OPTIONS)
    for (const figure of example(options).split(/, | or /)) {
      const answer = read(figure, options);
      expect([options.what, figure, answer.ok ? '' : answer.message]).toEqual([
        options.what,
        figure,
        '',
      ]);
    }
});
test('a refusal names it, and the limits in the unit a bare number has', () => {
  const peep = { quantity: 'length', shop: TRADE_UNITS, min: 79, max: 260, what: 'peep' } as const;
  expect(read('high', peep)).toMatchObject({
    message: '“high” is not a number. Enter the peep, for example 6 5/8, 6.625 in or 168 mm.',
  });
  const side = { ...peep, bareUnit: 'mm', min: -12.5, max: 30, what: 'side' } as const;
  expect(read('40', side)).toMatchObject({
    message: 'Too large for the side: possible is −12.5 mm to 30 mm.',
  });
});
test('the limits a refusal names are possible themselves', () => {
  for (const options of OPTIONS) {
    const least = options.min ?? -1e6;
    for (const typed of [`${least - 1e5}`, '999999']) {
      const answer = read(typed, options);
      if (answer.ok || !answer.message.includes('possible is')) continue;
      const named = /possible is (.+?)\.$/
        .exec(answer.message)![1]!
        .split(/ to | or more| or less/);
      for (const limit of named.filter(Boolean)) {
        const back = read(limit, options);
        expect([options.what, limit, back.ok ? '' : back.message]).toEqual([
          options.what,
          limit,
          '',
        ]);
      }
    }
  }
});
