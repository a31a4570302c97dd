import { byOf } from '@/server/access/asker';
import { answer, otherMethods, readJson } from '@/server/http';
import { lookAtBackup, putBack } from '@/server/put-back';

type Params = { params: Promise<{ backup: string }> };

/** What a backup holds, and what was entered since. */
export const GET = (_: Request, { params }: Params) =>
  answer(async () => lookAtBackup((await params).backup));

/** Puts it in the place of the shop; the body says how much is known to go: { "entriesSince": 14 }. */
export const POST = (request: Request, { params }: Params) =>
  answer(async () => putBack(byOf(request), (await params).backup, await readJson(request)));

export const { PUT, PATCH, DELETE } = otherMethods('GET', 'POST');
