import {
  chooseKit,
  searchPackages,
  viaSolver,
  type CandidateSlot,
  type ChooserInput,
  type Package,
} from '@/core/kit';
import { seeded, type Random } from '@/core/numerics';
import { lpText, solve, stopSolver } from './solver';

afterAll(stopSolver);

/** Every package there is, one after the other: the answer a programme has to meet. */
function everyPackage({ slots, conflicts }: ChooserInput): Package[] {
  const walk = (rest: readonly CandidateSlot[]): Package[] => {
    const [slot, ...others] = rest;
    if (!slot) return [{ chosen: {}, worth: 0, priceCents: 0, massG: 0 }];
    const options = [...slot.items, ...(slot.required ? [] : [null])];
    return walk(others).flatMap((tail) =>
      options.map((item) => ({
        chosen: { [slot.name]: item?.id ?? null, ...tail.chosen },
        worth: tail.worth + (item?.worth ?? 0),
        priceCents: tail.priceCents + (item?.priceCents ?? 0),
        massG: tail.massG + (item?.massG ?? 0),
      })),
    );
  };
  return walk(slots).filter(({ chosen }) => {
    const ids = Object.values(chosen);
    return !conflicts.some(([a, b]) => ids.includes(a) && ids.includes(b));
  });
}

const fits =
  ({ budgetCents, massLimitG }: ChooserInput) =>
  (p: Package) =>
    p.priceCents <= (budgetCents ?? Infinity) && p.massG <= (massLimitG ?? Infinity);

function randomInput(random: Random, tight: number): ChooserInput {
  const whole = (most: number) => Math.floor(random() * most);
  const slots = Array.from({ length: 4 }, (_, s): CandidateSlot => ({
    name: `slot ${s}`,
    required: s < 3,
    items: Array.from({ length: 4 }, (__, i) => ({
      id: `${s}/${i}`,
      priceCents: 1000 + whole(20000),
      massG: whole(300),
      worth: whole(60),
    })),
  }));
  const ids = slots.flatMap(({ items }) => items.map(({ id }) => id));
  const conflicts = Array.from({ length: 5 }, (): [string, string] => [
    ids[whole(ids.length)]!,
    ids[whole(ids.length)]!,
  ]).filter(([a, b]) => a[0] !== b[0]);
  return { slots, conflicts, budgetCents: Math.round(30000 * tight), massLimitG: 700 * tight };
}

describe('the package worth most, against every package there is', () => {
  test.each(Array.from({ length: 25 }, (_, seed) => seed))('seed %d', async (seed) => {
    const input = randomInput(seeded(seed), 0.5 + (seed % 5) / 5);
    const all = everyPackage(input)
      .filter(fits(input))
      .sort((a, b) => b.worth - a.worth || a.priceCents - b.priceCents);
    const answer = await chooseKit({ ...input, alternatives: 2 }, solve);
    if (!answer.ok) throw new Error(answer.message);
    if (all.length === 0) return expect(answer.status).toBe('infeasible');
    if (answer.status !== 'optimal') throw new Error('It fits');
    expect(answer.worth).toBe(all[0]!.worth);
    expect(answer.priceCents).toBe(all[0]!.priceCents);
    expect(fits(input)(answer)).toBe(true);
    const next = [answer, ...answer.alternatives];
    expect(next.map(({ worth }) => worth)).toEqual(all.slice(0, 3).map(({ worth }) => worth));
    expect(new Set(next.map(({ chosen }) => JSON.stringify(chosen))).size).toBe(next.length);
  });
});

describe('our own search against the general solver, on what is too large to go through', () => {
  const large = (random: Random, tight: number): ChooserInput => {
    const whole = (most: number) => Math.floor(random() * most);
    const slots = Array.from({ length: 7 }, (_, s): CandidateSlot => ({
      name: `slot ${s}`,
      required: s < 5,
      items: Array.from({ length: 14 }, (__, i) => {
        const made = random();
        return {
          id: `${s}/${i}`,
          priceCents: 1000 + Math.floor(made * made * 40000) + whole(4000),
          massG: whole(300),
          worth: Math.round(made * 800 + random() * 200) / 10,
        };
      }),
    }));
    const ids = slots.flatMap(({ items }) => items.map(({ id }) => id));
    const conflicts = Array.from({ length: 60 }, (): [string, string] => [
      ids[whole(ids.length)]!,
      ids[whole(ids.length)]!,
    ]).filter(([a, b]) => a.split('/')[0] !== b.split('/')[0]);
    return { slots, conflicts, budgetCents: 140000 * tight, massLimitG: 1000 * tight };
  };
  test.each(Array.from({ length: 12 }, (_, seed) => seed))('seed %d', async (seed) => {
    const input = { ...large(seeded(100 + seed), 0.3 + (seed % 4) / 5), alternatives: 1 };
    const [found, solved] = [searchPackages(input), await viaSolver(input, solve)];
    if (found.status !== 'proven' || !solved.ok) throw new Error('It has an answer');
    if (solved.status === 'infeasible') return expect(found.packages).toEqual([]);
    const both = [solved, ...solved.alternatives];
    found.packages.forEach((one, i) => {
      expect(one.worth).toBeCloseTo(both[i]!.worth, 6);
      expect(one.priceCents).toBe(both[i]!.priceCents);
      expect(fits(input)(one)).toBe(true);
    });
    expect(found.packages).toHaveLength(both.length);
  });

  test('a search that sees no end claims nothing', () => {
    const input = large(seeded(3), 0.6);
    expect(searchPackages(input, { mostNodes: 5 })).toEqual({ status: 'gaveUp' });
  });

  test('a low price for a worth wanted, with one part in it', async () => {
    const input = large(seeded(8), 0.9);
    const best = searchPackages(input);
    if (best.status !== 'proven') throw new Error('It has an answer');
    const leastWorth = best.packages[0]!.worth * 0.9;
    const withId = '0/3';
    const cheap = searchPackages(input, { aim: 'price', leastWorth, withId });
    if (cheap.status !== 'proven') throw new Error('It has an answer');
    const [found] = cheap.packages;
    expect(found!.chosen['slot 0']).toBe(withId);
    expect(found!.worth).toBeGreaterThanOrEqual(leastWorth - 1e-6);
    // A cent less money, and no package with that part is worth as much.
    const poorer = { ...input, budgetCents: found!.priceCents - 1 };
    const none = searchPackages(poorer, { leastWorth, withId });
    expect(none).toMatchObject({ status: 'proven', packages: [] });
  });
});

