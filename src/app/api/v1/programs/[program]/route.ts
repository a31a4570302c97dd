import { byOf } from '@/server/access/asker';
import { dismissProgram } from '@/server/access/manage';
import { answer, otherMethods } from '@/server/http';

type Params = { params: Promise<{ program: string }> };

export const DELETE = (request: Request, { params }: Params) =>
  answer(async () => dismissProgram(byOf(request), (await params).program));

export const { GET, POST, PUT, PATCH } = otherMethods('DELETE');
