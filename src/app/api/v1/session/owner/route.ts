import { askerOf } from '@/server/access/asker';
import { nameOwner } from '@/server/access/sessions';
import { answerSigned } from '@/server/access/signed';
import { otherMethods, readJson } from '@/server/http';

/** Names the first owner, at the machine itself. */
export const POST = (request: Request) =>
  answerSigned(askerOf(request).secured, async () =>
    nameOwner(askerOf(request), await readJson(request)),
  );

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
