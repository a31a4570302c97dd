import { askerOf } from '@/server/access/asker';
import { makerOf } from '@/server/access/maker';
import { enter, wasSaved } from '@/server/commands';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ id: string }> };

/** Whether a command, named by its key, was kept. */
export const GET = (request: Request, { params }: Params) =>
  answer(async () => wasSaved((await params).id, new URL(request.url).searchParams.get('key')));

export const POST = (request: Request, { params }: Params) =>
  answer(async () => {
    const asker = askerOf(request);
    const body = await readJson(request);
    return enter((await params).id, body, makerOf(body, asker));
  });

export const { PUT, PATCH, DELETE } = otherMethods('GET', 'POST');
