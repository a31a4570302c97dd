import { rememberPlace } from '@/server/remember-place';
import { answer, otherMethods, readJson } from '@/server/http';

/** Remembers where the job was left; no change of the job, so it carries no version. */
export const PUT = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => rememberPlace((await params).id, await readJson(request)));

export const { GET, POST, PATCH, DELETE } = otherMethods('PUT');
