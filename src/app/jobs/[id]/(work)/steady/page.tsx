import { itemsFor } from '@/server/stock';
import { SteadyStage } from '@/ui/stages/steady/SteadyStage';

const OF_BARS: readonly string[] = ['stabiliser', 'rearBar', 'barMount', 'weights'];

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <SteadyStage items={itemsFor(id).filter(({ slot }) => OF_BARS.includes(slot))} />;
}
