/** One thing that may go into a slot. */
export interface Candidate {
  readonly id: string;
  readonly priceCents: number;
  readonly massG: number;
  /** How good it is for this archer; any scale, more is better. */
  readonly worth: number;
}

export interface CandidateSlot {
  readonly name: string;
  /** A required slot takes exactly one, any other at most one. */
  readonly required: boolean;
  readonly items: readonly Candidate[];
}

export interface ChooserInput {
  readonly slots: readonly CandidateSlot[];
  /** Pairs of ids that cannot be in one package. */
  readonly conflicts: readonly (readonly [string, string])[];
  readonly budgetCents?: number;
  readonly massLimitG?: number;
  /** How many next-best packages are wanted besides. */
  readonly alternatives?: number;
  /** Any of equal worth will do: saves the second programme that looks for the cheapest. */
  readonly anyOfEqual?: boolean;
}

export interface Package {
  /** Slot name to the id chosen; null where it is left empty. */
  readonly chosen: Readonly<Record<string, string | null>>;
  readonly worth: number;
  readonly priceCents: number;
  readonly massG: number;
}

export interface Optimal extends Package {
  readonly status: 'optimal';
  readonly alternatives: readonly Package[];
}

/** The smallest give: fewest required slots left empty, then least money over, then least mass. */
export interface Infeasible {
  readonly status: 'infeasible';
  readonly relax: {
    readonly budgetCents: number;
    readonly massG: number;
    readonly slots: readonly string[];
  };
}

export type ChooserResult = Optimal | Infeasible;

/** A mixed-integer programme in plain data; every variable is named, from 0 up. */
export interface Programme {
  readonly maximise: boolean;
  readonly objective: readonly Term[];
  readonly rows: readonly Row[];
  readonly binaries: readonly string[];
}
export interface Term {
  readonly by: number;
  readonly of: string;
}
export interface Row {
  readonly terms: readonly Term[];
  readonly is: '<=' | '>=' | '=';
  readonly value: number;
}

/** What a solver answers; it runs elsewhere, so that the core stays free of it. */
export type Solution =
  | { readonly status: 'optimal'; readonly values: Readonly<Record<string, number>> }
  | { readonly status: 'infeasible' };
export type Solve = (programme: Programme) => Promise<Solution>;
