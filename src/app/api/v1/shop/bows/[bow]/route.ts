import { byOf } from '@/server/access/asker';
import { noted } from '@/server/access/note';
import { saveBow } from '@/server/bow-stock';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ bow: string }> };

export const PUT = (request: Request, { params }: Params) =>
  answer(async () => {
    const { bow } = await params;
    const body = await readJson(request);
    return noted(byOf(request), 'stock', `Bow ${bow} saved`, () => saveBow(bow, body), body);
  });

export const { GET, POST, PATCH, DELETE } = otherMethods('PUT');
