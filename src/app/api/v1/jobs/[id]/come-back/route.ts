import { answerFile, otherMethods } from '@/server/http';
import { comeBackFile } from '@/server/ics';
import { notFound } from '@/server/problem';

type Params = { params: Promise<{ id: string }> };

/** The day the archer is asked for next, as a calendar file for them. */
export const GET = (_: Request, { params }: Params) =>
  answerFile(async () => {
    const { id } = await params;
    const body = comeBackFile(id);
    if (body === null) throw notFound('day to come back');
    return { body, type: 'text/calendar; charset=utf-8', name: `visit-${id.slice(0, 8)}.ics` };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
