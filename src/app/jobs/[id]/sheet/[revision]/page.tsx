import { notFound } from 'next/navigation';
import { findSheet } from '@/server/sheets';
import { SheetPage } from '@/ui/sheet/SheetPage';
import { jobShown } from '../../snapshot';

/** The build sheet as it was made; prints as it stands. */
export default async function Page({
  params,
}: {
  params: Promise<{ id: string; revision: string }>;
}) {
  const { id, revision } = await params;
  const sheet = findSheet(id, revision) ?? notFound();
  const snapshot = jobShown(id);
  return (
    <SheetPage
      jobId={id}
      sheet={sheet}
      newest={snapshot.sheets[0]!.revision}
      shop={snapshot.shop}
    />
  );
}
