import { type JobSnapshot, derive } from '@/core/job';
import { setupValue } from '@/core/setup';
import { click, find, inReach, keyboard, pageText, reads, settled, until, visit } from './hands';
import { doubleTap } from './apart';
import { Journey } from './journey';
import { NOW } from './now.cjs';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

/** A job up to the bench, by the same commands the screens send. */
async function readyForBench(name: string, rest: string): Promise<string> {
  const made = await shop.send('/api/v1/jobs', {
    archer: { name, phone: '0151 555 0130', dominantEye: 'right', experience: 'some' },
    job: { furthestM: 40, budgetCents: 210000, promisedDay: '2026-12-10' },
  });
  expect(made.status).toBeLessThan(300);
  const { job } = made.body as unknown as JobSnapshot;
  let { version } = job;
  const send = async (command: object) => {
    const answer = await shop.send(`/api/v1/jobs/${job.id}/commands`, {
      version,
      command,
    });
    expect([answer.status, answer.body.detail]).toEqual([200, undefined]);
    version = (answer.body as unknown as JobSnapshot).job.version;
  };
  const take = (key: string, entered: string, more = {}) =>
    send({ name: 'takeReadings', readings: [{ key, entered, ...more }] });
  await take('armSpan', '69');
  await take('wallToMouth', '27 3/4');
  for (const [weight, choice] of [
    ['40#', 'smooth'],
    ['45#', 'smooth'],
    ['50#', 'strained'],
  ] as const)
    await take('weightTrial', weight, { choice });
  await send({ name: 'chooseBow', bowId: 'fjordling-31-r' });
  await send({ name: 'setGoal', goal: 'peakWeight', entered: '45', reason: 'draws it well' });
  await take('moduleTop', '27 1/2');
  await take('moduleBottom', '27 1/2');
  await take('peakWeight', '45', { entered2: '6' });
  const parts: Record<string, string> = {
    rest,
    sight: 'sight-einton',
    peep: 'peep-rund-3-16',
    loop: 'loop-schlinge',
    arrows: 'arrows-halm-500',
  };
  for (const [slot, itemId] of Object.entries(parts))
    await send({ name: 'choosePart', slot, itemId, owned: false, label: '' });
  await send({ name: 'choosePart', slot: 'release', itemId: null, owned: true, label: 'her own' });
  return job.id;
}

/** How often the bow went to a station: runs of values taken there. */
const visitsTo = (station: string, worked: readonly string[]) =>
  worked.filter((at, i) => at === station && worked[i - 1] !== station).length;

async function overTheBench(name: string, rest: string) {
  const page = await shop.page();
  const hands = keyboard(page);
  const journey = new Journey(shop, page, hands);
  journey.jobId = await readyForBench(name, rest);
  await visit(page, `${shop.url}/jobs/${journey.jobId}/bench`);
  await reads(page, 'The way from here');
  await journey.bench();
  expect(visitsTo('press', journey.worked)).toBe(1);
  return { page, hands, journey };
}

describe('three bows with the three kinds of rest, the press once each', () => {
  test.each([
    ['Frauke Tjaden', 'rest-kiebitz', ['downCableFound', 'restCord']],
    ['Henning Osk', 'rest-regenpfeifer', ['restCord']],
    ['Pirjo Laine', 'rest-stille', ['cockVaneDown']],
  ])('%s: %s', async (name, rest, own) => {
    const { journey } = await overTheBench(name, rest);
    const { readings } = await journey.snapshot();
    expect(readings.map(({ key }) => key)).toEqual(expect.arrayContaining(own));
    const { plan } = derive(await journey.snapshot());
    expect(plan.stale).toEqual([]);
    expect(plan.visits.some(({ station }) => station === 'press')).toBe(false);
  });
});

