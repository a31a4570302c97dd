import { askerOf } from '@/server/access/asker';
import { changeOwnSecret } from '@/server/access/sessions';
import { answer, otherMethods, readJson } from '@/server/http';

/** Another PIN or password for who is signed in. */
export const POST = (request: Request) =>
  answer(async () => changeOwnSecret(askerOf(request), await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
