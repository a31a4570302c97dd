import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { jobRead, jobShown } from './snapshot';

type Params = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  const snapshot = jobRead((await params).id);
  return { title: snapshot?.archer.name ?? 'No such job' };
}

export default async function Layout({ children, params }: Params & { children: ReactNode }) {
  jobShown((await params).id);
  return children;
}
