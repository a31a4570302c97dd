import { answer, otherMethods } from '@/server/http';
import { invalid } from '@/server/problem';
import { heavy } from '@/server/heavy';

type Params = { params: Promise<{ id: string; revision: string }> };

/** The build sheet as PDF; ?paper=A4 (usual) or LETTER. */
export async function GET(request: Request, { params }: Params) {
  let pdf: Uint8Array | null = null;
  const problem = await answer(async () => {
    const { id, revision } = await params;
    const paper = new URL(request.url).searchParams.get('paper') ?? 'A4';
    if (paper !== 'A4' && paper !== 'LETTER') {
      throw invalid([{ pointer: '/paper', detail: 'must be one of A4, LETTER' }]);
    }
    pdf = await heavy('sheetPdf', id, revision, paper);
  });
  if (!pdf) return problem;
  const { id, revision } = await params;
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="build-sheet-${id.slice(0, 8)}-${revision}.pdf"`,
    },
  });
}

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
