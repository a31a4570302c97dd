import { byOf } from '@/server/access/asker';
import { noted } from '@/server/access/note';
import { answer, otherMethods, readJson } from '@/server/http';
import { savePart } from '@/server/part-stock';

type Params = { params: Promise<{ part: string }> };

export const PUT = (request: Request, { params }: Params) =>
  answer(async () => {
    const { part } = await params;
    const body = await readJson(request);
    return noted(byOf(request), 'stock', `Part ${part} saved`, () => savePart(part, body), body);
  });

export const { GET, POST, PATCH, DELETE } = otherMethods('PUT');
