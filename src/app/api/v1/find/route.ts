import { find } from '@/server/find';
import { answer, otherMethods } from '@/server/http';

export const GET = (request: Request) =>
  answer(() => find(new URL(request.url).searchParams.get('q') ?? ''));

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
