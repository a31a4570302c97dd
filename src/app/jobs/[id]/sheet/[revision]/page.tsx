import { notFound } from 'next/navigation';
import { findSheet } from '@/server/sheets';
import { SheetPage } from '@/ui/sheet/SheetPage';
import { jobShown } from '../../snapshot';

/** The build sheet as it was made; prints as it stands, without prices where ?prices=no. */
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ id: string; revision: string }>;
  searchParams: Promise<{ prices?: string }>;
}) {
  const { id, revision } = await params;
  const { prices } = await searchParams;
  const sheet = findSheet(id, revision) ?? notFound();
  const snapshot = jobShown(id);
  return (
    <SheetPage
      jobId={id}
      sheet={sheet}
      newest={snapshot.sheets[0]!.revision}
      timeZone={snapshot.shop.timeZone}
      prices={prices !== 'no'}
    />
  );
}
