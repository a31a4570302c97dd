import { bringBack, forgetSingleBow, saveSingleBow } from '@/server/bow-pieces';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ serial: string }> };

export const PUT = (request: Request, { params }: Params) =>
  answer(async () => saveSingleBow((await params).serial, await readJson(request)));

/** A loan bow is brought back. */
export const POST = (_request: Request, { params }: Params) =>
  answer(async () => bringBack((await params).serial));

export const DELETE = (_request: Request, { params }: Params) =>
  answer(async () => forgetSingleBow((await params).serial));

export const { GET, PATCH } = otherMethods('PUT', 'POST', 'DELETE');
