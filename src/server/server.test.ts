import { readFileSync } from 'node:fs';
import { aSheet } from '@/core/testing/a-sheet';
import { aBow } from '@/core/testing/fixtures';
import type { ShopSettings } from '@/core/job';
import { USUAL_SCHOOLS } from '@/core/setup';
import { USUAL_STATIONS } from '@/core/bench';
import { examples, expectAgrees } from '@/core/testing/examples';
import { addDays, metre, mm, TRADE_UNITS } from '@/core/units';
import type { Db } from '@/data/db';
import { insertBow } from '@/data/stock';
import { nowIso, pretendNow, shopDay, shopMinutes } from './clock';
import { createJob, runCommand } from './commands';
import { CALCULATIONS, compute } from './compute';
import { stopSolver } from './solver';
import { find } from './find';
import { answer, readJson } from './http';
import { openApi } from './openapi';
import { sheetPdf } from './pdf/sheet-pdf';
import { notFound } from './problem';
import { loadShop, saveShop } from './shop';
import { todayView } from './today-view';
import { problemOf } from './testing/problem-of';
import { newDb } from './testing/new-db';

describe('the compute interface', () => {
  const names = Object.keys(CALCULATIONS);
  const cases = names.flatMap((name) =>
    examples(name).map((example) => [`${name}: ${example.title}`, name, example] as const),
  );
  afterAll(stopSolver);
  test.each(cases)('%s', async (_, name, { request, response, tolerance }) => {
    expectAgrees(await compute(name, request), response, tolerance);
  });

  const good = (name: string) =>
    structuredClone(examples(name)[0]!.request) as Record<string, unknown>;
  test.each([
    ['draw-length', { readings: [] }, '/readings'],
    ['draw-length', { readings: [{ method: 'guess', valueMm: 700 }] }, '/readings/0/method'],
    ['draw-length', { readings: [{ method: 'armSpan', valueMm: 4000 }] }, '/readings/0/valueMm'],
    ['limb-bolts', { maxTurns: 0 }, '/maxTurns'],
    ['limb-bolts', { targetN: 'heavy' }, '/targetN'],
    ['launch-speed', { arrowG: -1 }, '/arrowG'],
    ['sight-marks', { distancesM: [0.5] }, '/distancesM/0'],
    ['sight-marks', { slopeDeg: 80 }, '/slopeDeg'],
    ['sight-marks', { unknown: 1 }, '/unknown'],
    ['group', { hits: [] }, '/hits'],
    ['sight-fit', { shots: [{ distanceM: 18, dropMm: 0 }] }, '/shots'],
    ['sight-fit', { speedMps: 70 }, '/speedMps'],
    ['sight-marks', { speedMps: 274.3 }, '/speedMps'],
    ['paper-tune', { school: 'luck' }, '/school'],
    ['paper-tune', { history: [{ kind: 'shot', rightMm: 1 }] }, '/history/0/upMm'],
    ['paper-tune', { history: [{ kind: 'sigh' }] }, '/history/0'],
    [
      'paper-tune',
      { history: [{ kind: 'move', adjustment: 'loop', amount: 1 }] },
      '/history/0/adjustment',
    ],
  ])('%s refuses %j with the pointer', (name, change, pointer) => {
    const problem = problemOf(() => compute(name, { ...good(name), ...change }));
    expect(problem.status).toBe(400);
    expect(problem.more.errors!.map((error) => error.pointer)).toContain(pointer);
  });
  test.each([
    ['limb-bolts', { minPeakN: 500, maxPeakN: 300 }, 'empty-range'],
    ['limb-bolts', { maxTurns: 4, readings: [{ turns: 5, peakN: 200 }] }, 'past-turn-limit'],
    ['launch-speed', { arrowG: 5 }, 'arrow-too-light'],
    ['sight-marks', { speedMps: 15, distancesM: [120] }, 'out-of-reach'],
    [
      'sight-fit',
      {
        shots: [
          { distanceM: 18, dropMm: 0 },
          { distanceM: 18.2, dropMm: 3 },
        ],
      },
      'same-distance',
    ],
    [
      'route',
      { steps: [{ id: 'a', station: 'moon', archer: false, needs: [] }] },
      'unknown-station',
    ],
  ])('%s: well-formed, but the model refuses %j', (name, change, reason) => {
    const problem = problemOf(() => compute(name, { ...good(name), ...change }));
    expect([problem.status, problem.reason]).toEqual([422, reason]);
    expect(problem.body().type).toBe(`urn:waffenrad:problem:${reason}`);
  });
  test('an unknown calculation is not found, also by the names every object has', () => {
    for (const name of ['horoscope', 'constructor', '__proto__'])
      expect(problemOf(() => compute(name, {})).status).toBe(404);
  });
  test('air given as weather counts as its density', () => {
    const request = { ...good('sight-marks'), airDensityKgM3: undefined };
    delete request.airDensityKgM3;
    const thin = compute('sight-marks', {
      ...request,
      air: { temperatureC: 30, pressureHpa: 800, humidity: 0.2 },
    });
    const thick = compute('sight-marks', {
      ...request,
      air: { temperatureC: -10, pressureHpa: 1040, humidity: 0 },
    });
    const last = (answer: unknown) =>
      (answer as { marks: { pinAboveArrowMm: number }[] }).marks.at(-1)!.pinAboveArrowMm;
    expect(last(thin)).toBeGreaterThan(last(thick));
  });
  test('OpenAPI names every calculation with its schemas', () => {
    const { openapi, paths } = openApi();
    expect(openapi).toBe('3.1.0');
    expect(Object.keys(paths)).toEqual(
      Object.keys(CALCULATIONS).map((name) => `/api/v1/compute/${name}`),
    );
    expect(JSON.stringify(paths)).toContain('"drawLengthMm"');
    expect(() => JSON.stringify(openApi())).not.toThrow();
  });
});

