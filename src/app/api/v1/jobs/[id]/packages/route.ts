import { answer, otherMethods } from '@/server/http';
import { packagesFor } from '@/server/packages';

type Params = { params: Promise<{ id: string }> };

export const POST = (_request: Request, { params }: Params) =>
  answer(async () => packagesFor((await params).id));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
