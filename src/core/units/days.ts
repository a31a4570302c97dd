/** A day so many days later (or earlier), both YYYY-MM-DD; months and years carry. */
export function addDays(day: string, days: number): string {
  const [year, month, date] = day.split('-').map(Number);
  return new Date(Date.UTC(year!, month! - 1, date! + days)).toISOString().slice(0, 10);
}

/** Days from one day to another, negative when it lies before; both YYYY-MM-DD. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');

/** A day as it is spoken in a sentence: "Tue 23 Feb 2027". */
export function spokenDay(day: string): string {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const weekday = WEEKDAYS[new Date(Date.UTC(year, month - 1, date)).getUTCDay()]!;
  return `${weekday} ${date} ${MONTHS[month - 1]!} ${year}`;
}

/** An instant as it is written in a record, in a time zone: "24 Nov 2026 17:05". */
export const spokenInstant = (instant: string, timeZone: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    timeZone,
  })
    .format(new Date(instant))
    .replace(',', '');
