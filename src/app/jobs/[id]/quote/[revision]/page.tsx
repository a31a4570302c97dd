import { notFound } from 'next/navigation';
import { findQuote } from '@/server/quotes';
import { loadSnapshot } from '@/server/load-snapshot';
import { QuotePage } from '@/ui/quote/QuotePage';

/** A quote as it was given; prints as it stands. */
export default async function Page({
  params,
}: {
  params: Promise<{ id: string; revision: string }>;
}) {
  const { id, revision } = await params;
  const quote = findQuote(id, revision) ?? notFound();
  const { quotes, shop } = loadSnapshot(id)!;
  return (
    <QuotePage jobId={id} quote={quote} newest={quotes[0]!.revision} timeZone={shop.timeZone} />
  );
}
