import { heavy } from '@/server/heavy';
import { answerFile, CSV, otherMethods } from '@/server/http';

/** The register of bows that left, or a recall list, as CSV: what the page of the same address shows. */
export const GET = (request: Request) =>
  answerFile(async () => {
    const asked = Object.fromEntries(new URL(request.url).searchParams);
    return { body: await heavy('registerFile', asked), type: CSV, name: 'bows-that-left.csv' };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
