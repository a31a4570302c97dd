import { byOf } from '@/server/access/asker';
import { addProgram } from '@/server/access/manage';
import { answer, otherMethods, readJson } from '@/server/http';

/** A token for another program, told this once. */
export const POST = (request: Request) =>
  answer(async () => addProgram(byOf(request), await readJson(request)), 201);

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
