import { saveBow } from '@/server/bow-stock';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ bow: string }> };

export const PUT = (request: Request, { params }: Params) =>
  answer(async () => saveBow((await params).bow, await readJson(request)));

export const { GET, POST, PATCH, DELETE } = otherMethods('PUT');
