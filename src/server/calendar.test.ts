import { derive } from '@/core/job';
import { addDays } from '@/core/units';
import type { Db } from '@/data/db';
import { allPins } from '@/data/pins';
import { saveShopSettings, shopSettings } from '@/data/settings';
import { allJobs } from '@/data/jobs';
import { planPieces, type CalendarSaid } from '@/workers/calendar';
import { calendarView, putVisit } from './calendar';
import { pretendNow, shopInstant } from './clock';
import { closedDaysIn } from './closed-days';
import { appointmentsFile, takeClosedDays } from './ics';
import { runCommand } from './commands';
import { problemComing, problemOf } from './testing/problem-of';
import { loadSnapshot } from './load-snapshot';
import { noteStepTime } from './note-step-time';
import { rememberPlace } from './remember-place';
import { demoDb } from './testing/demo-db';

const MORNING = new Date('2026-11-24T10:20:00+01:00');
let db: Db;
beforeEach(() => {
  pretendNow(MORNING);
  db = demoDb();
  pretendNow(MORNING);
});
afterEach(() => {
  db.close();
  pretendNow(null);
});

const DAY = 1440;
const jobOf = (name: string) =>
  allJobs(db)
    .map(({ id }) => loadSnapshot(id, db)!)
    .find(({ archer }) => archer.name.startsWith(name))!;
const at = (minutes: number, day = '2026-11-24') => ({ day, minutes });

describe('the bench of the coming days', () => {
  test('open jobs with a bow and a rest, and first fits by appointment; who has their bow is out', async () => {
    const { input, plan, firstDay } = await calendarView(db);
    expect(firstDay).toBe('2026-11-24');
    expect(input.now).toBe(10 * 60 + 20);
    const names = input.jobs.map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['Teodor Quast', 'Noor Abeling', 'Ilse Maarand']));
    expect(names).not.toContain('Aino Ruusu');
    expect(plan.unplaced).toEqual([]);
    const noor = plan.visits.find(({ name }) => name === 'Noor Abeling')!;
    expect(noor).toMatchObject({ station: 'counter', from: 15 * 60 + 30, toArrange: false });
  });

  test('a visit that needs a part waits for the day it comes, the others do not', async () => {
    const { input } = await calendarView(db);
    const bettina = input.jobs.find(({ name }) => name === 'Bettina Olufsen')!;
    const waits = bettina.visits.filter(({ release }) => release > 0);
    expect(waits.length).toBeGreaterThan(0);
    expect(waits.length).toBeLessThan(bettina.visits.length);
    // Friday, when the shop opens.
    expect(waits[0]!.release).toBe(3 * DAY + 9 * 60);
  });

  test('closed days and days off are nobody’s', async () => {
    const shop = shopSettings(db);
    saveShopSettings(db, {
      ...shop,
      closed: [{ day: '2026-11-25', name: 'x' }],
      hours: { 'T. Okoro': [{ from: 600, to: 700 }, null, null, null, null, null, null] },
    });
    const { input } = await calendarView(db);
    const [okoro, lindauer] = input.people;
    // The next Monday is six days off.
    expect(okoro!.shifts[0]).toEqual({ from: 6 * DAY + 600, to: 6 * DAY + 700 });
    expect(lindauer!.shifts.map(({ from }) => Math.floor(from / DAY)).slice(0, 3)).toEqual([
      0, 2, 3,
    ]);
  });

  test('when the clocks change, nine in the shop is nine in the shop', async () => {
    expect(shopInstant('Europe/Berlin', '2026-03-28', 540)).toBe('2026-03-28T08:00:00.000Z');
    expect(shopInstant('Europe/Berlin', '2026-03-29', 540)).toBe('2026-03-29T07:00:00.000Z');
    expect(shopInstant('Europe/Berlin', '2026-10-25', 540)).toBe('2026-10-25T08:00:00.000Z');
    // An appointment after the change, seen from before it, stands at its hour of the shop’s clock.
    pretendNow(new Date('2026-03-27T09:00:00Z'));
    const { job } = jobOf('Teodor');
    runCommand(
      job.id,
      {
        version: job.version,
        who: 'T',
        command: { name: 'setAnswers', job: { appointmentAt: '2026-03-30T14:00:00.000Z' } },
      },
      db,
    );
    const { input } = await calendarView(db);
    const teodor = input.jobs.find(({ name }) => name === 'Teodor Quast')!;
    expect(teodor.appointment!.from).toBe(3 * DAY + 16 * 60);
  });
});

