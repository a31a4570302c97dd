import { answer, otherMethods, readJson } from '@/server/http';
import { savePart } from '@/server/part-stock';

type Params = { params: Promise<{ part: string }> };

export const PUT = (request: Request, { params }: Params) =>
  answer(async () => savePart((await params).part, await readJson(request)));

export const { GET, POST, PATCH, DELETE } = otherMethods('PUT');
