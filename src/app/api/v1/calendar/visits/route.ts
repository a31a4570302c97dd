import { byOf } from '@/server/access/asker';
import { note } from '@/server/access/note';
import { madeBy } from '@/server/commands';
import { putVisit } from '@/server/calendar';
import { answer, otherMethods, readJson } from '@/server/http';

/** Puts a visit at a time, or lets it go. */
export const PUT = (request: Request) =>
  answer(async () => {
    const by = byOf(request);
    const body = await readJson(request);
    const view = await putVisit(madeBy(body, by));
    note(by, 'calendar', 'A visit put at a time, or let go', { detail: body });
    return view;
  });

export const { GET, POST, PATCH, DELETE } = otherMethods('PUT');
