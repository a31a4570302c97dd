import { clockOfMinute, dayOfMinute } from '@/core/job';
import { dayText } from '../fields/dates';

/** "9:05", of minutes since midnight or since any day's. */
export function clockWords(minute: number): string {
  const clock = clockOfMinute(minute);
  return `${Math.floor(clock / 60)}:${String(clock % 60).padStart(2, '0')}`;
}

/** "tomorrow 9:05", "Fri 4 Dec 9:05". */
export const whenWords = (firstDay: string, minute: number): string =>
  `${dayText(dayOfMinute(firstDay, minute), firstDay)} ${clockWords(minute)}`;

/** "3 h", "2 days 4 h", of minutes of the clock. */
export function longWords(minutes: number): string {
  const hours = Math.max(1, Math.round(minutes / 60));
  const days = Math.floor(hours / 24);
  if (days === 0) return `${hours} h`;
  const rest = hours % 24;
  return `${days} ${days === 1 ? 'day' : 'days'}${rest > 0 ? ` ${rest} h` : ''}`;
}
