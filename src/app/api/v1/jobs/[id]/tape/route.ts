import { answer, otherMethods } from '@/server/http';
import { tapeFile } from '@/server/tape';

type Params = { params: Promise<{ id: string }> };

/** The job's sight tape, true to size: ?format=pdf (usual) or svg, and the rest of the wishes. */
export async function GET(request: Request, { params }: Params) {
  let file: Awaited<ReturnType<typeof tapeFile>> | null = null;
  const problem = await answer(async () => {
    file = await tapeFile((await params).id, new URL(request.url).searchParams);
  });
  if (!file) return problem;
  const { body, type, name } = file as Awaited<ReturnType<typeof tapeFile>>;
  return new Response(typeof body === 'string' ? body : new Uint8Array(body), {
    headers: {
      'content-type': type,
      'cache-control': 'no-store',
      'content-disposition': `inline; filename="${name}"`,
    },
  });
}

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
