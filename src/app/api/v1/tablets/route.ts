import { byOf } from '@/server/access/asker';
import { makePairing } from '@/server/access/manage';
import { answer, otherMethods } from '@/server/http';

/** A code to pair one tablet by, told this once. */
export const POST = (request: Request) => answer(() => makePairing(byOf(request)), 201);

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
