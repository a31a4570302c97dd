import type { JobDerived, JobSnapshot } from '../job';
import { heldTax, quoteLines } from './quote';

/** What a job comes to, and what it is made of; whole cents. */
export interface JobTotal {
  readonly bowCents: number;
  readonly partsCents: number;
  /** Setting up, where the shop charges for it; 0 otherwise. */
  readonly workCents: number;
  readonly workMinutes: number;
  readonly totalCents: number;
  /** Held in the total. */
  readonly taxCents: number;
  readonly taxPct: number;
}

/**
 * The one total of a job: header, kit, packages and quote say it. Bow, parts and work as a quote would
 * list them now; the tax is held in the prices.
 */
export function jobTotal(snapshot: JobSnapshot, derived: JobDerived): JobTotal {
  const lines = quoteLines(snapshot, derived);
  const of = (...kinds: readonly string[]) =>
    lines.filter(({ kind }) => kinds.includes(kind)).reduce((sum, { cents }) => sum + cents, 0);
  const [bowCents, partsCents, workCents] = [of('bow'), of('part', 'moved'), of('labour')];
  const totalCents = bowCents + partsCents + workCents;
  const { taxPct } = snapshot.shop.quote;
  return {
    bowCents,
    partsCents,
    workCents,
    workMinutes: lines.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0),
    totalCents,
    taxCents: heldTax(totalCents, taxPct),
    taxPct,
  };
}
