import { calendarView } from '@/server/calendar';
import { loadShop } from '@/server/shop';
import { CalendarPage } from '@/ui/calendar/CalendarPage';

/** What it shows changes with every job. */
export const dynamic = 'force-dynamic';

export default async function Page() {
  return <CalendarPage first={await calendarView()} shop={loadShop()} />;
}
