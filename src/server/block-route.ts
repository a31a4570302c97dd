import { answerFile } from './http';
import { heavy } from './heavy';
import { wordOf } from './query';

type Params = { params: Promise<{ id: string }> };

/** Answers tables of a job as PDF; ?paper=A4 (usual) or LETTER. */
export const blockPdf =
  (task: 'twinPdf' | 'homePdf', name: string) =>
  (request: Request, { params }: Params) =>
    answerFile(async () => {
      const { id } = await params;
      const paper = wordOf(new URL(request.url).searchParams, 'paper', ['A4', 'LETTER']);
      return {
        body: await heavy(task, id, paper),
        type: 'application/pdf',
        name: `${name}-${id.slice(0, 8)}.pdf`,
        inline: true,
      };
    });