describe('answers over HTTP', () => {
  test('a result, a problem and a fault', async () => {
    const ok = await answer(() => ({ a: 1 }), 201);
    expect([ok.status, ok.headers.get('content-type'), await ok.json()]).toEqual([
      201,
      'application/json',
      { a: 1 },
    ]);
    const missing = await answer(() => {
      throw notFound('job');
    });
    expect([missing.status, missing.headers.get('content-type')]).toEqual([
      404,
      'application/problem+json',
    ]);
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const fault = await answer(() => {
      throw new Error('secret path /etc');
    });
    expect(fault.status).toBe(500);
    expect(await fault.text()).not.toContain('secret');
    expect(log).toHaveBeenCalled();
    log.mockRestore();
  });
  test('bodies: JSON, not JSON, too large', async () => {
    const request = (body: string) => new Request('http://x', { method: 'POST', body });
    expect(await readJson(request('{"a":1}'))).toEqual({ a: 1 });
    await expect(readJson(request('{"a":'))).rejects.toMatchObject({
      status: 400,
      reason: 'malformed-json',
    });
    await expect(readJson(request(`"${'x'.repeat(1_000_001)}"`))).rejects.toMatchObject({
      status: 413,
    });
  });
});

describe('the clock', () => {
  afterEach(() => pretendNow(null));
  test('days are the shop’s, not Greenwich’s', () => {
    expect(shopDay('Europe/Berlin', '2026-11-24T23:30:00Z')).toBe('2026-11-25');
    expect(shopDay('America/Denver', '2026-11-24T03:30:00Z')).toBe('2026-11-23');
    expect(shopMinutes('Europe/Berlin', '2026-07-01T10:15:00Z')).toBe(12 * 60 + 15);
  });
  test('days are added over months and summer time', () => {
    expect(addDays('2026-12-30', 3)).toBe('2027-01-02');
    expect(addDays('2026-03-28', 2)).toBe('2026-03-30');
  });
  test('can be pretended, for a demo', () => {
    pretendNow(new Date('2026-01-02T03:04:05Z'));
    expect(nowIso()).toBe('2026-01-02T03:04:05.000Z');
  });
});

