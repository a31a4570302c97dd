import { askerOf } from '@/server/access/asker';
import { answer, otherMethods, readJson } from '@/server/http';
import { openHere } from '@/server/opening';

/** Opens a new shop where there is none, or restores one: at the machine itself alone. */
export const POST = (request: Request) =>
  answer(async () => openHere(askerOf(request), await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
