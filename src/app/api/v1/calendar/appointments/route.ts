import { answerFile, otherMethods } from '@/server/http';
import { appointmentsFile } from '@/server/ics';

/** Appointments as an iCalendar file; `job` for one job's only. */
export const GET = (request: Request) =>
  answerFile(() => ({
    body: appointmentsFile(new URL(request.url).searchParams.get('job')),
    type: 'text/calendar; charset=utf-8',
    name: 'appointments.ics',
  }));

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