describe('with a shop', () => {
  let db: Db;
  beforeEach(() => {
    pretendNow(new Date('2026-11-24T09:20:00Z'));
    db = newDb();
    insertBow(db, aBow());
  });
  afterEach(() => {
    pretendNow(null);
    db.close();
  });
  const open = (name: string, job: object = {}, archer: object = {}) =>
    createJob({ who: 'T', archer: { name, ...archer }, job }, db);

  test('jobs are found by any word: name without accents, phone, bow, ticket', () => {
    const { job } = open('Casimir Dröge', {}, { phone: '0151 555 0175' });
    runCommand(
      job.id,
      { version: 1, who: 'T', command: { name: 'chooseBow', bowId: 'test-31-r' } },
      db,
    );
    open('Ilse Maarand');
    for (const text of [
      'droge',
      'DRÖGE casimir',
      '5550175',
      'probe',
      '1001',
      'cas 0151',
      'kasimir',
      'drogge',
    ])
      expect([text, find(text, db).map(({ name }) => name)]).toEqual([text, ['Casimir Dröge']]);
    db.prepare(
      "UPDATE archer SET guardian_name = 'Yasemin Aydın', guardian_phone = '0421 77 12' WHERE name = 'Casimir Dröge'",
    ).run();
    for (const text of ['aydin', 'Yasemin', '04217712'])
      expect([text, find(text, db).map(({ name }) => name)]).toEqual([text, ['Casimir Dröge']]);
    expect(find('', db)).toEqual([]);
    expect(find('nobody', db)).toEqual([]);
    expect(find('a', db)).toHaveLength(2);
  });

  test('today: what is promised first stands first, the delivered last', async () => {
    open('Late');
    // Promised a week ago, when it was still to come.
    db.prepare(`UPDATE job SET promised_day = '2026-11-20'`).run();
    open('Never');
    open('Soon', { promisedDay: '2026-11-25' });
    const view = await todayView(db);
    expect(view.day).toBe('2026-11-24');
    expect(view.minutesNow).toBe(10 * 60 + 20);
    expect(view.tickets.map(({ name }) => name)).toEqual(['Late', 'Soon', 'Never']);
    expect(view.tickets[0]).toMatchObject({
      late: 'was promised earlier',
      tag: 'fit',
      about: 'no bow yet',
    });
    expect(view.tickets[1]!.late).toBeNull();
  });
  test('an appointment today puts the fit on the counter', async () => {
    open('Noor', { appointmentAt: '2026-11-24T14:30:00Z' });
    expect((await todayView(db)).calendar.plan.visits).toMatchObject([
      { name: 'Noor', station: 'counter', archer: true, from: 15 * 60 + 30 },
    ]);
  });
  test('an empty shop has an empty day', async () => {
    expect(await todayView(db)).toMatchObject({
      tickets: [],
      calendar: { plan: { visits: [] } },
      arriving: [],
      comingBack: [],
    });
  });

  test('settings are saved whole; a place that is no time zone is refused', () => {
    const shop: ShopSettings = {
      name: 'Anders',
      address: '',
      phone: '0199 1',
      timeZone: 'Europe/Oslo',
      loopCounts: true,
      lockAfterMin: 25,
      persons: { adultFromYears: 20, keepYears: null },
      units: TRADE_UNITS,
      kit: {
        thirdAxisPastM: metre(50),
        overhangMm: mm(20),
        usualFrontBarMm: mm(305),
        usualRearBarMm: mm(152),
        weights: { sight: 12 },
      },
      quote: { taxPct: 20, depositPct: 25, validDays: 10, hourCents: 4500 },
      schools: { ...USUAL_SCHOOLS, centreShot: 'eye', thirdAxis: 'shotIn' },
      steps: {
        edits: [{ id: 'loop', minutes: 9, title: 'Tie the D', needs: ['silence'] }],
        own: [
          {
            id: 'wax-the-string',
            title: 'Wax the string',
            say: 'Thinly, then rub it warm.',
            station: 'vice',
            archer: false,
            tool: 'wax',
            minutes: 3,
            needs: ['loop'],
            before: ['paper'],
            slot: null,
            dependsOn: ['stringTwists'],
          },
        ],
      },
      stations: { ...USUAL_STATIONS, vice: 3 },
      hours: { A: [{ from: 540, to: 1080 }, null, null, null, null, null, null] },
      closed: [{ day: '2026-12-25', name: 'Christmas' }],
    };
    const people = ['Technician'];
    expect(saveShop(shop, db)).toEqual({ ...shop, people });
    expect(loadShop(db)).toEqual({ ...shop, people });
    expect(
      problemOf(() => saveShop({ ...shop, timeZone: 'Mars/Base' }, db)).more.errors![0]!.pointer,
    ).toBe('/timeZone');
    expect(problemOf(() => saveShop({ ...shop, people: [] }, db)).more.errors![0]!.pointer).toBe(
      '/people',
    );
    expect(
      problemOf(() => saveShop({ ...shop, lockAfterMin: 0 }, db)).more.errors![0]!.pointer,
    ).toBe('/lockAfterMin');
    expect(
      problemOf(() => saveShop({ ...shop, units: { ...TRADE_UNITS, length: 'cubits' } }, db))
        .status,
    ).toBe(400);
    expect(loadShop(db)).toEqual({ ...shop, people });
    const circle = { ...shop.steps, edits: [{ id: 'nockHeight', needs: ['loop'] }] };
    expect(problemOf(() => saveShop({ ...shop, steps: circle }, db)).more.errors![0]).toMatchObject(
      {
        pointer: '/steps/own',
        detail: expect.stringContaining('in a circle: Find the nock height → Tie the loop'),
      },
    );
    const left = { own: [], edits: [{ id: 'nockHeight', off: true }] };
    expect(problemOf(() => saveShop({ ...shop, steps: left }, db)).more.errors![0]!.pointer).toBe(
      '/steps/edits/0/off',
    );
    expect(loadShop(db)).toEqual({ ...shop, people });
  });
});

