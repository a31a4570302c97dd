import { byOf } from '@/server/access/asker';
import { note } from '@/server/access/note';
import { answer, otherMethods, readJson } from '@/server/http';
import { dropImport, lookedAt, offsetOf, takeImport } from '@/server/part-imports';

type Params = { params: Promise<{ id: string }> };

/** What taking it would change. */
export const GET = (request: Request, { params }: Params) =>
  answer(async () => lookedAt((await params).id, offsetOf(request)));

export const POST = (request: Request, { params }: Params) =>
  answer(async () => {
    const by = byOf(request);
    const done = await takeImport((await params).id, await readJson(request));
    note(by, 'stock', `A file of parts taken in: ${done.taken}`);
    return done;
  });

export const DELETE = (_request: Request, { params }: Params) =>
  answer(async () => dropImport((await params).id));

export const { PUT, PATCH } = otherMethods('GET', 'POST', 'DELETE');
