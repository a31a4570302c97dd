import { answerFile, otherMethods } from '@/server/http';
import { heavy } from '@/server/heavy';
import { wordOf } from '@/server/query';

type Params = { params: Promise<{ id: string }> };

/** The delivery note of the newest handover as PDF: ?paper=A4 or LETTER, &prices=yes or no. */
export const GET = (request: Request, { params }: Params) =>
  answerFile(async () => {
    const { id } = await params;
    const query = new URL(request.url).searchParams;
    const paper = wordOf(query, 'paper', ['A4', 'LETTER']);
    const prices = wordOf(query, 'prices', ['yes', 'no']) === 'yes';
    return {
      body: await heavy('deliveryNote', id, paper, prices),
      type: 'application/pdf',
      name: `delivery-note-${id.slice(0, 8)}.pdf`,
      inline: true,
    };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
