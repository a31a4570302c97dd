import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { managed } from '@/server/access/manage';
import { openingHour } from '@/server/first-hour';
import { samples } from '@/server/samples';
import { loadShop } from '@/server/shop';
import { FirstPage } from '@/ui/first/FirstPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.first };

export default function Page() {
  const hour = openingHour();
  if (!hour) redirect('/shop');
  return <FirstPage shop={loadShop()} seen={hour.seen} managed={managed()} samples={samples()} />;
}
