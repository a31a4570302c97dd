import { othersFirst } from '@/server/others-first';
import { todayView } from '@/server/today-view';
import { TodayPage } from '@/ui/today/TodayPage';

export default async function Page() {
  const view = await todayView();
  await othersFirst();
  return <TodayPage view={view} />;
}
