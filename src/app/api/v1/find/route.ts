import { find } from '@/server/find';
import { answer } from '@/server/http';

export const GET = (request: Request) =>
  answer(() => find(new URL(request.url).searchParams.get('q') ?? ''));
