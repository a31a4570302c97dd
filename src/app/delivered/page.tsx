import type { Metadata } from 'next';
import { deliveredView } from '@/server/delivered';
import { DeliveredPage } from '@/ui/delivered/DeliveredPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.delivered };

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { page } = await searchParams;
  return <DeliveredPage view={deliveredView([page].flat()[0])} />;
}
