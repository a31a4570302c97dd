import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { knownArcher } from '@/server/archers';
import { shopDay } from '@/server/clock';
import { Problem } from '@/server/problem';
import { loadShop } from '@/server/shop';
import { ArcherPage } from '@/ui/archers/ArcherPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.archers };

export default async function Page({ params }: { params: Promise<{ archer: string }> }) {
  const { archer } = await params;
  const { timeZone } = loadShop();
  return <ArcherPage known={known(archer)} today={shopDay(timeZone)} timeZone={timeZone} />;
}

/** Somebody nobody knows is a page that is not there. */
function known(archer: string) {
  try {
    return knownArcher(archer);
  } catch (error) {
    if (error instanceof Problem && error.status === 404) notFound();
    throw error;
  }
}
