import { bowsFor, loggedCurves } from '@/server/stock';
import { BowStage } from '@/ui/stages/bow/BowStage';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <BowStage offers={bowsFor((await params).id)} curves={loggedCurves()} />;
}
