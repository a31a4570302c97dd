import { redirect } from 'next/navigation';
import { loadSnapshot } from '@/server/load-snapshot';

/** A job opens where it was left. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  redirect(`/jobs/${id}/${loadSnapshot(id)!.job.place}`);
}
