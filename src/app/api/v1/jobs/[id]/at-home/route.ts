import { answerFile, otherMethods } from '@/server/http';
import { heavy } from '@/server/heavy';
import { wordOf } from '@/server/query';

type Params = { params: Promise<{ id: string }> };

/** What the archer does at home as PDF; ?paper=A4 (usual) or LETTER. */
export const GET = (request: Request, { params }: Params) =>
  answerFile(async () => {
    const { id } = await params;
    const paper = wordOf(new URL(request.url).searchParams, 'paper', ['A4', 'LETTER']);
    return {
      body: await heavy('homePdf', id, paper),
      type: 'application/pdf',
      name: `at-home-${id.slice(0, 8)}.pdf`,
      inline: true,
    };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
