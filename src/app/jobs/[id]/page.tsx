import { redirect } from 'next/navigation';
import { jobShown } from './snapshot';

/** A job opens where it was left. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  redirect(`/jobs/${id}/${jobShown(id).job.place}`);
}
