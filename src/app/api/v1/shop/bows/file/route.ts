import { byOf } from '@/server/access/asker';
import { note } from '@/server/access/note';
import { importBows } from '@/server/bow-stock';
import { heavy } from '@/server/heavy';
import { answer, answerFile, CSV, otherMethods, readJson } from '@/server/http';

/** Every bow as CSV, in the format of docs/formats/bows.md. */
export const GET = () =>
  answerFile(async () => ({ body: await heavy('bowsFile'), type: CSV, name: 'bows.csv' }));

export const POST = (request: Request) =>
  answer(async () => {
    const by = byOf(request);
    const taken = await importBows(await readJson(request));
    note(by, 'stock', 'A file of bows taken in');
    return taken;
  });

export const { PUT, PATCH, DELETE } = otherMethods('GET', 'POST');
