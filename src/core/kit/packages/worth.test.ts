import { anItem } from '../../testing/fixtures';
import type { KitContext } from '../types';
import { worthOf } from './worth';

const PLAIN = { kit: {}, learner: false } as unknown as KitContext;
const PRICES = [1000, 2000, 3000, 4000, 5000];
const WARNING = { reason: 'sits close to the cable' } as never;

/** A place with no taste of its own: only its price and the warnings speak. */
const worth = (priceCents: number, warnings = 0, context = PLAIN) =>
  worthOf(
    { ...anItem('case'), priceCents },
    { prices: PRICES, weight: 10, against: Array(warnings).fill(WARNING) },
    context,
  );

test('of a hundred, the dearest is worth all, the cheapest a third of it, the middle between', () => {
  expect(worth(5000).worth).toBeCloseTo(100, 1);
  expect(worth(1000).worth).toBeCloseTo(35, 1);
  expect(worth(3000).worth).toBeCloseTo(67.5, 1);
});

test('each warning takes three tenths and is said; nothing is worth less than a tenth', () => {
  expect(worth(5000, 1)).toMatchObject({ worth: 70, reasons: ['sits close to the cable'] });
  expect(worth(5000, 2).worth).toBeCloseTo(40, 6);
  expect(worth(5000, 5).worth).toBeCloseTo(10, 6);
});

test('a learner gains nothing past the middle price, and as much below it', () => {
  const learner = { ...PLAIN, learner: true };
  expect(worth(3000, 0, learner).worth).toBeCloseTo(100, 1);
  expect(worth(5000, 0, learner).worth).toBeCloseTo(100, 1);
  expect(worth(2000, 0, learner).worth).toBeGreaterThan(worth(2000).worth);
});
