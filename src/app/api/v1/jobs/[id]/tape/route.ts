import { answer, otherMethods } from '@/server/http';
import { heavy } from '@/server/heavy';
import type { TapeFile } from '@/server/tape';

type Params = { params: Promise<{ id: string }> };

/** The job's sight tape, true to size: ?format=pdf (usual) or svg, and the rest of the wishes. */
export async function GET(request: Request, { params }: Params) {
  let file: TapeFile | null = null;
  const problem = await answer(async () => {
    file = await heavy('tape', (await params).id, new URL(request.url).search);
  });
  if (!file) return problem;
  const { body, type, name } = file as TapeFile;
  return new Response(typeof body === 'string' ? body : new Uint8Array(body), {
    headers: {
      'content-type': type,
      'cache-control': 'no-store',
      'content-disposition': `inline; filename="${name}"`,
    },
  });
}

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
