import { notFound } from 'next/navigation';
import { derive } from '@/core/job';
import { twinPage } from '@/core/twin';
import { TwinPaper } from '@/ui/sheet/TwinPaper';
import { jobShown } from '../snapshot';

/** This bow and the one it is made like, on one page. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const snapshot = jobShown(id);
  const page = twinPage(snapshot, derive(snapshot)) ?? notFound();
  return (
    <TwinPaper jobId={id} archer={snapshot.archer.name} page={page} shop={snapshot.shop.name} />
  );
}
