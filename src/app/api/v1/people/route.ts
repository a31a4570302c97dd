import { byOf } from '@/server/access/asker';
import { addPerson } from '@/server/access/manage';
import { answer, otherMethods, readJson } from '@/server/http';

/** Somebody who works here from now on. */
export const POST = (request: Request) =>
  answer(async () => addPerson(byOf(request), await readJson(request)), 201);

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
