import { answer, otherMethods, readJson } from '@/server/http';
import { stagePiece } from '@/server/part-imports';

/** Puts a piece of a file aside. */
export const POST = (request: Request) => answer(async () => stagePiece(await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