test('a late change of draw length: the right list, with its reasons, and once done it clears', async () => {
  const page = await shop.page();
  const journey = new Journey(shop, page, keyboard(page));
  journey.jobId = await shop.jobOf('Frauke');
  await visit(page, `${shop.url}/jobs/${journey.jobId}/bench?step=twists`);
  // Told before it is done.
  await reads(page, 'Changed now, these');
  const before = await pageText(page, '[data-part="ahead"]');
  const { entered } = (await journey.snapshot()).readings.findLast(
    ({ key }) => key === 'stringTwists',
  )!;
  await page.type('[data-measure]', String(Number.parseFloat(entered.replace('−', '-')) + 2));
  await page.keyboard.press('Enter');
  await settled(page);
  await reads(page, 'To do again:');
  const snapshot = await journey.snapshot();
  const { plan } = derive(snapshot);
  const stale = plan.stale.map(({ key }) => key);
  expect(stale).toEqual(
    expect.arrayContaining([
      'drawLength',
      'peakWeight',
      'timing',
      'peepHeight',
      'peepTrueHeight',
      'restCord',
      'inTracks',
    ]),
  );
  for (const key of ['restFitted', 'centreShot', 'nockHeight', 'firstAxis', 'arrowMass'] as const)
    expect(stale).not.toContain(key);
  expect(before).toContain(`these ${stale.length} are to be done again`);
  await click(page, 'aria/why[role="button"]');
  await reads(page, 'twists → draw length');
  await reads(page, 'Until then the sheet is not to be handed over');
  await page.keyboard.press('Escape');
  await journey.bench();
  // The weighing is the bow stage’s.
  const { job } = await journey.snapshot();
  const weighed = await shop.send(`/api/v1/jobs/${journey.jobId}/commands`, {
    version: job.version,
    command: { name: 'takeReadings', readings: [{ key: 'peakWeight', entered: '45' }] },
  });
  expect(weighed.status).toBe(200);
  await visit(page, `${shop.url}/jobs/${journey.jobId}/bench`);
  expect(derive(await journey.snapshot()).plan.stale).toEqual([]);
  await reads(page, 'Nothing to do again');
});

test('the phone rings: another job is two taps away, and this one waits where it was', async () => {
  const page = await shop.page();
  const mine = await shop.jobOf('Ilse');
  await visit(page, `${shop.url}/jobs/${mine}/bench?step=board`);
  await reads(page, 'on the draw board');
  await until(
    page,
    () => Number(document.querySelector('[data-part="step-clock"]')?.textContent?.slice(2)) >= 1,
  );
  await page.type('[data-measure]', '25 3');
  await click(page, '[data-part="top"] a[href="/"]');
  await reads(page, 'The bench today');
  await click(page, '[data-part="tickets"] a[href*="' + (await shop.jobOf('Teodor')) + '"]');
  // Named on Today too: only his own page has the name on top.
  await reads(page, 'Teodor Quast', '[data-frame="job"] [data-part="top"] h1');
  await click(page, '[data-part="top"] a[href="/"]');
  await reads(page, 'The bench today');
  await click(page, `[data-part="tickets"] a[href*="${mine}"]`);
  await reads(page, 'Draw length, timing and lean on the draw board', '[data-part="step-title"]');
  expect(await page.$eval('[data-measure]', (node) => (node as HTMLInputElement).value)).toBe(
    '25 3',
  );
  // Its clock went on where it stood.
  await until(
    page,
    () => Number(document.querySelector('[data-part="step-clock"]')?.textContent?.slice(2)) >= 2,
  );
});

test('a double tap on a tablet that is busy is one entry, however late it is answered', async () => {
  const page = await shop.page();
  const jobId = await shop.jobOf('Teodor');
  await visit(page, `${shop.url}/jobs/${jobId}/lane?part=cord`);
  const tick = await find(page, '[data-part="tick"]');
  const { version } = (await shop.snapshot(jobId)).job;
  const at = await inReach(tick);
  await page.evaluate(() =>
    addEventListener(
      'click',
      () => {
        const end = performance.now() + 700;
        while (performance.now() < end);
      },
      { capture: true },
    ),
  );
  await doubleTap(page, at, 0);
  await settled(page);
  expect((await shop.snapshot(jobId)).job.version).toBe(version + 1);
});

