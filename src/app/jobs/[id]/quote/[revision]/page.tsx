import { notFound } from 'next/navigation';
import { findQuote } from '@/server/quotes';
import { QuotePage } from '@/ui/quote/QuotePage';
import { jobShown } from '../../snapshot';

/** A quote as it was given; prints as it stands. */
export default async function Page({
  params,
}: {
  params: Promise<{ id: string; revision: string }>;
}) {
  const { id, revision } = await params;
  const quote = findQuote(id, revision) ?? notFound();
  const { quotes, shop } = jobShown(id);
  return (
    <QuotePage jobId={id} quote={quote} newest={quotes[0]!.revision} timeZone={shop.timeZone} />
  );
}
