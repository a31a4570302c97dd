import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { loadSnapshot } from '@/server/load-snapshot';
import { JobFrame } from '@/ui/job/JobFrame';
import { JobProvider } from '@/ui/job/JobProvider';

/** The job's frame stays while its stages change. */
export default async function Layout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ id: string }>;
}) {
  const { id } = await params;
  const snapshot = loadSnapshot(id) ?? notFound();
  return (
    <JobProvider key={id} initial={snapshot}>
      <JobFrame>{children}</JobFrame>
    </JobProvider>
  );
}
