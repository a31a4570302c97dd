import { answer, otherMethods } from '@/server/http';
import { notFound } from '@/server/problem';
import { loadSnapshot } from '@/server/load-snapshot';

export const GET = (_: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    const snapshot = loadSnapshot((await params).id);
    if (!snapshot) throw notFound('job');
    return snapshot;
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
