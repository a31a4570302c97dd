import ICAL from 'ical.js';
import { APPOINTMENT_MIN } from '@/core/job';
import { db, type Db } from '@/data/db';
import { addDays } from '@/core/units';
import { archerById, jobById, jobsAppointed } from '@/data/jobs';
import { shopSettings, saveShopSettings } from '@/data/settings';
import { bowById } from '@/data/stock';
import { bowName } from '@/core/bow';
import { MOST_CLOSED } from './closed-days';
import { heavy } from './heavy';
import { now, shopDay } from './clock';
import { invalid } from './problem';
import { checker } from '@/contracts/ajv';
import { Type } from '@sinclair/typebox';

const utc = (instant: Date) => ICAL.Time.fromJSDate(instant, true);

/**
 * The appointments still to come as an iCalendar file (RFC 5545), times in UTC, so that a change of
 * the clocks moves nothing.
 *
 * @param jobId only this job's, to be sent to its archer.
 */
export function appointmentsFile(jobId: string | null, from: Db = db()): string {
  const shop = shopSettings(from);
  const calendar = new ICAL.Component(['vcalendar', [], []]);
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Waffenrad//Appointments//EN');
  for (const job of jobsAppointed(from, now().toISOString(), jobId)) {
    if (!job.appointmentAt) continue;
    const start = new Date(job.appointmentAt);
    if (start < now()) continue;
    const archer = archerById(from, job.archerId);
    if (!archer) continue;
    const bow = job.bowId ? bowById(from, job.bowId) : null;
    const event = new ICAL.Component('vevent');
    const about = bow ? bowName(bow) : 'first fit';
    event.addPropertyWithValue('uid', `job-${job.id}@waffenrad`);
    event.addPropertyWithValue('dtstamp', utc(now()));
    event.addPropertyWithValue('dtstart', utc(start));
    event.addPropertyWithValue('dtend', utc(new Date(start.getTime() + APPOINTMENT_MIN * 60_000)));
    // Moved since it was sent: the archer’s calendar takes the newer one. The job counts its entries.
    event.addPropertyWithValue('sequence', job.version);
    event.addPropertyWithValue(
      'summary',
      jobId === null ? `${archer.name}: ${about}` : `${shop.name}: ${about}`,
    );
    if (shop.address) event.addPropertyWithValue('location', `${shop.name}, ${shop.address}`);
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}

/**
 * The day an archer is asked for next as an iCalendar file, whole days, to be sent to them.
 *
 * @returns null where the bow is not handed over.
 */
export function comeBackFile(jobId: string, from: Db = db()): string | null {
  const job = jobById(from, jobId);
  if (!job?.comeBackDay) return null;
  const shop = shopSettings(from);
  const bow = job.bowId ? bowById(from, job.bowId) : null;
  const calendar = new ICAL.Component(['vcalendar', [], []]);
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Waffenrad//Visits//EN');
  const event = new ICAL.Component('vevent');
  const day = ICAL.Time.fromDateString(job.comeBackDay);
  event.addPropertyWithValue('uid', `visit-${job.id}@waffenrad`);
  event.addPropertyWithValue('dtstamp', utc(now()));
  event.addPropertyWithValue('dtstart', day);
  event.addPropertyWithValue('dtend', ICAL.Time.fromDateString(addDays(job.comeBackDay, 1)));
  event.addPropertyWithValue('sequence', job.version);
  event.addPropertyWithValue(
    'summary',
    `${shop.name}: ${bow ? bowName(bow) : 'your bow'} looked at`,
  );
  const told = [shop.address, shop.phone].filter(Boolean).join(', ');
  if (told) event.addPropertyWithValue('location', `${shop.name}, ${told}`);
  calendar.addSubcomponent(event);
  return `${calendar.toString()}\r\n`;
}

const checkFile = checker(
  Type.Object({ text: Type.String({ maxLength: 900_000 }) }, { additionalProperties: false }),
);

/** Takes the whole days of a calendar file as days the shop is closed; those it has keep their name. */
export async function takeClosedDays(body: unknown, on: Db = db()) {
  const checked = checkFile(body);
  if (!checked.ok) throw invalid(checked.errors);
  const today = shopDay(shopSettings(on).timeZone);
  const { days, notWholeDays } = await heavy('closedDays', checked.value.text, today);
  const run = on.transaction(() => {
    const shop = shopSettings(on);
    const have = new Set(shop.closed.map(({ day }) => day));
    const added = days.filter(({ day }) => !have.has(day));
    const closed = [...shop.closed, ...added]
      .sort((a, b) => a.day.localeCompare(b.day))
      .slice(0, MOST_CLOSED);
    saveShopSettings(on, { ...shop, closed });
    return { closed, added: added.length, notWholeDays };
  });
  return run.immediate();
}
