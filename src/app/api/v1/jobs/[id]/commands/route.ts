import { byOf } from '@/server/access/asker';
import { enter, wasSaved } from '@/server/commands';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ id: string }> };

/** Whether a command, named by its key, was kept. */
export const GET = (request: Request, { params }: Params) =>
  answer(async () => wasSaved((await params).id, new URL(request.url).searchParams.get('key')));

export const POST = (request: Request, { params }: Params) =>
  answer(async () => enter((await params).id, await readJson(request), byOf(request)));

export const { PUT, PATCH, DELETE } = otherMethods('GET', 'POST');
