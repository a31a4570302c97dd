import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

dayjs.extend(utc);
dayjs.extend(timezone);

/** "2026-11-24T16:00" of a date-time field, for an instant in the shop's time zone. */
export const localInput = (instant: string, timeZone: string): string =>
  dayjs(instant).tz(timeZone).format('YYYY-MM-DDTHH:mm');

/** The instant, ISO UTC, of a date-time field's text in the shop's time zone. */
export const localToInstant = (text: string, timeZone: string): string =>
  dayjs.tz(text, timeZone).toISOString();
