import { othersFirst } from '@/server/others-first';
import { openingHour } from '@/server/first-hour';
import { todayView } from '@/server/today-view';
import { TodayPage } from '@/ui/today/TodayPage';

export default async function Page() {
  const view = await todayView();
  await othersFirst();
  return <TodayPage view={view} opening={openingHour()?.seen.length ?? null} />;
}
