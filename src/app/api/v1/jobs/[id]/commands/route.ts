import { runCommand } from '@/server/commands';
import { answer, otherMethods, readJson } from '@/server/http';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => runCommand((await params).id, await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
