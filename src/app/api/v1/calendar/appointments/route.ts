import { otherMethods } from '@/server/http';
import { appointmentsFile } from '@/server/ics';

/** Appointments as an iCalendar file; `job` for one job's only. */
export const GET = (request: Request) =>
  new Response(appointmentsFile(new URL(request.url).searchParams.get('job')), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="appointments.ics"',
      'cache-control': 'no-store',
    },
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
