import { allBows } from '@/server/stock';
import { FitStage } from '@/ui/stages/fit/FitStage';

export default function Page() {
  return <FitStage bows={allBows()} />;
}
