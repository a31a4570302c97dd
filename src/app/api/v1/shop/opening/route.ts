import { goOnOpening } from '@/server/first-hour';
import { answer, otherMethods, readJson } from '@/server/http';

/** A part of the guided opening was gone through, or it is over. */
export const POST = (request: Request) => answer(async () => goOnOpening(await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
