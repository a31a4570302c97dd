import type { ChooserInput, Solve, Term } from '../chooser';
import { bestWithin, leastPrice } from './within';

/** Tries every choice: slow, and right. */
const solve: Solve = async ({ maximise, objective, rows, binaries }) => {
  const sum = (terms: readonly Term[], on: ReadonlySet<string>) =>
    terms.reduce((all, { by, of }) => all + (on.has(of) ? by : 0), 0);
  let best: { on: ReadonlySet<string>; value: number } | null = null;
  for (let bits = 0; bits < 2 ** binaries.length; bits++) {
    const on = new Set(binaries.filter((_, i) => (bits >> i) & 1));
    const holds = rows.every(({ terms, is, value }) => {
      const left = sum(terms, on);
      return is === '<=' ? left <= value : is === '>=' ? left >= value : left === value;
    });
    const value = (maximise ? 1 : -1) * sum(objective, on);
    if (holds && (best === null || value > best.value)) best = { on, value };
  }
  if (!best) return { status: 'infeasible' };
  const { on } = best;
  return {
    status: 'optimal',
    values: Object.fromEntries(binaries.map((name) => [name, on.has(name) ? 1 : 0])),
  };
};
const part = (id: string, priceCents: number, worth: number) => ({
  id,
  priceCents,
  massG: 100,
  worth,
});
const BASE: ChooserInput = {
  slots: [
    { name: 'rest', required: true, items: [part('plain', 4000, 3), part('fine', 9000, 8)] },
    { name: 'peep', required: false, items: [part('peep', 1500, 2)] },
  ],
  conflicts: [],
} as never;

test('the best for the money; less money, less worth; too little, none', async () => {
  expect((await bestWithin(BASE, solve))!.chosen).toEqual({ rest: 'fine', peep: 'peep' });
  expect((await bestWithin(BASE, solve, 9000))!.chosen).toEqual({ rest: 'fine', peep: null });
  expect((await bestWithin(BASE, solve, 6000))!.chosen).toEqual({ rest: 'plain', peep: 'peep' });
  expect(await bestWithin(BASE, solve, 3999)).toBeNull();
});

test('the cheapest that works is the cheapest of each place that has to be filled', async () => {
  expect(await leastPrice(BASE, solve)).toBe(4000);
  expect(await leastPrice({ ...BASE, massLimitG: 50 } as never, solve)).toBeNull();
});
