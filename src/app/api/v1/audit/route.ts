import { auditOf } from '@/server/access/audit';
import { answer, otherMethods } from '@/server/http';

/** A page of what was done, newest first: ?q= &who= &tablet= &kind= &before= */
export const GET = (request: Request) => answer(() => auditOf(new URL(request.url).searchParams));

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
