import type { JobDerived, JobSnapshot } from '../job';
import { heldTax, quoteLines } from './quote';

/** What a job comes to, and what it is made of; whole cents. */
export interface JobTotal {
  readonly bowCents: number;
  readonly partsCents: number;
  /** Setting up, where the shop charges for it; 0 otherwise. */
  readonly workCents: number;
  readonly workMinutes: number;
  /** Extra lines less discounts; may be below nothing. */
  readonly extraCents: number;
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
  const [bowCents, partsCents, workCents, extraCents] = [
    of('bow'),
    of('part', 'moved'),
    of('labour'),
    of('extra'),
  ];
  // A part may have gone since a discount was given: the whole never goes below nothing.
  const totalCents = Math.max(0, bowCents + partsCents + workCents + extraCents);
  const { taxPct } = snapshot.shop.quote;
  return {
    bowCents,
    partsCents,
    workCents,
    extraCents,
    workMinutes: lines.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0),
    totalCents,
    taxCents: heldTax(totalCents, taxPct),
    taxPct,
  };
}
