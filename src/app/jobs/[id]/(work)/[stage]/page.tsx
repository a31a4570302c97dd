import { notFound } from 'next/navigation';
import { allBows, arrowComponents, bowsFor, itemsFor, loggedCurves } from '@/server/stock';
import { STAGES } from '@/core/setup';
import { BenchStage } from '@/ui/stages/bench/BenchStage';
import { BowStage } from '@/ui/stages/bow/BowStage';
import { FitStage } from '@/ui/stages/fit/FitStage';
import { HandoverStage } from '@/ui/stages/handover/HandoverStage';
import { KitStage } from '@/ui/stages/kit/KitStage';
import { LaneStage } from '@/ui/stages/lane/LaneStage';
import { MeetStage } from '@/ui/stages/meet/MeetStage';
import { SteadyStage } from '@/ui/stages/steady/SteadyStage';

export default async function Page({ params }: { params: Promise<{ id: string; stage: string }> }) {
  const { id, stage } = await params;
  const known = STAGES.find(({ id }) => id === stage) ?? notFound();
  switch (known.id) {
    case 'meet':
      return <MeetStage />;
    case 'fit':
      return <FitStage bows={allBows()} />;
    case 'bow':
      return <BowStage offers={bowsFor(id)} curves={loggedCurves()} />;
    case 'kit':
      return <KitStage items={itemsFor(id)} components={arrowComponents(id)} />;
    case 'bench':
      return <BenchStage />;
    case 'lane':
      return <LaneStage />;
    case 'steady':
      return <SteadyStage />;
    case 'handover':
      return <HandoverStage />;
  }
}
