import { answered, refused, type Outcome } from '../../outcome';
import {
  cheapestProgramme,
  giveProgramme,
  givenUp,
  notAgain,
  placed,
  worthProgramme,
  type Give,
} from './programme';
import { searchPackages } from './search';
import type { ChooserInput, ChooserResult, Infeasible, Package, Row, Solve } from './types';

/** A hair of the worth, against a solver's rounding. */
const HAIR = 1e-7;

/**
 * The package worth most, proven: by our own branch and bound where it ends, else by a mixed-integer
 * programme (docs/models.md section 11); among equals the cheapest. With `alternatives`, the next best ones, each different in at least one slot. When
 * nothing fits: the least that has to be given up.
 *
 * @param solve runs a programme to proven optimality; the core has no solver of its own.
 * @returns a refusal for an id that stands in the input twice, or a conflict of an id that does not.
 */
export async function chooseKit(
  input: ChooserInput,
  solve: Solve,
): Promise<Outcome<ChooserResult>> {
  const ids = placed(input).map(({ item }) => item.id);
  const twice = ids.find((id, i) => ids.indexOf(id) !== i);
  if (twice !== undefined)
    return refused('id-twice', `“${twice}” stands in the slots twice.`, 'slots');
  const unknown = input.conflicts.flat().find((id) => !ids.includes(id));
  if (unknown !== undefined)
    return refused(
      'unknown-conflict',
      `A conflict names “${unknown}”, which stands in no slot.`,
      'conflicts',
    );
  const found = searchPackages(input);
  if (found.status === 'proven' && found.packages.length > 0) {
    const [first, ...others] = found.packages;
    return answered({ status: 'optimal', ...first!, alternatives: others });
  }
  if (found.status === 'proven') return answered(await leastGive(input, solve));
  return viaSolver(input, solve);
}

/** The same by the general solver, for an input our own search does not see the end of. */
export async function viaSolver(
  input: ChooserInput,
  solve: Solve,
): Promise<Outcome<ChooserResult>> {
  const besides: Row[] = [];
  const packages: Package[] = [];
  for (let n = 0; n <= (input.alternatives ?? 0); n++) {
    const next = await bestPackage(input, solve, besides);
    if (!next) break;
    packages.push(next.found);
    besides.push(notAgain(input, next.taken));
  }
  const [best, ...alternatives] = packages;
  return answered(
    best ? { status: 'optimal', ...best, alternatives } : await leastGive(input, solve),
  );
}

async function bestPackage(input: ChooserInput, solve: Solve, besides: readonly Row[]) {
  const best = await solve(worthProgramme(input, besides));
  if (best.status === 'infeasible') return null;
  const worth = worthOf(input, best.values);
  const floor = worth - HAIR * Math.max(1, Math.abs(worth));
  const cheap = input.anyOfEqual ? best : await solve(cheapestProgramme(input, floor, besides));
  const values = cheap.status === 'optimal' ? cheap.values : best.values;
  const taken = new Set(
    placed(input).flatMap(({ name }) => ((values[name] ?? 0) > 0.5 ? [name] : [])),
  );
  return { found: packageOf(input, taken), taken };
}

const worthOf = (input: ChooserInput, values: Readonly<Record<string, number>>) =>
  placed(input).reduce(
    (sum, { name, item }) => sum + ((values[name] ?? 0) > 0.5 ? item.worth : 0),
    0,
  );

function packageOf(input: ChooserInput, taken: ReadonlySet<string>): Package {
  const all = placed(input).filter(({ name }) => taken.has(name));
  const total = (of: 'worth' | 'priceCents' | 'massG') =>
    all.reduce((sum, { item }) => sum + item[of], 0);
  return {
    chosen: Object.fromEntries(
      input.slots.map(({ name }, at) => [
        name,
        all.find(({ slot }) => slot === at)?.item.id ?? null,
      ]),
    ),
    worth: total('worth'),
    priceCents: total('priceCents'),
    massG: total('massG'),
  };
}

/** One wish after the other: each is held while the next is made as small as it can be. */
async function leastGive(input: ChooserInput, solve: Solve): Promise<Infeasible> {
  const before: Partial<Record<Give, number>> = {};
  let given = { slots: [] as string[], money: 0, mass: 0 };
  for (const give of ['slots', 'money', 'mass'] as const) {
    const answer = await solve(giveProgramme(input, give, before));
    // Every required slot may be empty and every limit passed: there is always an answer.
    if (answer.status === 'infeasible')
      throw new Error('A programme of gives cannot be infeasible');
    given = givenUp(input, answer.values);
    const value = give === 'slots' ? given.slots.length : given[give];
    before[give] = value + HAIR * Math.max(1, value);
  }
  return {
    status: 'infeasible',
    relax: {
      budgetCents: Math.max(0, Math.round(given.money)),
      massG: Math.max(0, Number(given.mass.toFixed(6))),
      slots: given.slots,
    },
  };
}
