import { byOf } from '@/server/access/asker';
import { note } from '@/server/access/note';
import { answer, otherMethods, readJson } from '@/server/http';
import { takeClosedDays } from '@/server/ics';

/** Closed days from an iCalendar file. */
export const POST = (request: Request) =>
  answer(async () => {
    const by = byOf(request);
    const days = await takeClosedDays(await readJson(request));
    note(by, 'settings', `Closed days from a calendar file: ${days.added} more`);
    return days;
  });

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
