import { todayView } from '@/server/today-view';
import { TodayPage } from '@/ui/today/TodayPage';

export default async function Page() {
  return <TodayPage view={await todayView()} />;
}
