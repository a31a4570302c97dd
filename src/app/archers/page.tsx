import type { Metadata } from 'next';
import { longGoneArchers } from '@/server/archers';
import { shopDay } from '@/server/clock';
import { loadShop } from '@/server/shop';
import { LongGonePage } from '@/ui/archers/LongGonePage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.archers };

export default function Page() {
  const { persons, timeZone } = loadShop();
  return (
    <LongGonePage
      people={longGoneArchers()}
      keepYears={persons.keepYears}
      today={shopDay(timeZone)}
    />
  );
}
