import { planCalendar, type CalendarInput, type CalendarPlan } from '@/core/calendar';
import { seeded } from '@/core/numerics';

/** The page's own thread goes on looking; the server only puts everything somewhere. */
const FIRST_LOOKS = 8;
const CALENDAR_SEED = 20;

export const firstPlan = (input: CalendarInput): CalendarPlan =>
  planCalendar(input, seeded(CALENDAR_SEED), FIRST_LOOKS);
