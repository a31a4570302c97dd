import { answerFile, otherMethods } from '@/server/http';
import { heavy } from '@/server/heavy';
import { wordOf } from '@/server/query';

type Params = { params: Promise<{ id: string; revision: string }> };

/** The build sheet as PDF; ?paper=A4 (usual) or LETTER, &prices=yes (usual) or no. */
export const GET = (request: Request, { params }: Params) =>
  answerFile(async () => {
    const { id, revision } = await params;
    const query = new URL(request.url).searchParams;
    const paper = wordOf(query, 'paper', ['A4', 'LETTER']);
    const prices = wordOf(query, 'prices', ['yes', 'no']) === 'yes';
    return {
      body: await heavy('sheetPdf', id, revision, paper, prices),
      type: 'application/pdf',
      name: `build-sheet-${id.slice(0, 8)}-${revision}.pdf`,
      inline: true,
    };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
