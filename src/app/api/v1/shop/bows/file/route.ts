import { bowsFile, importBows } from '@/server/bow-stock';
import { answer, otherMethods, readJson } from '@/server/http';

/** Every bow as CSV, in the format of docs/formats/bows.md. */
export const GET = () =>
  new Response(bowsFile(), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="bows.csv"',
      'cache-control': 'no-store',
    },
  });

export const POST = (request: Request) => answer(async () => importBows(await readJson(request)));

export const { PUT, PATCH, DELETE } = otherMethods('GET', 'POST');
