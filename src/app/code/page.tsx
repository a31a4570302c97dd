import type { Metadata } from 'next';
import { jobsToCompare } from '@/server/codes';
import { loadShop } from '@/server/shop';
import { CodePage } from '@/ui/code/CodePage';
import { pages } from '@/ui/words/pages';

export const dynamic = 'force-dynamic';

export const metadata: Metadata = { title: pages.code };

export default function Page() {
  return <CodePage units={loadShop().units} jobs={jobsToCompare()} />;
}
