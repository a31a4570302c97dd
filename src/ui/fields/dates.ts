const formatter = (options: Intl.DateTimeFormatOptions, timeZone = 'UTC') =>
  new Intl.DateTimeFormat('en-GB', { ...options, timeZone });

const noon = (day: string) => new Date(`${day}T12:00:00Z`);

/** "today", "tomorrow", "Fri 4 Dec", with the year where it is another. Days are YYYY-MM-DD. */
export function dayText(day: string, today: string): string {
  const away = Math.round((noon(day).getTime() - noon(today).getTime()) / 86_400_000);
  if (away === 0) return 'today';
  if (away === 1) return 'tomorrow';
  return plainDay(day, day.slice(0, 4) !== today.slice(0, 4));
}

/** "Fri 4 Dec" or "Fri 4 Dec 2027". */
export const plainDay = (day: string, year = false): string =>
  formatter({
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(year ? { year: 'numeric' } : {}),
  })
    .format(noon(day))
    .replace(',', '');

/** "Tuesday 24 November". */
export const longDay = (day: string): string =>
  formatter({ weekday: 'long', day: 'numeric', month: 'long' }).format(noon(day)).replace(',', '');

/** "10:42" in the shop's time zone. */
export const timeText = (instant: string, timeZone: string): string =>
  formatter({ hour: '2-digit', minute: '2-digit' }, timeZone).format(new Date(instant));

/** The instant's day in the shop's time zone, YYYY-MM-DD. */
export const dayOf = (instant: string, timeZone: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone }).format(new Date(instant));

/** "10:42" today, "Fri 4 Dec 10:42" otherwise. */
export function whenText(instant: string, timeZone: string, today: string): string {
  const day = dayOf(instant, timeZone);
  const time = timeText(instant, timeZone);
  return day === today ? time : `${plainDay(day)} ${time}`;
}
