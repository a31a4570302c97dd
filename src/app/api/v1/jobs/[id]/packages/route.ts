import { answer, otherMethods } from '@/server/http';
import { heavy } from '@/server/heavy';

type Params = { params: Promise<{ id: string }> };

export const POST = (_request: Request, { params }: Params) =>
  answer(async () => heavy('packages', (await params).id));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
