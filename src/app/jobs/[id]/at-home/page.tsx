import { notFound } from 'next/navigation';
import { homePage } from '@/core/elsewhere';
import { derive } from '@/core/job';
import { BlockPaper } from '@/ui/sheet/BlockPaper';
import { elsewhere } from '@/ui/words';
import { jobShown } from '../snapshot';

/** What the archer does at home, and what not. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const snapshot = jobShown(id);
  const page = homePage(snapshot, derive(snapshot)) ?? notFound();
  const { shop, archer } = snapshot;
  return (
    <BlockPaper
      back={{ href: `/jobs/${id}/bow?part=own`, text: elsewhere.homeBack }}
      api={`/api/v1/jobs/${id}/at-home`}
      archer={archer.name}
      title={page.title}
      stamp={[shop.name, shop.address, shop.phone].filter(Boolean)}
      head={page.bow}
      blocks={page.blocks}
    />
  );
}
