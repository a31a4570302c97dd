import { todayView } from '@/server/today-view';
import { TodayPage } from '@/ui/today/TodayPage';

export default function Page() {
  return <TodayPage view={todayView()} />;
}