describe('a visit put somewhere', () => {
  const press = async () => {
    const { plan } = await calendarView(db);
    return plan.visits.find(({ station }) => station === 'press')!;
  };
  test('stands there, also after the shop was asked anew, and can be let go', async () => {
    const { jobId, visitId } = await press();
    const put = await putVisit({ jobId, visitId, at: at(15 * 60), who: 'T. Okoro' }, db);
    expect(put.plan.visits.find((visit) => visit.pinned)).toMatchObject({ jobId, from: 900 });
    expect((await calendarView(db)).plan.visits.find((visit) => visit.pinned)).toMatchObject({
      from: 900,
    });
    await putVisit({ jobId, visitId, at: null, who: 'T. Okoro' }, db);
    expect(allPins(db)).toEqual([]);
  });
  test.each([
    [at(60), 'visit-tooEarly', 'the time is past'],
    [at(22 * 60), 'visit-nobodyFree', 'Nobody works'],
    [at(10 * 60, '2026-11-23'), 'visit-tooEarly', 'Earliest: 2026-11-24'],
  ])('%j is refused, and nothing is kept', async (when, reason, words) => {
    const { jobId, visitId } = await press();
    const problem = await problemComing(() => putVisit({ jobId, visitId, at: when, who: 'T' }, db));
    expect(problem).toMatchObject({ status: 422, reason });
    expect(problem.more.detail).toContain(words);
    expect(allPins(db)).toEqual([]);
  });
  test('on top of another one that was put there', async () => {
    const visits = (await calendarView(db)).plan.visits.filter(
      ({ station }) => station === 'press',
    );
    expect(visits.length).toBeGreaterThan(1);
    const [a, b] = visits;
    await putVisit({ jobId: a!.jobId, visitId: a!.visitId, at: at(16 * 60), who: 'T' }, db);
    expect(
      (
        await problemComing(() =>
          putVisit({ jobId: b!.jobId, visitId: b!.visitId, at: at(16 * 60), who: 'T' }, db),
        )
      ).more.detail,
    ).toContain('The press is taken then');
  });
  test('of a job or a visit that is none, or malformed', async () => {
    const { jobId } = await press();
    expect(
      (
        await problemComing(() =>
          putVisit({ jobId, visitId: 'nonsense', at: at(900), who: 'T' }, db),
        )
      ).status,
    ).toBe(404);
    expect((await problemComing(() => putVisit({ jobId }, db))).status).toBe(400);
    expect(
      (await problemComing(() => putVisit({ jobId, visitId: 'x', at: at(2000), who: 'T' }, db)))
        .status,
    ).toBe(400);
  });
  test('once its work is done the pin holds nothing up', async () => {
    const { jobId, visitId } = await press();
    await putVisit({ jobId, visitId, at: at(15 * 60), who: 'T' }, db);
    pretendNow(new Date('2026-11-25T10:00:00+01:00'));
    expect((await calendarView(db)).plan.unplaced).toEqual([]);
  });
});

describe('planning in the page’s own thread', () => {
  const all = (data: unknown): CalendarSaid[] => [...planPieces(data)];
  test('says how far it is, then the plan, never a worse one', async () => {
    const { input, plan } = await calendarView(db);
    const said = all(input);
    const parts = said.flatMap((one) => (one.say === 'progress' ? [one.part] : []));
    expect(parts.length).toBeGreaterThan(1);
    expect([...parts].sort((a, b) => a - b)).toEqual(parts);
    expect(parts.at(-1)).toBe(1);
    const last = said.at(-1)!;
    expect(last.say === 'plan' && last.plan.lateness).toBeLessThanOrEqual(plan.lateness);
  });
  test('remedies of what is late come with it', async () => {
    const { input } = await calendarView(db);
    const jobs = input.jobs.map((job) =>
      job.visits.length > 3 ? { ...job, due: input.now + 30 } : job,
    );
    const last = all({ ...input, jobs }).at(-1)!;
    if (last.say !== 'plan') throw new Error('no plan');
    expect(last.plan.late.length).toBeGreaterThan(0);
    expect(last.remedies[0]!.remedies.map(({ kind }) => kind)).toContain('promise');
  });
  test.each([null, 'text', {}, { jobs: [], people: [], now: Number.NaN }])(
    '%j is refused',
    (data) =>
      expect(all(data)).toEqual([{ say: 'refused', message: expect.any(String) as string }]),
  );
  test('an empty shop has an empty plan', () =>
    expect(all({ jobs: [], people: [], now: 0, stations: {} }).at(-1)).toMatchObject({
      say: 'plan',
      plan: { visits: [], late: [] },
    }));
});

