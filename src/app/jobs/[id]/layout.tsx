import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { loadSnapshot } from '@/server/load-snapshot';

type Params = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  const snapshot = loadSnapshot((await params).id);
  return { title: snapshot?.archer.name ?? 'No such job' };
}

export default async function Layout({ children, params }: Params & { children: ReactNode }) {
  if (!loadSnapshot((await params).id)) notFound();
  return children;
}
