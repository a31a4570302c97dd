import { putVisit } from '@/server/calendar';
import { answer, otherMethods, readJson } from '@/server/http';

/** Puts a visit at a time, or lets it go. */
export const PUT = (request: Request) => answer(async () => putVisit(await readJson(request)));

export const { GET, POST, PATCH, DELETE } = otherMethods('PUT');
