import { cache } from 'react';
import { notFound } from 'next/navigation';
import { loadSnapshot } from '@/server/load-snapshot';

/** The job of the address, read once however many parts of the page ask for it; null where there is none. */
export const jobRead = cache((id: string) => loadSnapshot(id));

export const jobShown = (id: string) => jobRead(id) ?? notFound();
