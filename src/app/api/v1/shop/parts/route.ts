import { answer, otherMethods } from '@/server/http';
import { findParts } from '@/server/part-stock';

/** Parts by any word: `q`, `kind`, `limit`, `offset`. */
export const GET = (request: Request) => answer(() => findParts(new URL(request.url).searchParams));

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