describe('calendar files', () => {
  const file = (...events: string[]) =>
    ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//x//EN', ...events, 'END:VCALENDAR'].join(
      '\r\n',
    );
  const event = (...lines: string[]) =>
    ['BEGIN:VEVENT', 'UID:1', ...lines, 'END:VEVENT'].join('\r\n');
  const day = (text: string, ...more: string[]) => event(`DTSTART;VALUE=DATE:${text}`, ...more);

  test('appointments to come, in UTC; one job’s alone carries the shop’s name', () => {
    const all = appointmentsFile(null, db);
    expect(all.match(/BEGIN:VEVENT/g)).toHaveLength(2);
    expect(all).toContain('DTSTART:20261124T150000Z');
    expect(all).toMatch(/\r\n$/);
    const one = appointmentsFile(jobOf('Teodor').job.id, db);
    expect(one.match(/BEGIN:VEVENT/g)).toHaveLength(1);
    expect(one).toContain('SUMMARY:Bootshaus Archery: ');
    expect(one).not.toContain('Quast');
    pretendNow(new Date('2026-11-30T10:00:00Z'));
    expect(appointmentsFile(null, db)).not.toContain('VEVENT');
  });

  test('what goes out comes in again as it was', () => {
    // A timed event is no closed day: the file is read, and says so.
    expect(
      problemOf(() => closedDaysIn(appointmentsFile(null, db), '2026-11-24')).more.detail,
    ).toContain('Only events of whole days');
  });

  test('several days, repeated years, escaped words; the past is left out', () => {
    const text = file(
      day('20261223', 'DTEND;VALUE=DATE:20261226', 'SUMMARY:Winter\\, closed'),
      day('20200101', 'RRULE:FREQ=YEARLY', 'SUMMARY:New Year'),
      day('20260101', 'SUMMARY:gone'),
      event('DTSTART:20261201T100000Z', 'DTEND:20261201T120000Z', 'SUMMARY:hours only'),
    );
    const found = closedDaysIn(text, '2026-11-24');
    expect(found.days.slice(0, 5)).toEqual([
      { day: '2026-12-23', name: 'Winter, closed' },
      { day: '2026-12-24', name: 'Winter, closed' },
      { day: '2026-12-25', name: 'Winter, closed' },
      { day: '2027-01-01', name: 'New Year' },
      { day: '2028-01-01', name: 'New Year' },
    ]);
    expect(found.days.every((entry) => entry.day <= addDays('2026-11-24', 800))).toBe(true);
    expect(found.notWholeDays).toBe(1);
  });

  test('called off closes nothing; dates named one by one count beside the first', () => {
    const text = file(
      day('20261210', 'STATUS:CANCELLED', 'SUMMARY:called off'),
      day('20261214', 'RDATE;VALUE=DATE:20261216,20261218', 'SUMMARY:stocktaking'),
      day('20261221', 'RRULE:FREQ=DAILY;COUNT=3', 'EXDATE;VALUE=DATE:20261222', 'SUMMARY:fair'),
    );
    expect(closedDaysIn(text, '2026-11-24').days).toEqual([
      { day: '2026-12-14', name: 'stocktaking' },
      { day: '2026-12-16', name: 'stocktaking' },
      { day: '2026-12-18', name: 'stocktaking' },
      { day: '2026-12-21', name: 'fair' },
      { day: '2026-12-23', name: 'fair' },
    ]);
  });

  test('two calendars in one file are both read', () => {
    const text = `${file(day('20261214', 'SUMMARY:one'))}\r\n${file(day('20261215', 'SUMMARY:two'))}`;
    expect(closedDaysIn(text, '2026-11-24').days.map(({ name }) => name)).toEqual(['one', 'two']);
  });

  test('an appointment moved since it was sent has a higher number', () => {
    const number = () => Number(/SEQUENCE:(\d+)/.exec(appointmentsFile(job().id, db))![1]);
    const job = () => jobOf('Teodor').job;
    const before = number();
    const command = { name: 'setAnswers', job: { appointmentAt: '2026-11-26T15:00:00Z' } };
    runCommand(job().id, { who: 'T', version: job().version, command }, db);
    expect(number()).toBeGreaterThan(before);
    expect(appointmentsFile(job().id, db)).toContain('DTSTART:20261126T150000Z');
  });

  test.each([
    ['not a calendar', 'It is no iCalendar file'],
    ['', 'It is no iCalendar file'],
    [file(), 'no event in it'],
    [file(event('SUMMARY:without a day')), 'no beginning'],
    [file(day('20200101')), 'no event in it'],
    [file(day('20270230')), '“2027-02-30” in it (DTSTART) is no day'],
    [file(day('20261201', 'RDATE;VALUE=DATE:20261131')), '(RDATE) is no day'],
    [file(day('20261301')), 'is no day'],
    // A day repeated every second.
    [file(day('20261124', 'RRULE:FREQ=SECONDLY')), 'cannot be read'],
  ])('%j is refused', (text, words) =>
    expect(problemOf(() => closedDaysIn(text, '2026-11-24')).more.detail).toContain(words),
  );

  test('taken days are kept once, with the name they had', async () => {
    const shop = shopSettings(db);
    saveShopSettings(db, { ...shop, closed: [{ day: '2026-12-24', name: 'ours' }] });
    const text = file(day('20261224', 'SUMMARY:theirs'), day('20261225', 'SUMMARY:theirs'));
    expect(await takeClosedDays({ text }, db)).toMatchObject({ added: 1, notWholeDays: 0 });
    expect(shopSettings(db).closed).toEqual([
      { day: '2026-12-24', name: 'ours' },
      { day: '2026-12-25', name: 'theirs' },
    ]);
    expect(await takeClosedDays({ text }, db)).toMatchObject({ added: 0 });
    expect((await problemComing(() => takeClosedDays({}, db))).status).toBe(400);
  });
});

