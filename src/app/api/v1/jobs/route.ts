import { createJob } from '@/server/commands';
import { answer, otherMethods, readJson } from '@/server/http';

export const POST = (request: Request) =>
  answer(async () => createJob(await readJson(request)), 201);

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
