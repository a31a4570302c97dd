import { byOf } from '@/server/access/asker';
import { openJob } from '@/server/commands';
import { answer, otherMethods, readJson } from '@/server/http';

export const POST = (request: Request) =>
  answer(async () => openJob(await readJson(request), byOf(request)), 201);

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
