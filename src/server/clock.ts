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

/** One for each zone: making a formatter costs a hundred times what it takes to use it. */
const localOf = new Map<string, Intl.DateTimeFormat>();

function local(timeZone: string, instant: Date | string) {
  const format =
    localOf.get(timeZone) ??
    new Intl.DateTimeFormat('en-CA', {
      timeZone,
      ...({ year: 'numeric', month: '2-digit', day: '2-digit' } as const),
      ...({ hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const),
    });
  localOf.set(timeZone, format);
  const parts = format.formatToParts(new Date(instant));
  const part = (type: Intl.DateTimeFormatPartTypes) =>
    parts.find((one) => one.type === type)!.value;
  return { day: `${part('year')}-${part('month')}-${part('day')}`, part };
}

/** The day it is in the shop, YYYY-MM-DD. */
export const shopDay = (timeZone: string, instant: Date | string = now()) =>
  local(timeZone, instant).day;

/** Minutes since the shop's midnight. */
export function shopMinutes(timeZone: string, instant: Date | string): number {
  const { part } = local(timeZone, instant);
  return Number(part('hour')) * 60 + Number(part('minute'));
}

/** The instant at which the shop's clock shows these minutes of a day; in a skipped hour the one after it. */
export const shopInstant = (timeZone: string, day: string, minutes: number): string => {
  const clock = `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
  return dayjs.tz(`${day}T${clock}`, timeZone).toISOString();
};
