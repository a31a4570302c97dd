import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { askerIn } from '@/server/access/asker';
import { isOpenable, openingOf } from '@/server/opening';
import { OpenPage } from '@/ui/door/OpenPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.open };

export default async function Page() {
  const asker = askerIn({ headers: await headers() });
  if (!asker || !isOpenable(asker)) redirect('/');
  return <OpenPage opening={openingOf()} />;
}
