import { answer, otherMethods } from '@/server/http';
import { loadSheet } from '@/server/sheets';

type Params = { params: Promise<{ id: string; revision: string }> };

/** The build sheet as JSON, by the schema in docs/formats. */
export const GET = (_: Request, { params }: Params) =>
  answer(async () => {
    const { id, revision } = await params;
    return loadSheet(id, revision);
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
