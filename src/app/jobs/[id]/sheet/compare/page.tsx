import { notFound } from 'next/navigation';
import { findSheet } from '@/server/sheets';
import { SheetComparePage } from '@/ui/sheet/SheetComparePage';
import { jobShown } from '../../snapshot';

/** Two revisions of a sheet side by side: ?from=1&to=2. */
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ from?: string; to?: string }>;
}) {
  const { id } = await params;
  const { from, to } = await searchParams;
  const [before, after] = [from, to].map((revision) => findSheet(id, revision ?? '') ?? notFound());
  return (
    <SheetComparePage jobId={id} before={before!} after={after!} sheets={jobShown(id).sheets} />
  );
}