describe('the sheet as PDF', () => {
  const print = { paper: 'A4', prices: true, timeZone: 'Europe/Berlin' } as const;
  const sheet = aSheet();
  test.each([
    ['A4', '595.28 841.89'],
    ['LETTER', '612 792'],
  ] as const)('%s has its size, and colours only between black and white', async (paper, box) => {
    const pdf = (await sheetPdf(sheet, { ...print, paper })).toString('latin1');
    expect(pdf.startsWith('%PDF-')).toBe(true);
    expect(pdf.includes(`/MediaBox [0 0 ${box}]`)).toBe(true);
    expect(pdf.includes('AtkinsonHyperlegibleNext')).toBe(true);
  });
  test('long names and many parts go on to another page', async () => {
    const long = {
      ...sheet,
      archer: {
        ...sheet.archer,
        name: 'Maximiliane-Theodora von und zu Langenfels-Wassertrüdingen',
      },
      record: Array.from({ length: 5 }, () => sheet.record).flat(),
    };
    const pages = (pdf: Buffer) => (pdf.toString('latin1').match(/\/Type \/Page\b/g) ?? []).length;
    expect(pages(await sheetPdf(long, print))).toBeGreaterThan(pages(await sheetPdf(sheet, print)));
  });
});

test('the worked cases are those that were handed out', () => {
  for (const name of ['draw-length', 'limb-bolts', 'launch-speed', 'sight-marks']) {
    const file = JSON.parse(
      readFileSync(`src/core/testing/examples/${name}.json`, 'utf8'),
    ) as unknown[];
    expect(file.length).toBeGreaterThan(2);
  }
});
