import { byOf } from '@/server/access/asker';
import { note } from '@/server/access/note';
import { heavy } from '@/server/heavy';
import { answerFile, CSV, otherMethods } from '@/server/http';

/** All of what was done, as CSV. */
export const GET = (request: Request) =>
  answerFile(async () => {
    const by = byOf(request);
    const body = await heavy('auditFile');
    note(by, 'out', 'What was done, as a file');
    return { body, type: CSV, name: 'what-was-done.csv' };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