describe('the bench’s clock', () => {
  const jobId = () => jobOf('Ilse').job.id;
  const note = (seconds: number) =>
    noteStepTime(jobId(), { stepId: 'loop', seconds, who: 'T' }, db);
  test('what it saw becomes the shop’s estimate, in every job', () => {
    const before = derive(jobOf('Ove')).plan.steps.find(({ id }) => id === 'loop')!;
    for (let i = 0; i < 20; i++) expect(note(15 * 60).kept).toBe(true);
    const after = derive(jobOf('Ove')).plan.steps.find(({ id }) => id === 'loop')!;
    expect(before.template.minutes).toBe(5);
    expect(after.template.minutes).toBe(13);
  });
  test('a slip and a bow left lying are answered and not kept', () => {
    expect(note(1)).toMatchObject({ kept: false, times: null });
    expect(note(8 * 3600)).toMatchObject({ kept: false, times: null });
    expect(problemOf(() => note(-1)).status).toBe(400);
    expect(
      problemOf(() => noteStepTime('none', { stepId: 'x', seconds: 60, who: 'T' }, db)).status,
    ).toBe(404);
  });
});

test('where a job was left: stage and step; anything else is refused', () => {
  const { job } = jobOf('Ilse');
  rememberPlace(job.id, { place: 'bench?step=loop' }, db);
  expect(loadSnapshot(job.id, db)!.job.place).toBe('bench?step=loop');
  for (const place of ['roof', 'bench?step=<b>', 'bench/../../x', '', 'https://x.invalid'])
    expect(problemOf(() => rememberPlace(job.id, { place }, db)).status).toBe(400);
});
