import { calendarView } from '@/server/calendar';
import { answer, otherMethods } from '@/server/http';

/** What is to be planned at the bench, and a first plan of it. */
export const GET = () => answer(() => calendarView());

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
