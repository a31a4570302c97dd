import { historyPage, historyPreview } from '@/server/history';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Params) =>
  answer(async () => historyPage((await params).id, new URL(request.url).searchParams));

/** What taking back an entry, or bringing it again, would make stale. */
export const POST = (request: Request, { params }: Params) =>
  answer(async () => historyPreview((await params).id, await readJson(request)));

export const { PUT, PATCH, DELETE } = otherMethods('GET', 'POST');
