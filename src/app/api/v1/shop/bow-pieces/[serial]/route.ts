import { byOf } from '@/server/access/asker';
import { noted } from '@/server/access/note';
import { bringBack, forgetSingleBow, saveSingleBow } from '@/server/bow-pieces';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ serial: string }> };

export const PUT = (request: Request, { params }: Params) =>
  answer(async () => {
    const { serial } = await params;
    const body = await readJson(request);
    const work = () => saveSingleBow(serial, body);
    return noted(byOf(request), 'stock', `Single bow ${serial} written down`, work, body);
  });

/** A loan bow is brought back. */
export const POST = (request: Request, { params }: Params) =>
  answer(async () => {
    const { serial } = await params;
    return noted(byOf(request), 'stock', `Single bow ${serial} is back`, () => bringBack(serial));
  });

export const DELETE = (request: Request, { params }: Params) =>
  answer(async () => {
    const { serial } = await params;
    const work = () => forgetSingleBow(serial);
    return noted(byOf(request), 'stock', `Single bow ${serial} taken off`, work);
  });

export const { GET, PATCH } = otherMethods('PUT', 'POST', 'DELETE');
