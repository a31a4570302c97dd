import { answerFile, otherMethods } from '@/server/http';
import { heavy } from '@/server/heavy';
import { wordOf } from '@/server/query';

type Params = { params: Promise<{ id: string; revision: string }> };

/** A card of a sheet: ?size=field or case, &format=pdf or svg, &paper=A4 or LETTER. */
export const GET = (request: Request, { params }: Params) =>
  answerFile(async () => {
    const { id, revision } = await params;
    const query = new URL(request.url).searchParams;
    const wish = {
      size: wordOf(query, 'size', ['field', 'case']),
      format: wordOf(query, 'format', ['pdf', 'svg']),
      paper: wordOf(query, 'paper', ['A4', 'LETTER']),
    };
    return { ...(await heavy('card', id, revision, wish)), inline: true };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
