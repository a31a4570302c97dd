import { answer, otherMethods, readJson } from '@/server/http';
import { takeClosedDays } from '@/server/ics';

/** Closed days from an iCalendar file. */
export const POST = (request: Request) =>
  answer(async () => takeClosedDays(await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
