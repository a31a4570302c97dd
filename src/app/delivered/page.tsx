import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Problem } from '@/server/problem';
import { registerView } from '@/server/register';
import { RegisterPage } from '@/ui/delivered/RegisterPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.delivered };

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const asked = Object.fromEntries(
    Object.entries(await searchParams).map(([name, value]) => [name, [value].flat()[0]]),
  );
  return <RegisterPage view={viewOf(asked)} />;
}

/** A part or bow nobody knows is a page that is not there. */
function viewOf(asked: Readonly<Record<string, string | undefined>>) {
  try {
    return registerView(asked);
  } catch (error) {
    if (error instanceof Problem && error.status === 404) notFound();
    throw error;
  }
}
