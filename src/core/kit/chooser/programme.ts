import type { Candidate, CandidateSlot, ChooserInput, Programme, Row, Term } from './types';

/** Variable of a candidate: by slot and place, so that ids need not be fit for a solver. */
const variable = (slot: number, item: number) => `x${slot}_${item}`;
const empty = (slot: number) => `e${slot}`;
const MONEY_OVER = 'm';
const MASS_OVER = 'w';

interface Placed {
  readonly slot: number;
  readonly name: string;
  readonly item: Candidate;
}

export const placed = ({ slots }: ChooserInput): Placed[] =>
  slots.flatMap(({ items }, slot) =>
    items.map((item, i) => ({ slot, name: variable(slot, i), item })),
  );

const sum = (input: ChooserInput, of: (item: Candidate) => number): Term[] =>
  placed(input).flatMap(({ name, item }) => (of(item) === 0 ? [] : [{ by: of(item), of: name }]));

const ones = ({ items }: CandidateSlot, slot: number): Term[] =>
  items.map((_, i) => ({ by: 1, of: variable(slot, i) }));

/**
 * A package worth most: one item for each required slot, at most one for the others, no conflict,
 * within budget and mass.
 */
export function worthProgramme(input: ChooserInput, besides: readonly Row[] = []): Programme {
  return {
    maximise: true,
    objective: sum(input, ({ worth }) => worth),
    rows: [
      ...input.slots.map((slot, at): Row => {
        const is = slot.required ? '=' : '<=';
        return { terms: ones(slot, at), is, value: 1 };
      }),
      ...conflictRows(input),
      ...limitRows(input, []),
      ...besides,
    ],
    binaries: placed(input).map(({ name }) => name),
  };
}

/** Of all packages of this worth, the cheapest; `floor` a hair under it for the solver's rounding. */
export const cheapestProgramme = (input: ChooserInput, floor: number, besides: readonly Row[]) => ({
  ...worthProgramme(input, [
    ...besides,
    { terms: sum(input, ({ worth }) => worth), is: '>=' as const, value: floor },
  ]),
  maximise: false,
  objective: sum(input, ({ priceCents }) => priceCents),
});

/** What has to be given up at least, one wish after the other; see Infeasible. */
export type Give = 'slots' | 'money' | 'mass';

export function giveProgramme(
  input: ChooserInput,
  least: Give,
  before: Readonly<Partial<Record<Give, number>>>,
): Programme {
  const required = input.slots.flatMap((slot, at) => (slot.required ? [at] : []));
  const gives: Record<Give, Term[]> = {
    slots: required.map((at) => ({ by: 1, of: empty(at) })),
    money: [{ by: 1, of: MONEY_OVER }],
    mass: [{ by: 1, of: MASS_OVER }],
  };
  return {
    maximise: false,
    objective: gives[least],
    rows: [
      ...input.slots.map((slot, at): Row =>
        slot.required
          ? { terms: [...ones(slot, at), { by: 1, of: empty(at) }], is: '=', value: 1 }
          : { terms: ones(slot, at), is: '<=', value: 1 },
      ),
      ...conflictRows(input),
      ...limitRows(input, [MONEY_OVER, MASS_OVER]),
      ...(Object.entries(before) as [Give, number][]).map(([give, value]): Row => ({
        terms: gives[give],
        is: '<=',
        value,
      })),
    ],
    binaries: [...placed(input).map(({ name }) => name), ...required.map(empty)],
  };
}

/** What a give's solution says: the slots left empty, the money and the mass over. */
export const givenUp = (input: ChooserInput, values: Readonly<Record<string, number>>) => ({
  slots: input.slots.flatMap(({ name }, at) => ((values[empty(at)] ?? 0) > 0.5 ? [name] : [])),
  money: values[MONEY_OVER] ?? 0,
  mass: values[MASS_OVER] ?? 0,
});

function conflictRows(input: ChooserInput): Row[] {
  const names = new Map(placed(input).map(({ name, item }) => [item.id, name]));
  return input.conflicts.flatMap(([a, b]): Row[] => {
    const [first, second] = [names.get(a), names.get(b)];
    if (!first || !second) return [];
    return [
      {
        terms: [
          { by: 1, of: first },
          { by: 1, of: second },
        ],
        is: '<=',
        value: 1,
      },
    ];
  });
}

function limitRows(input: ChooserInput, over: readonly string[]): Row[] {
  const row = (
    of: (item: Candidate) => number,
    limit: number | undefined,
    slack?: string,
  ): Row[] => {
    const terms = sum(input, of);
    if (limit === undefined || terms.length === 0) return [];
    const soft = slack ? [{ by: -1, of: slack }] : [];
    return [{ terms: [...terms, ...soft], is: '<=', value: limit }];
  };
  return [
    ...row(({ priceCents }) => priceCents, input.budgetCents, over[0]),
    ...row(({ massG }) => massG, input.massLimitG, over[1]),
  ];
}

/** Everything but exactly this package. */
export function notAgain(input: ChooserInput, taken: ReadonlySet<string>): Row {
  const terms = placed(input).map(({ name }) => ({ by: taken.has(name) ? 1 : -1, of: name }));
  return { terms, is: '<=', value: taken.size - 1 };
}
