import { checkKit, kitPriceCents, partOf } from '../check';
import { chooseKit, type ChooserInput, type Package, type Solve } from '../chooser';
import type { Kit, KitContext, Slot, Verdict } from '../types';
import { candidates, isNothing, type Candidates } from './candidates';
import { runnerUpOf } from './runner-up-of';
import type {
  KitPackage,
  PackageKind,
  PackagePart,
  PackagePoint,
  PackagesAnswer,
  PackagesInput,
} from './types';
import { waysOut } from './ways-out';
import { baseOf, bestWithin, leastPrice } from './within';

const FRONTIER_POINTS = 9;

/**
 * Up to three packages that truly differ: thrifty (the cheapest that works), balanced (the best for the
 * money there is), no
 * compromise (the best there is), each proven the best for its limit. Parts chosen already stay.
 * When even the cheapest does not keep the budget, the cheapest and the single things to give up.
 */
export async function choosePackages(input: PackagesInput, solve: Solve): Promise<PackagesAnswer> {
  const kept = await packagesSo({ ...input, strict: true }, solve);
  // Where nothing goes together without a caution, what goes with one is better than nothing.
  return kept.packages.length > 0 || kept.give === null
    ? kept
    : packagesSo({ ...input, strict: false }, solve);
}

async function packagesSo(input: PackagesInput, solve: Solve): Promise<PackagesAnswer> {
  const { context, budgetCents, workCents } = input;
  const found = candidates(input.catalogue, context, input);
  const keptCents = kitPriceCents(context.kit) + (context.bow?.priceCents ?? 0) + workCents;
  const leftCents = budgetCents === null ? null : budgetCents - keptCents;
  const common = { leftCents, keptCents, leftOpen: found.leftOpen };
  const base = baseOf(found, context);
  const best = await bestWithin(base, solve);
  const least = best && (await leastPrice(base, solve));
  if (!best || least === null) {
    const answer = await chooseKit(base, solve);
    const give = answer.ok && answer.status === 'infeasible' ? answer.relax : null;
    return { ...common, packages: [], give, ways: await waysOut(input, leftCents, solve) };
  }
  const most = best.priceCents;
  const money = Math.min(most, Math.max(least, leftCents ?? Math.round((least + most) / 2)));
  const made: readonly [PackageKind, Package | null, number | null][] = [
    ['thrifty', await bestWithin(base, solve, least), least],
    ['balanced', money === most ? best : await bestWithin(base, solve, money), money],
    ['noCompromise', best, null],
  ];
  const packages: KitPackage[] = [];
  for (const [kind, answer, limit] of made) {
    // A package without a part is none: everything is chosen already.
    const same = answer && packages.some(({ parts }) => alike(parts, answer));
    if (answer && ids(answer.chosen) !== '' && !same)
      packages.push(told(kind, answer, found, { context, leftCents, base, limit }));
  }
  const short = leftCents !== null && least > leftCents ? least - leftCents : null;
  return {
    ...common,
    packages,
    give: short === null ? null : { budgetCents: short, massG: 0, slots: [] },
    ways: short === null ? [] : await waysOut(input, leftCents, solve),
  };
}

/**
 * Price against worth, each point the best for its money, cheapest first; points that buy no more
 * are left out. Nothing where nothing fits.
 */
export async function packageFrontier(
  input: Omit<PackagesInput, 'budgetCents' | 'daysLeft' | 'workCents'>,
  solve: Solve,
): Promise<PackagePoint[]> {
  const base = baseOf(candidates(input.catalogue, input.context, input), input.context);
  const best = await bestWithin(base, solve);
  const least = best && (await leastPrice(base, solve));
  if (!best || least === null) return [];
  const points: PackagePoint[] = [];
  for (let i = 0; i < FRONTIER_POINTS; i++) {
    const part = i / (FRONTIER_POINTS - 1);
    const limit = Math.round(least + (best.priceCents - least) * part);
    const answer = i === FRONTIER_POINTS - 1 ? best : await bestWithin(base, solve, limit);
    const last = points.at(-1);
    if (answer && (!last || answer.worth > last.worth + 1e-9)) {
      const { priceCents, worth, chosen } = answer;
      points.push({ priceCents, worth, itemIds: realIds(chosen) });
    }
  }
  return points;
}

const realIds = (chosen: Package['chosen']) =>
  Object.values(chosen).filter((id): id is string => id !== null && !isNothing(id));
const ids = (chosen: Package['chosen']) => realIds(chosen).sort().join('|');
const alike = (parts: readonly PackagePart[], { chosen }: Package) =>
  parts
    .map(({ item }) => item.id)
    .sort()
    .join('|') === ids(chosen);

interface Ground {
  readonly context: KitContext;
  readonly leftCents: number | null;
  readonly base: ChooserInput;
  readonly limit: number | null;
}

function told(
  kind: PackageKind,
  chosen: Package,
  { notes }: Candidates,
  { context, leftCents, base, limit }: Ground,
): KitPackage {
  const { priceCents, massG, worth } = chosen;
  const parts = Object.entries(chosen.chosen).flatMap(([slot, id]): PackagePart[] => {
    const note = id === null ? undefined : notes.get(id);
    if (!note) return [];
    const runnerUp = runnerUpOf(note.item.id, slot, chosen, notes, base, limit);
    return [{ slot: slot as Slot, ...note, runnerUp }];
  });
  const kit: Kit = {
    ...context.kit,
    ...Object.fromEntries(parts.map(({ item }) => [item.slot, partOf(item)])),
  };
  // By the same rules as parts taken by hand, all of them together.
  const findings = checkKit({ ...context, kit });
  const said = (wanted: Verdict) =>
    findings.flatMap(({ rule, verdict, reason }) =>
      verdict === wanted ? [`${rule.name}: ${reason}`] : [],
    );
  const [unsure, cautions] = [said('cannotTell'), said('doesNotFit')];
  const withinBudget = leftCents === null ? null : priceCents <= leftCents;
  return { kind, parts, priceCents, massG, worth, cautions, unsure, withinBudget };
}
