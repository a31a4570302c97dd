import type { ReactNode } from 'react';
import { othersFirst } from '@/server/others-first';
import { JobFrame } from '@/ui/job/JobFrame';
import { JobProvider } from '@/ui/job/JobProvider';
import { jobShown } from '../snapshot';

/** The job's frame stays while its stages change. */
export default async function Layout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ id: string }>;
}) {
  const { id } = await params;
  const snapshot = jobShown(id);
  await othersFirst();
  return (
    <JobProvider key={id} initial={snapshot}>
      <JobFrame>{children}</JobFrame>
    </JobProvider>
  );
}
