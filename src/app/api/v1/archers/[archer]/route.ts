import { byOf } from '@/server/access/asker';
import { erase, knownArcher } from '@/server/archers';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ archer: string }> };

/** What is known of one archer. */
export const GET = (_: Request, { params }: Params) =>
  answer(async () => knownArcher((await params).archer));

/** Erases them for good; the body says the name once more: { "name": "…" }. */
export const DELETE = (request: Request, { params }: Params) =>
  answer(async () => erase(byOf(request), (await params).archer, await readJson(request)));

export const { POST, PUT, PATCH } = otherMethods('GET', 'DELETE');
