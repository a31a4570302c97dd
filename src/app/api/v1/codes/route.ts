import { readCodeText } from '@/server/codes';
import { answer, otherMethods, readJson } from '@/server/http';

/** Reads a code of a sheet: what it says, and whose it is here. Nothing is kept. */
export const POST = (request: Request) => answer(async () => readCodeText(await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
