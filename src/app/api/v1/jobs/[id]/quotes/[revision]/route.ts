import { answer, otherMethods } from '@/server/http';
import { loadQuote } from '@/server/quotes';

type Params = { params: Promise<{ id: string; revision: string }> };

export const GET = (_request: Request, { params }: Params) =>
  answer(async () => {
    const { id, revision } = await params;
    return loadQuote(id, revision);
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
