import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

dayjs.extend(utc);
dayjs.extend(timezone);

/** Started from WAFFENRAD_NOW where it is set (demo pictures, tests), else the real clock. */
const offsetMs = process.env.WAFFENRAD_NOW ? Date.parse(process.env.WAFFENRAD_NOW) - Date.now() : 0;

let pretended: Date | null = null;

/** Only for filling a demo database: what is written next is dated so. Null ends it. */
export const pretendNow = (instant: Date | null) => {
  pretended = instant;
};

export const now = () => pretended ?? new Date(Date.now() + offsetMs);
export const nowIso = () => now().toISOString();

/** The day it is in the shop, YYYY-MM-DD. */
export const shopDay = (timeZone: string, instant: Date | string = now()) =>
  dayjs(instant).tz(timeZone).format('YYYY-MM-DD');

/** Minutes since the shop's midnight. */
export function shopMinutes(timeZone: string, instant: Date | string): number {
  const local = dayjs(instant).tz(timeZone);
  return local.hour() * 60 + local.minute();
}

/** The instant at which the shop's clock shows these minutes of a day; in a skipped hour the one after it. */
export const shopInstant = (timeZone: string, day: string, minutes: number): string => {
  const clock = `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
  return dayjs.tz(`${day}T${clock}`, timeZone).toISOString();
};
