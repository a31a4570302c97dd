import { answerFile, CSV, otherMethods } from '@/server/http';
import { heavy } from '@/server/heavy';

/** Every part of one slot as CSV, in the format of docs/formats/parts.md. */
export const GET = (request: Request) =>
  answerFile(async () => {
    const kind = new URL(request.url).searchParams.get('kind');
    const { text, name } = await heavy('partsFile', kind);
    return { body: text, type: CSV, name };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
