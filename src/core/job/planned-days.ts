import { addDays } from '../units';

/** How far ahead a shop promises and appoints, days: what lies further off is a slip of the finger. */
export const MOST_DAYS_AHEAD = 731;

type DayFault = 'past' | 'far';

/**
 * Whether a day can be promised, or appointed, on `today` (both YYYY-MM-DD).
 *
 * @returns null where it can; else whether it is past or over two years off.
 */
export const plannedDayFault = (day: string, today: string): DayFault | null =>
  day < today ? 'past' : day > addDays(today, MOST_DAYS_AHEAD) ? 'far' : null;
