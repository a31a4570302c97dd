import { Ticks } from '../../drawings/Ticks';
import { kit as w } from '../../words';
import css from './BudgetTape.module.css';

/** The money used as a length of tape; past the budget it turns brick and says so above. */
export function BudgetTape({ total, budget }: { total: number; budget: number | null }) {
  if (budget === null || budget === 0) return null;
  const part = Math.min(1, total / budget);
  return (
    <div
      className={css.budget}
      role="meter"
      aria-label={w.budgetBar}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round((100 * total) / budget)}
      data-over={total > budget ? 'yes' : 'no'}
    >
      <span style={{ width: `${part * 100}%` }} />
      <Ticks className={css.budgetTicks} />
    </div>
  );
}
