import { arrowComponents, itemsFor } from '@/server/stock';
import { KitStage } from '@/ui/stages/kit/KitStage';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <KitStage items={itemsFor(id)} components={arrowComponents(id)} />;
}