test('two tablets at the same step: the second is told, and keeps what was typed', async () => {
  const jobId = await shop.jobOf('Ilse');
  const [one, two] = [await shop.page(), await shop.page()];
  for (const page of [one, two]) {
    await visit(page, `${shop.url}/jobs/${jobId}/bench?step=brace`);
    await reads(page, 'Measure brace height and axles');
    await page.type('[data-measure]', page === one ? '6 1/2' : '6 7/16');
  }
  await one.keyboard.press('Enter');
  await settled(one);
  await two.bringToFront();
  await two.keyboard.press('Enter');
  await reads(two, 'Brace height: 6 1/2 in');
  await two.keyboard.press('Escape');
  expect(await two.$eval('[data-measure]', (node) => (node as HTMLInputElement).value)).toBe(
    '6 7/16',
  );
  const rows = (await shop.snapshot(jobId)).readings.filter(({ key }) => key === 'braceHeight');
  expect(rows.at(-1)!.entered).toBe('6 1/2 in');
});

test('a part taken out after its steps were done: its readings stay in the history', async () => {
  const jobId = await shop.jobOf('Ilse');
  const before = await shop.snapshot(jobId);
  const { status } = await shop.send(`/api/v1/jobs/${jobId}/commands`, {
    version: before.job.version,
    command: { name: 'choosePart', slot: 'stabiliser', itemId: null, owned: false, label: '' },
  });
  expect(status).toBe(200);
  const after = await shop.snapshot(jobId);
  expect(after.readings.map(({ key }) => key)).toContain('stabiliserFitted');
  expect(derive(after).plan.steps.map(({ id }) => id)).not.toContain('stabiliser');
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${jobId}/bench`);
  await reads(page, 'The way from here');
  expect(await pageText(page, '[data-part="visits"]')).not.toContain('bars and weights');
});

describe('the shop’s own steps', () => {
  test('a circle is refused with its steps; one that works stands at the bench of every job', async () => {
    const page = await shop.page();
    await visit(page, `${shop.url}/shop/steps`);
    const fill = async (selector: string, text: string) => {
      await find(page, selector);
      await page.type(selector, text);
    };
    const choose = async (selector: string, name: string) => {
      await page.type(selector, name);
      await reads(page, name, '.MuiAutocomplete-popper');
      await page.keyboard.press('ArrowDown');
      await page.keyboard.press('Enter');
    };
    await click(page, 'aria/A step of our own[role="button"]');
    await fill('#own-title', 'Wax the string');
    await fill('#own-say', 'Thinly along the strands, rubbed warm; none on the servings.');
    await choose('#own-needs', 'Tie the loop');
    await choose('#own-before', 'Find the nock height');
    await click(page, 'aria/Take it[role="button"]');
    await reads(page, 'in a circle: Find the nock height → Wax the string → Tie the loop');
    expect(
      await page.$eval('.MuiStack-root button', (b) => (b as HTMLButtonElement).disabled),
    ).toBe(true);
    await click(page, 'aria/Wax the string[role="button"]');
    await find(page, '#own-before');
    await (await find(page, '#own-before')).focus();
    await page.keyboard.press('Backspace');
    await click(page, 'aria/Take it[role="button"]');
    await until(page, () => !document.body.innerText.includes('in a circle'));
    await click(page, 'aria/Save[role="button"]');
    await reads(page, 'Every open job follows');
    const jobId = await shop.jobOf('Ilse');
    await visit(page, `${shop.url}/jobs/${jobId}/bench?step=wax-the-string`);
    await reads(page, 'Thinly along the strands');
    await click(page, '[data-part="tick"]');
    const { readings } = await shop.snapshot(jobId);
    expect(readings.at(-1)).toMatchObject({ key: 'own:wax-the-string', si: 1 });
    expect(setupValue('own:wax-the-string').name).toBe('Wax the string');
  });

  test('a step others need cannot be left out', async () => {
    const page = await shop.page();
    await visit(page, `${shop.url}/shop/steps`);
    await click(page, 'aria/Find the nock height[role="button"]');
    await click(page, 'aria/yes[role="button"]');
    await click(page, 'aria/Take it[role="button"]');
    await reads(page, '“Find the nock height” cannot be left out');
  });
});

describe('the calendar', () => {
  test('a visit is put at another time, and where it cannot stand that is said', async () => {
    const page = await shop.page();
    await visit(page, `${shop.url}/calendar`);
    await reads(page, 'Visits of this day');
    await until(
      page,
      () => !document.querySelector('[data-part="plan-state"]')!.textContent!.includes('looking'),
    );
    const box = await find(page, '[data-part="visit-box"][data-press="yes"]');
    const name = (await box.evaluate((node) => node.getAttribute('aria-label')))!.split(',')[0]!;
    const place = (await box.boundingBox())!;
    const y = place.y + place.height / 2;
    await page.mouse.move(place.x + 6, y);
    await page.mouse.down();
    await page.mouse.move(place.x + 60, y, { steps: 6 });
    await page.mouse.move(place.x + 300, y, { steps: 8 });
    await page.mouse.up();
    await page
      .waitForSelector(`[data-part="visit-box"][data-put="yes"][aria-label^="${name}"]`)
      .catch(async () => {
        throw new Error(`Not put anywhere:\n${await pageText(page)}`);
      });
    expect(page.url()).toMatch(/calendar$/);
    await reads(page, 'put here', '[data-part="calendar-rows"]');

    const [row] = await page.$$('[data-part="calendar-rows"] li:has(.MuiChip-root) button');
    await row!.click();
    await reads(page, 'Put ');
    const putAt = (text: string) =>
      page.$eval(
        '#move-to',
        (node, value) => {
          const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
          set.call(node, value);
          node.dispatchEvent(new Event('input', { bubbles: true }));
        },
        text,
      );
    await putAt('2026-11-24T03:00');
    await click(page, 'aria/Put it there[role="button"]');
    await reads(page, 'the time is past');
    await putAt('2026-11-25T23:00');
    await click(page, 'aria/Put it there[role="button"]');
    await reads(page, 'Nobody works then');
    await click(page, 'aria/Let the plan decide[role="button"]');
    await until(page, () => !document.querySelector('[data-put="yes"]'));
  });

  test('appointments go out as a calendar file, in UTC', async () => {
    const file = await (await shop.ask(`/api/v1/calendar/appointments`)).text();
    expect(file).toContain('BEGIN:VCALENDAR');
    // 16:00 in the shop's winter.
    expect(file).toContain('DTSTART:20261124T150000Z');
    expect(file).toContain('SUMMARY:Teodor Quast: ');
    expect(Date.parse(NOW)).toBeLessThan(Date.parse('2026-11-24T15:00:00Z'));
  });

  test('closed days come from a calendar file and close the calendar; another file is refused', async () => {
    const page = await shop.page();
    await visit(page, `${shop.url}/shop`);
    const input = (await page.waitForSelector('#closed-file')) as unknown as {
      uploadFile(path: string): Promise<void>;
    };
    await input.uploadFile('package.json');
    await reads(page, 'It is no iCalendar file', '#closed');
    await input.uploadFile('e2e/holidays.ics');
    await reads(page, '3 days taken; 1 that last only hours left out', '#closed');
    await reads(page, 'Lake festival', '#closed');
    await visit(page, `${shop.url}/calendar`);
    await click(page, '[data-part="calendar-days"] button:nth-child(3)');
    await reads(page, 'Closed: Lake festival');
  });

  test('hours that are none are said at their field and nothing is saved', async () => {
    const page = await shop.page();
    await visit(page, `${shop.url}/shop`);
    const field = await find(page, '#shop-hours-T--Okoro-0');
    await field.click({ clickCount: 3 });
    await page.keyboard.type('18-9');
    await reads(page, 'Like 9–18 or 9:30–17', '#hours');
    await field.click({ clickCount: 3 });
    await page.keyboard.type('9-17');
    await page.keyboard.press('Tab');
    await reads(page, 'Saved');
    const view = await shop.get<{ input: { people: { shifts: { to: number }[] }[] } }>(
      '/api/v1/calendar',
    );
    // The next Monday is six days on.
    expect(view.input.people[0]!.shifts.some(({ to }) => to === 6 * 1440 + 17 * 60)).toBe(true);
  });
});
