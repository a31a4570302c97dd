import { byOf } from '@/server/access/asker';
import { madeBy } from '@/server/commands';
import { answer, otherMethods, readJson } from '@/server/http';
import { noteStepTime } from '@/server/note-step-time';

/** How long a step took, by the bench's clock. */
export const POST = async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  return answer(async () => noteStepTime(id, madeBy(await readJson(request), byOf(request))));
};

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
