import { answer, otherMethods, readJson } from '@/server/http';
import { dropImport, lookAtImport, offsetOf, takeImport } from '@/server/part-stock';

type Params = { params: Promise<{ id: string }> };

/** What taking it would change. */
export const GET = (request: Request, { params }: Params) =>
  answer(async () => lookAtImport((await params).id, undefined, offsetOf(request)));

export const POST = (request: Request, { params }: Params) =>
  answer(async () => takeImport((await params).id, await readJson(request)));

export const DELETE = (_request: Request, { params }: Params) =>
  answer(async () => dropImport((await params).id));

export const { PUT, PATCH } = otherMethods('GET', 'POST', 'DELETE');
