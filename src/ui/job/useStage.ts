'use client';
import { useParams, usePathname, useRouter, useSearchParams } from 'next/navigation';
import type { Stage } from '@/core/setup';

/** Where in the job the screen stands, and how to go elsewhere. */
export function useStage() {
  const { id } = useParams<{ id: string }>();
  // Every stage is a route of its own: /jobs/<id>/<stage>.
  const stage = usePathname().split('/')[3] as Stage;
  const query = useSearchParams();
  const router = useRouter();
  const href = (to: Stage, at?: Readonly<Record<string, string>>) => {
    const tail = at ? `?${new URLSearchParams(at)}` : '';
    return `/jobs/${id}/${to}${tail}`;
  };
  return {
    stage,
    /** What of the stage is shown. */
    place: query.toString(),
    at: (name: string) => query.get(name),
    href,
    go: (to: Stage, at?: Readonly<Record<string, string>>) =>
      router.push(href(to, at), { scroll: false }),
  };
}
