import type { ChooserInput, Package } from './types';
import { dot, relax } from './relax';
import { type Choice, type Limit } from './limits';

/** More nodes than this, under a second's work, and the model is left to the general solver. */
const MOST_NODES = 50_000;
/** A hair of the value, against rounding. */
const HAIR = 1e-7;

type Aim = 'worth' | 'price';

interface SearchOptions {
  /** What is made the most of: worth, or a low price. */
  readonly aim?: Aim;
  /** Worth the package must have at least. */
  readonly leastWorth?: number;
  /** Id that must be in it. */
  readonly withId?: string;
  /** Nodes to look at before giving up. */
  readonly mostNodes?: number;
}

type Found =
  /** Best first; empty when nothing fits. */
  | { readonly status: 'proven'; readonly packages: readonly Package[]; readonly nodes: number }
  | { readonly status: 'gaveUp' };

/**
 * The best packages by branch and bound: one choice a place, pairs that quarrel, limits on money and
 * mass. The bound is the Lagrangian relaxation of the limits (multiple-choice knapsack; Fisher,
 * *Management Science* 27, 1981), with quarrels of what is taken already; choices that cannot reach
 * the best found are struck out first. Exact: what comes back is proven, or nothing is claimed.
 */
export function searchPackages(input: ChooserInput, options: SearchOptions = {}): Found {
  const limits = limitsOf(input, options);
  const places = placesOf(input, limits, options);
  if (places.some((place) => place.length === 0))
    return { status: 'proven', packages: [], nodes: 0 };
  const money = relax(places, limits);
  for (const choice of places.flat()) choice.reduced = choice.value - dot(money, choice.uses);
  const bonus = limits.reduce((sum, { most }, k) => sum + money[k]! * most, 0);
  return new Search(input, places, limits, bonus, options).run();
}

function limitsOf({ budgetCents, massLimitG }: ChooserInput, { leastWorth }: SearchOptions) {
  const limits: Limit[] = [];
  if (budgetCents !== undefined) limits.push({ most: budgetCents, of: (i) => i.priceCents });
  if (massLimitG !== undefined) limits.push({ most: massLimitG, of: (i) => i.massG });
  if (leastWorth !== undefined) limits.push({ most: -leastWorth, of: (i) => -i.worth });
  return limits;
}

function placesOf(input: ChooserInput, limits: readonly Limit[], options: SearchOptions) {
  const { aim = 'worth', withId } = options;
  const nothing = { id: null, priceCents: 0, massG: 0, worth: 0 };
  let at = 0;
  return input.slots.map((slot): Choice[] => {
    const pinned = slot.items.filter(({ id }) => id === withId);
    const offered = pinned.length > 0 ? pinned : slot.items;
    const all = slot.required || pinned.length > 0 ? offered : [...offered, nothing];
    return all.map((item) => ({
      id: item.id,
      at: at++,
      value: aim === 'worth' ? item.worth : -item.priceCents,
      uses: limits.map(({ of }) => of(item)),
      price: item.priceCents,
      mass: item.massG,
      worth: item.worth,
      reduced: 0,
    }));
  });
}

class Search {
  private readonly order: readonly (readonly Choice[])[];
  private readonly quarrels: readonly (readonly number[])[];
  private readonly blocked: Int32Array;
  /** Least use of each limit, and least price, by the places from a depth on. */
  private readonly leastUse: number[][];
  private readonly leastPrice: number[];
  private readonly wanted: number;
  private readonly most: number;
  private readonly tie: boolean;
  private readonly found: { value: number; price: number; taken: Choice[] }[] = [];
  private readonly taken: Choice[] = [];
  private nodes = 0;

  constructor(
    private readonly input: ChooserInput,
    places: readonly (readonly Choice[])[],
    private readonly limits: readonly Limit[],
    private readonly bonus: number,
    options: SearchOptions,
  ) {
    this.most = options.mostNodes ?? MOST_NODES;
    this.wanted = 1 + (input.alternatives ?? 0);
    this.tie = !input.anyOfEqual && options.aim !== 'price';
    // Places with few choices first: what is fixed early is fixed once.
    this.order = places
      .map((place) => [...place].sort((a, b) => b.reduced - a.reduced || a.price - b.price))
      .sort((a, b) => a.length - b.length);
    const count = places.reduce((sum, place) => sum + place.length, 0);
    this.blocked = new Int32Array(count);
    this.quarrels = quarrelsOf(input, places, count);
    this.leastUse = [limits.map(() => 0)];
    this.leastPrice = [0];
    for (const place of [...this.order].reverse()) {
      const [use, price] = [this.leastUse[0]!, this.leastPrice[0]!];
      this.leastUse.unshift(use.map((sum, k) => sum + Math.min(...place.map((c) => c.uses[k]!))));
      this.leastPrice.unshift(price + Math.min(...place.map((c) => c.price)));
    }
  }

