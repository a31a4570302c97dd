import { answer, otherMethods } from '@/server/http';
import { notFound } from '@/server/problem';
import { keptSheet } from '@/server/sheets';

type Params = { params: Promise<{ id: string; revision: string }> };

/** The build sheet as JSON as it was kept, by the schema of its version in docs/formats. */
export const GET = (_: Request, { params }: Params) =>
  answer(async () => {
    const { id, revision } = await params;
    const kept = keptSheet(id, revision);
    if (kept === null) throw notFound('build sheet');
    return kept;
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
