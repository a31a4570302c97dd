import { askerOf } from '@/server/access/asker';
import { pair } from '@/server/access/sessions';
import { answerSigned } from '@/server/access/signed';
import { otherMethods, readJson } from '@/server/http';

/** Makes this browser known: by a code, or by an owner at the machine itself. */
export const POST = (request: Request) =>
  answerSigned(askerOf(request).secured, async () =>
    pair(askerOf(request), await readJson(request)),
  );

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