describe('when nothing fits', () => {
  const slot = (name: string, ...items: [number, number][]): CandidateSlot => ({
    name,
    required: true,
    items: items.map(([priceCents, massG], i) => ({
      id: `${name}${i}`,
      priceCents,
      massG,
      worth: 1,
    })),
  });
  const relax = async (input: ChooserInput) => {
    const answer = await chooseKit(input, solve);
    return answer.ok && answer.status === 'infeasible' ? answer.relax : answer;
  };
  test('the least money over is told', async () => {
    const slots = [slot('a', [5000, 0], [9000, 0]), slot('b', [4000, 0])];
    expect(await relax({ slots, conflicts: [], budgetCents: 8000 })).toEqual({
      budgetCents: 1000,
      massG: 0,
      slots: [],
    });
  });
  test('a slot nothing goes into is named before money is asked for', async () => {
    const slots = [slot('a'), slot('b', [4000, 300])];
    expect(await relax({ slots, conflicts: [], budgetCents: 3000, massLimitG: 250 })).toEqual({
      budgetCents: 1000,
      massG: 50,
      slots: ['a'],
    });
  });
  test('a conflict between all there is leaves one slot empty', async () => {
    const slots = [slot('a', [1, 1]), slot('b', [1, 1])];
    const given = await relax({ slots, conflicts: [['a0', 'b0']] });
    expect(given).toMatchObject({ budgetCents: 0, massG: 0 });
    expect((given as { slots: readonly string[] }).slots).toHaveLength(1);
  });
  test('a conflict of something that is not there is refused by its name', async () => {
    const answer = await chooseKit(
      { slots: [slot('a', [1, 1])], conflicts: [['a0', 'zz']] },
      solve,
    );
    expect(answer).toMatchObject({ ok: false, reason: 'unknown-conflict', field: 'conflicts' });
    expect((answer as { message: string }).message).toContain('“zz”');
  });
  test('an id twice is refused', async () => {
    const slots = [slot('a', [1, 1]), { ...slot('a', [1, 1]), name: 'b' }];
    expect(await chooseKit({ slots, conflicts: [] }, solve)).toMatchObject({ reason: 'id-twice' });
  });
});

test('a shop-sized catalogue is chosen from in well under half a second, and many at once wait their turn', async () => {
  const random = seeded(4);
  const slots = Array.from({ length: 12 }, (_, s): CandidateSlot => ({
    name: `slot ${s}`,
    required: s < 8,
    items: Array.from({ length: 30 }, (__, i) => ({
      id: `${s}/${i}`,
      priceCents: 1000 + Math.floor(random() * 40000),
      massG: Math.floor(random() * 400),
      worth: Math.floor(random() * 100),
    })),
  }));
  const input = { slots, conflicts: [], budgetCents: 120000, massLimitG: 2500 };
  const answers = await Promise.all([1, 2, 3].map(() => chooseKit(input, solve)));
  for (const answer of answers) expect(answer).toMatchObject({ ok: true, status: 'optimal' });
  expect(new Set(answers.map((answer) => JSON.stringify(answer))).size).toBe(1);
});

test('the text of a programme: long sums broken, an empty row still a row', () => {
  const text = lpText({
    maximise: true,
    objective: Array.from({ length: 8 }, (_, i) => ({ by: i - 3, of: `x${i}` })),
    rows: [{ terms: [], is: '<=', value: 1 }],
    binaries: ['x0'],
  });
  expect(text).toContain('- 3 x0 - 2 x1');
  expect(text).toContain('\n  + 3 x6');
  expect(text).toContain(' r0: 0 x0 <= 1');
});
