import { quoteParts } from './parts';
import type { QuoteLine } from './types';

const line = (kind: QuoteLine['kind'], name: string, cents: number, minutes: number | null) => ({
  kind,
  about: kind,
  name,
  cents,
  usualCents: null,
  arrivesDay: null,
  minutes,
});

test('goods stand apart from the work, whose minutes and money are summed', () => {
  const { goods, work } = quoteParts({
    lines: [
      line('bow', 'a bow', 89900, null),
      line('labour', 'square the rest', 800, 6),
      line('moved', 'own sight', 0, null),
      line('labour', 'tie the loop', 1400, 10),
    ],
  });
  expect(goods.map(({ name }) => name)).toEqual(['a bow', 'own sight']);
  expect(work.steps.map(({ name }) => name)).toEqual(['square the rest', 'tie the loop']);
  expect(work).toMatchObject({ minutes: 16, cents: 2200 });
});

test('a quote without work holds none', () => {
  expect(quoteParts({ lines: [line('part', 'peep', 1900, null)] }).work).toEqual({
    steps: [],
    minutes: 0,
    cents: 0,
  });
});
