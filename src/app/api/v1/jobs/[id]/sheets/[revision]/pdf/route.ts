import { answerFile, otherMethods } from '@/server/http';
import { invalid } from '@/server/problem';
import { heavy } from '@/server/heavy';

type Params = { params: Promise<{ id: string; revision: string }> };

/** The build sheet as PDF; ?paper=A4 (usual) or LETTER. */
export const GET = (request: Request, { params }: Params) =>
  answerFile(async () => {
    const { id, revision } = await params;
    const paper = new URL(request.url).searchParams.get('paper') ?? 'A4';
    if (paper !== 'A4' && paper !== 'LETTER') {
      throw invalid([{ pointer: '/paper', detail: 'must be one of A4, LETTER' }]);
    }
    return {
      body: await heavy('sheetPdf', id, revision, paper),
      type: 'application/pdf',
      name: `build-sheet-${id.slice(0, 8)}-${revision}.pdf`,
      inline: true,
    };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
