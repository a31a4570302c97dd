import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { askerIn } from '@/server/access/asker';
import { doorOf } from '@/server/access/sessions';
import { SignInPage } from '@/ui/door/SignInPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.signIn };

type Search = Promise<Record<string, string | string[] | undefined>>;

/** A page of this shop, never another site’s. */
const ownPage = (to: unknown): string =>
  typeof to === 'string' && /^\/(?![/\\])/.test(to) && !to.startsWith('/sign-in') ? to : '/';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const to = ownPage((await searchParams).to);
  const asker = askerIn({ headers: await headers() });
  if (!asker) return null;
  if (asker.by) redirect(to);
  return <SignInPage door={doorOf(asker)} to={to} />;
}
