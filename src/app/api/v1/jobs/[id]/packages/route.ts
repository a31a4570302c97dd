import { answer } from '@/server/http';
import { packagesFor } from '@/server/packages';

type Params = { params: Promise<{ id: string }> };

export const POST = (_request: Request, { params }: Params) =>
  answer(async () => packagesFor((await params).id));
