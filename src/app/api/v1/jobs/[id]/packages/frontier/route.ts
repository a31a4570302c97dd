import { answer, otherMethods } from '@/server/http';
import { frontierFor } from '@/server/packages';

type Params = { params: Promise<{ id: string }> };

export const POST = (_request: Request, { params }: Params) =>
  answer(async () => frontierFor((await params).id));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
