'use client';
import { useParams, useRouter, useSearchParams } from 'next/navigation';
import type { Stage } from '@/core/setup';

/** Where in the job the screen stands, and how to go elsewhere. */
export function useStage() {
  const { id, stage } = useParams<{ id: string; stage: Stage }>();
  const query = useSearchParams();
  const router = useRouter();
  const href = (to: Stage, at?: Readonly<Record<string, string>>) => {
    const tail = at ? `?${new URLSearchParams(at)}` : '';
    return `/jobs/${id}/${to}${tail}`;
  };
  return {
    stage,
    at: (name: string) => query.get(name),
    href,
    go: (to: Stage, at?: Readonly<Record<string, string>>) =>
      router.push(href(to, at), { scroll: false }),
  };
}
