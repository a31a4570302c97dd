import { notFound } from 'next/navigation';
import { derive } from '@/core/job';
import { twinPage } from '@/core/twin';
import { BlockPaper } from '@/ui/sheet/BlockPaper';
import { like } from '@/ui/words';
import { jobShown } from '../snapshot';

/** This bow and the one it is made like, on one page. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const snapshot = jobShown(id);
  const page = twinPage(snapshot, derive(snapshot)) ?? notFound();
  return (
    <BlockPaper
      back={{ href: `/jobs/${id}/bow?part=like`, text: like.back }}
      api={`/api/v1/jobs/${id}/like`}
      archer={snapshot.archer.name}
      title={page.title}
      stamp={[page.count, snapshot.shop.name]}
      head={page.bows[0]}
      lead={like.besideBow(page.bows[1])}
      blocks={page.blocks}
    />
  );
}