  run(): Found {
    if (
      !this.go(
        0,
        this.bonus,
        0,
        this.limits.map(() => 0),
        0,
      )
    )
      return { status: 'gaveUp' };
    return {
      status: 'proven',
      packages: this.found.map(({ taken }) => this.told(taken)),
      nodes: this.nodes,
    };
  }

  /** False when there were too many nodes. */
  private go(
    depth: number,
    reduced: number,
    value: number,
    used: number[],
    price: number,
  ): boolean {
    if (++this.nodes > this.most) return false;
    if (depth === this.order.length) {
      this.keep(value, price);
      return true;
    }
    // What the places after this one can bring at best, with what is taken already.
    let rest = 0;
    for (let d = depth + 1; d < this.order.length; d++) {
      const free = this.order[d]!.find(({ at }) => this.blocked[at] === 0);
      if (!free) return true;
      rest += free.reduced;
    }
    for (const choice of this.order[depth]!) {
      if (this.blocked[choice.at]! > 0) continue;
      const bound = reduced + choice.reduced + rest;
      if (!this.mayBe(bound, price + choice.price + this.leastPrice[depth + 1]!)) {
        // Choices are in order of what they bring: none after this one can do better.
        if (this.hopeless(bound)) break;
        continue;
      }
      const next = used.map((sum, k) => sum + choice.uses[k]!);
      if (this.tooMuch(next, this.leastUse[depth + 1]!)) continue;
      this.take(choice, 1);
      const done = this.go(
        depth + 1,
        reduced + choice.reduced,
        value + choice.value,
        next,
        price + choice.price,
      );
      this.take(choice, -1);
      if (!done) return false;
    }
    return true;
  }

  private take(choice: Choice, by: 1 | -1): void {
    if (by === 1) this.taken.push(choice);
    else this.taken.pop();
    for (const other of this.quarrels[choice.at]!) this.blocked[other]! += by;
  }

  private tooMuch(used: readonly number[], least: readonly number[]): boolean {
    return this.limits.some(
      ({ most }, k) => used[k]! + least[k]! > most + 1e-9 * (1 + Math.abs(most)),
    );
  }

  private get worst() {
    return this.found.length < this.wanted ? null : this.found.at(-1)!;
  }

  private hopeless(bound: number): boolean {
    const { worst } = this;
    return worst !== null && bound < worst.value - hair(worst.value);
  }

  /** Whether a package bounded so could still be among the wanted ones. */
  private mayBe(bound: number, leastPrice: number): boolean {
    const { worst } = this;
    if (worst === null || bound > worst.value + hair(worst.value)) return true;
    if (bound < worst.value - hair(worst.value)) return false;
    return this.tie && leastPrice < worst.price;
  }

  private keep(value: number, price: number): void {
    if (!this.mayBe(value, price)) return;
    const better = ({ value: v, price: p }: { value: number; price: number }) =>
      Math.abs(v - value) <= hair(v) ? this.tie && price < p : value > v;
    const at = this.found.findIndex(better);
    const entry = { value, price, taken: [...this.taken] };
    this.found.splice(at < 0 ? this.found.length : at, 0, entry);
    if (this.found.length > this.wanted) this.found.pop();
  }

  private told(taken: readonly Choice[]): Package {
    const ids = new Set(taken.map(({ id }) => id));
    const total = (of: (choice: Choice) => number) => taken.reduce((sum, c) => sum + of(c), 0);
    return {
      chosen: Object.fromEntries(
        this.input.slots.map(({ name, items }) => [
          name,
          items.find(({ id }) => ids.has(id))?.id ?? null,
        ]),
      ),
      worth: total(({ worth }) => worth),
      priceCents: total(({ price }) => price),
      massG: total(({ mass }) => mass),
    };
  }
}

const hair = (value: number) => HAIR * Math.max(1, Math.abs(value));

function quarrelsOf(input: ChooserInput, places: readonly (readonly Choice[])[], count: number) {
  const byId = new Map(places.flat().map((choice) => [choice.id, choice.at]));
  const quarrels: number[][] = Array.from({ length: count }, () => []);
  for (const [a, b] of input.conflicts) {
    const [first, second] = [byId.get(a), byId.get(b)];
    if (first === undefined || second === undefined) continue;
    quarrels[first]!.push(second);
    quarrels[second]!.push(first);
  }
  return quarrels;
}
