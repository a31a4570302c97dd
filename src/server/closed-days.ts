import ICAL from 'ical.js';
import type { ClosedDay } from '@/core/job';
import { addDays } from '@/core/units';
import { Problem } from './problem';

/** Days further off than this are somebody else's calendar. */
const MOST_DAYS_AHEAD = 800;
/** Days the shop can keep. */
export const MOST_CLOSED = 400;

interface ClosedFound {
  readonly days: readonly ClosedDay[];
  /** Events that are not whole days; nobody closes for an hour. */
  readonly notWholeDays: number;
}

const refuse = (detail: string) =>
  new Problem(422, 'no-calendar', 'This file cannot be read', {
    detail,
    errors: [{ pointer: '/text', detail }],
  });

const NOT_A_CALENDAR = 'It is no iCalendar file: it should begin with BEGIN:VCALENDAR.';

/**
 * Whole days named in an iCalendar file, from today on, repeated ones spelt out; at most as many as
 * the shop can keep.
 */
export function closedDaysIn(text: string, today: string): ClosedFound {
  try {
    return daysIn(text, today);
  } catch (error) {
    if (error instanceof Problem) throw error;
    // The library throws where a rule of repetition makes no sense.
    const why = error instanceof Error ? error.message : String(error);
    throw refuse(`An event in it cannot be read: ${why.slice(0, 200)}`);
  }
}

function daysIn(text: string, today: string): ClosedFound {
  const calendars = calendarsIn(text);
  const last = addDays(today, MOST_DAYS_AHEAD);
  const days = new Map<string, string>();
  let notWholeDays = 0;
  for (const component of calendars.flatMap((each) => each.getAllSubcomponents('vevent'))) {
    // Called off: it closes nothing.
    if (String(component.getFirstPropertyValue('status') ?? '').toUpperCase() === 'CANCELLED')
      continue;
    checkDays(component);
    const event = new ICAL.Event(component);
    if (!event.startDate) throw refuse('An event in it has no beginning (DTSTART).');
    if (!event.startDate.isDate) {
      notWholeDays++;
      continue;
    }
    const length = Math.max(1, Math.round(event.duration.toSeconds() / 86_400));
    const name = (event.summary ?? '').trim().slice(0, 80) || 'closed';
    for (const first of beginnings(event, last))
      for (let i = 0; i < length; i++) {
        const day = addDays(first, i);
        if (day >= today && day <= last && !days.has(day)) days.set(day, name);
      }
  }
  if (days.size === 0)
    throw refuse(
      notWholeDays > 0
        ? 'Only events of whole days close the shop; there is none from today on.'
        : 'There is no event in it from today on.',
    );
  return {
    days: [...days]
      .map(([day, name]) => ({ day, name }))
      .sort((a, b) => a.day.localeCompare(b.day))
      .slice(0, MOST_CLOSED),
    notWholeDays,
  };
}

type Component = InstanceType<typeof ICAL.Component>;

/** Every calendar of a file: some programs write several one after another. */
function calendarsIn(text: string): Component[] {
  if (text.trim() === '') throw refuse(NOT_A_CALENDAR);
  let parsed: unknown;
  try {
    parsed = ICAL.parse(text);
  } catch {
    throw refuse(NOT_A_CALENDAR);
  }
  // One calendar comes as [name, …], several as a list of those.
  const list = (
    Array.isArray(parsed) && typeof parsed[0] === 'string' ? [parsed] : parsed
  ) as never[];
  const calendars = list.map((each) => new ICAL.Component(each));
  if (calendars.length === 0 || calendars.some(({ name }) => name !== 'vcalendar'))
    throw refuse(NOT_A_CALENDAR);
  return calendars;
}

const DAYS = ['dtstart', 'dtend', 'rdate', 'exdate'];

/** A day of the file that is none, 30 February: the library would carry it over into March. */
function checkDays(component: Component): void {
  // As it was written, before the library makes times of it: [name, parameters, type, values …].
  const [, properties] = component.toJSON() as unknown as [
    string,
    [string, object, string, ...unknown[]][],
  ];
  for (const [name, , , ...values] of properties)
    for (const value of DAYS.includes(name) ? values : []) {
      const day = String(value).slice(0, 10);
      if (/^\d{4}-\d\d-\d\d$/.test(day) && isDay(day)) continue;
      throw refuse(`“${day}” in it (${name.toUpperCase()}) is no day of the calendar.`);
    }
}

const isDay = (day: string) => {
  const time = Date.parse(`${day}T00:00:00Z`);
  return !Number.isNaN(time) && new Date(time).toISOString().slice(0, 10) === day;
};

function beginnings(event: InstanceType<typeof ICAL.Event>, last: string): string[] {
  const dayOf = (time: { toString(): string }) => time.toString().slice(0, 10);
  if (!event.isRecurring()) return [dayOf(event.startDate)];
  const found: string[] = [];
  const repeat = event.iterator();
  for (let i = 0; i < 5000; i++) {
    const next = repeat.next();
    if (!next || dayOf(next) > last) break;
    found.push(dayOf(next));
  }
  // Dates named one by one come beside the first, also where the library begins with them.
  const called = event.component
    .getAllProperties('exdate')
    .flatMap((property) => (property.getValues() as { toString(): string }[]).map(dayOf));
  return [...new Set([dayOf(event.startDate), ...found])].filter((day) => !called.includes(day));
}
