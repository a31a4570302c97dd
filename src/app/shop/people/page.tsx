import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { askerIn } from '@/server/access/asker';
import { managed } from '@/server/access/manage';
import { tabletAddress } from '@/server/access/tablet-address';
import { shopDay } from '@/server/clock';
import { loadShop } from '@/server/shop';
import { PeoplePage } from '@/ui/people/PeoplePage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.people };

export default async function Page() {
  const { timeZone } = loadShop();
  const asked = await headers();
  return (
    <PeoplePage
      managed={managed()}
      tablet={askerIn({ headers: asked })?.tablet?.id ?? null}
      today={shopDay(timeZone)}
      timeZone={timeZone}
      address={tabletAddress(asked.get('host') ?? '')}
    />
  );
}
