import { heavy } from '@/server/heavy';
import { answer, otherMethods, readJson } from '@/server/http';

export const POST = (request: Request, { params }: { params: Promise<{ name: string }> }) =>
  answer(async () => heavy('compute', (await params).name, await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
