import { createJob } from '@/server/commands';
import { answer, readJson } from '@/server/http';

export const POST = (request: Request) =>
  answer(async () => createJob(await readJson(request)), 201);
