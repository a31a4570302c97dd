import type { Metadata } from 'next';
import { auditOf } from '@/server/access/audit';
import { managed } from '@/server/access/manage';
import { shopDay } from '@/server/clock';
import { loadShop } from '@/server/shop';
import { DonePage } from '@/ui/people/DonePage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.done };

export default function Page() {
  const { timeZone } = loadShop();
  const { people, tablets } = managed();
  return (
    <DonePage
      first={auditOf(new URLSearchParams())}
      people={people.map(({ name }) => name)}
      tablets={[...new Set(tablets.map(({ name }) => name))]}
      today={shopDay(timeZone)}
      timeZone={timeZone}
    />
  );
}
