import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { derive, jobMarks, jobPaper, jobTape, type TapeWish } from '@/core/job';
import { latest } from '@/core/setup';
import { metre } from '@/core/units';
import { USUAL_TAPE } from '@/contracts/usual-tape';
import { pinDistances } from '@/core/flight';
import { click, find, openAnew, pageText, reads, settled, until, visit, WAIT } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

const lane = (page: Page, jobId: string, query: string) =>
  visit(page, `${shop.url}/jobs/${jobId}/lane?${query}`);
const jobOf = async (jobId: string) => {
  const snapshot = await shop.snapshot(jobId);
  return { snapshot, derived: derive(snapshot) };
};
const command = async (jobId: string, body: object) => {
  const answer = await shop.command(jobId, body);
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
};

/** Types over what stands in a field. */
async function type(page: Page, label: string, text: string) {
  const field = await find(page, `aria/${label}[role="textbox"]`);
  await field.click({ clickCount: 3 });
  await page.keyboard.type(text);
}
/** Paper with the practice archer, doing what the screen says, until it says good enough. */
async function throughPaper(page: Page, jobId: string) {
  const moves: string[] = [];
  let papers = 0;
  for (let i = 0; i < 40; i++) {
    const { snapshot, derived } = await jobOf(jobId);
    const tune = jobPaper(snapshot, derived);
    if (tune.state === 'tuned' || tune.state === 'checkCauses') return { tune, moves, papers };
    if (tune.state === 'adjust') {
      moves.push(await pageText(page, '[data-part="paper-advice"] h3'));
      const advice = await page.$eval('[data-part="paper-advice"] h3', (node) => node.textContent);
      await click(page, 'aria/It is moved[role="button"]');
      await until(
        page,
        (before) => document.querySelector('[data-part="paper-advice"] h3')?.textContent !== before,
        WAIT,
        advice,
      );
    } else {
      await click(page, 'aria/Practice shot[role="button"]');
      await reads(page, 'Note it:');
      await click(page, 'form [data-part="enter"]');
      papers++;
    }
    await settled(page);
  }
  throw new Error('Paper never ended');
}

/** Practice arrows, the pin moved as the screen says, until the group is on the aim; its last words on a move. */
async function onTheAim(page: Page): Promise<string> {
  let move = '';
  for (let i = 0; i < 8; i++) {
    await click(page, 'aria/Three practice arrows[role="button"]');
    await until(page, () =>
      /Move the pin|cannot be told from the aim/.test(document.body.innerText),
    );
    if ((await pageText(page)).includes('cannot be told from the aim')) return move;
    move = await pageText(page, '[data-part="pin-move"]');
    await click(page, 'aria/The pin is moved: shoot again[role="button"]');
    await reads(page, '0 hits');
  }
  throw new Error('The group never came onto the aim');
}

/** Lines of a PDF page in millimetres from its upper left corner. */
async function pdfLines(path: string) {
  const response = await shop.ask(`${path}`);
  expect(response.headers.get('content-type')).toBe('application/pdf');
  const file = join(mkdtempSync(join(tmpdir(), 'waffenrad-tape-')), 'tape.pdf');
  writeFileSync(file, Buffer.from(await response.arrayBuffer()));
  const text = execFileSync(process.execPath, ['e2e/pdf-lines.mjs', file], { encoding: 'utf8' });
  return JSON.parse(text) as {
    widthMm: number;
    heightMm: number;
    lines: { x1: number; y1: number; x2: number; y2: number; widthMm: number }[];
  };
}

/** Lines of the tape's own width, measured from the file, against the marks computed from the job. */
async function tapeIsTrue(jobId: string, wish: Partial<typeof USUAL_TAPE>) {
  const asked = { ...USUAL_TAPE, lineMm: 0.31, ...wish };
  const query = new URLSearchParams(
    Object.entries(asked).map(([key, value]) => [key, String(value)]),
  );
  const page = await pdfLines(`/api/v1/jobs/${jobId}/tape?${query.toString()}`);
  const { snapshot, derived } = await jobOf(jobId);
  const answer = jobTape(snapshot, derived, asked as TapeWish);
  if (!answer.ok) throw new Error(answer.message);
  // What the tape should show, from the marks alone.
  const perUnit = asked.unit === 'yd' ? 0.9144 : 1;
  const distances = answer.own.lines.map(({ distance }) => metre(distance * perUnit));
  const marks = jobMarks(derived, distances).answer;
  if (!marks.ok) throw new Error(marks.message);
  const wanted = marks.marks.map((mark) => marks.marks[0]!.pinAboveArrowMm - mark.pinAboveArrowMm);
  const drawn = page.lines
    .filter(({ widthMm }) => Math.abs(widthMm - asked.lineMm) < 0.002)
    .map(({ y1 }) => y1);
  expect(drawn).toHaveLength(wanted.length);
  const worst = Math.max(
    ...drawn.map((y, i) => Math.abs(y - drawn[0]! - wanted[i]! * asked.ratio)),
  );
  const ruler = page.lines.find(
    ({ x1, x2, y1, y2 }) => Math.abs(y1 - y2) < 1e-6 && Math.abs(Math.abs(x2 - x1) - 100) < 0.01,
  );
  expect(ruler).toBeDefined();
  expect(worst).toBeLessThan(0.05);
  return { worst, lines: wanted.length, page, answer };
}

test('a left-handed bow through paper, chronograph, two distances, to a tape that is true', async () => {
  const page = await shop.page();
  const jobId = await shop.jobOf('Teodor');
  // The practice archer shoots another bow than the one these papers were shot with.
  const { readings } = await shop.snapshot(jobId);
  for (const { seq } of readings.filter(({ key }) => key === 'paperTear')) {
    const { job } = await shop.snapshot(jobId);
    await shop.send(`/api/v1/jobs/${jobId}/commands`, {
      version: job.version,
      command: { name: 'discardReading', seq, reason: 'another bow' },
    });
  }
  await lane(page, jobId, 'part=paper');

  const { tune, moves, papers } = await throughPaper(page, jobId);
  expect(tune.state).toBe('tuned');
  expect(moves.length).toBeGreaterThan(0);
  await reads(page, 'Good enough', '[data-part="paper-advice"]');
  // Left-handed: the riser stands left of the arrow.
  for (const words of moves.filter((text) => text.startsWith('Rest') && text.includes('riser')))
    expect(/to the left, towards|to the right, away/.test(words)).toBe(true);
  // A move at the rest asked for the cord again.
  expect((await jobOf(jobId)).derived.plan.stale.map(({ key }) => key)).toContain('restCord');
  console.log(`paper: ${moves.length} moves, ${papers} papers`);
  const centre = latest((await jobOf(jobId)).derived.history, 'centreShot')!.entered;
  for (const [key, entered] of [
    ['restCord', '5/8'],
    ['vaneClearance', ''],
  ])
    await command(jobId, { name: 'takeReadings', readings: [{ key, entered }] });
  expect(centre).toMatch(/mm|in/);
  // Papers shot before the cord was set again are to be shot anew: one more.
  await lane(page, jobId, 'part=paper');
  await click(page, 'aria/Practice shot[role="button"]');
  await reads(page, 'Note it:');
  await click(page, 'form [data-part="enter"]');
  await settled(page);

  await lane(page, jobId, 'part=cord');
  await click(page, '[data-part="tick"]');

  await lane(page, jobId, 'part=speed');
  await click(page, 'aria/Listen to the chronograph[role="button"]');
  await reads(page, 'from the device', '[data-part="speed-shots"]');
  await page.waitForSelector('[data-part="shot-rows"] button');
  let speed = latest((await jobOf(jobId)).derived.history, 'arrowSpeed')!;
  expect(speed.method).toBe('device');
  // A shot that saw the vanes is asked about, and left out only with a reason.
  const odd = (await pageText(page, '[data-part="speed-shots"]')).includes(
    'does not go with the others',
  );
  if (odd) {
    const shots = speed.data?.kind === 'speeds' ? speed.data.shots : [];
    const slow = shots.reduce((best, shot, i) => (shot.mps < shots[best]!.mps ? i : best), 0);
    await click(page, `[data-part="shot-rows"] li:nth-child(${slow + 1}) [data-part="leave-out"]`);
    await page.keyboard.type('saw the vanes');
    await page.keyboard.press('Enter');
    await reads(page, 'left out: saw the vanes', '[data-part="shot-rows"]');
  }
  await reads(page, 'Mass for the weight');
  await reads(page, 'Efficiency', '[data-part="speed-facts"]');

  await lane(page, jobId, 'part=first');
  expect(await onTheAim(page)).toMatch(/^$|In clicks of 0.05 mm/);
  await click(page, 'aria/Confirm the distance 18 m[role="button"]');
  await reads(page, 'Pin below 18 m');
  const first = latest((await jobOf(jobId)).derived.history, 'firstMark')!;
  expect(first.si).toBe(18);

  // Far out the pin starts where the model says, and the shots correct it.
  await lane(page, jobId, 'part=first');
  await type(page, 'Distance', '45 m');
  await onTheAim(page);
  await click(page, 'aria/Confirm the distance 45 m[role="button"]');
  await reads(page, '45 m', '[data-part="confirmed-rows"]');
  const { derived } = await jobOf(jobId);
  const marks = jobMarks(derived, [metre(18), metre(45)]);
  expect(marks.fit).toMatchObject({ ok: true });
  speed = latest(derived.history, 'arrowSpeed')!;
  if (marks.fit?.ok) expect(Math.abs(marks.fit.speedMps / speed.si! - 1)).toBeLessThan(0.06);

  await lane(page, jobId, 'part=marks');
  await reads(page, 'From the shots');
  await lane(page, jobId, 'part=marks&view=tape');
  await reads(page, 'lines on');
  const link = await page.$eval('a[href*="format=pdf"]', (node) => node.getAttribute('href')!);
  expect((await shop.ask(`${link}`)).headers.get('content-type')).toBe('application/pdf');
  const { worst, lines } = await tapeIsTrue(jobId, { from: 15, to: 45 });
  console.log(`tape: ${lines} lines, worst ${worst.toFixed(4)} mm from the marks`);
});

test('tapes in yards, mirrored, stretched, with neighbours, on Letter: all true', async () => {
  const jobId = await shop.jobOf('Aino');
  for (const wish of [
    { unit: 'yd', numbersEvery: 10, side: 'right', to: 60 },
    { ratio: 1.5, to: 50 },
    { paper: 'LETTER', from: 20, to: 60 },
  ] as const) {
    const { page, worst } = await tapeIsTrue(jobId, wish);
    expect(worst).toBeLessThan(0.05);
    const letter = 'paper' in wish;
    expect(page.widthMm).toBeCloseTo(letter ? 215.9 : 210, 1);
    expect(page.heightMm).toBeCloseTo(letter ? 279.4 : 297, 1);
  }
  const { snapshot, derived } = await jobOf(jobId);
  const five = jobTape(snapshot, derived, {
    ...USUAL_TAPE,
    neighbours: 2,
  } as unknown as TapeWish);
  expect(five.ok && five.sheet.strips).toHaveLength(5);
});

test('no tape past the furthest clear mark, none without a length', async () => {
  const page = await shop.page();
  const jobId = await shop.jobOf('Aino');
  await lane(page, jobId, 'part=marks&view=tape');
  await type(page, 'To', '120');
  await reads(page, 'past it the housing comes into the arrow’s way');
  await type(page, 'To', '10');
  await reads(page, 'would have no length');
  expect(await page.$('a[href*="format=pdf"]')).toBeNull();
  await type(page, 'To', 'far');
  // What was typed stays, the tape stays at what was last possible.
  expect(await page.$eval('#tape-to', (node) => (node as HTMLInputElement).value)).toBe('far');
  const response = await shop.ask(`/api/v1/jobs/${jobId}/tape?from=30&to=30`);
  expect(response.status).toBe(422);
  expect(((await response.json()) as { detail: string }).detail).toContain('no length');
});

test('a multi-pin job: gaps, those outside named, where the first has to stand', async () => {
  const page = await shop.page();
  const jobId = await shop.jobOf('Ilse');
  await command(jobId, {
    name: 'choosePart',
    slot: 'sight',
    itemId: 'sight-funfklang',
    owned: false,
    label: '',
  });
  // Chronographed and sighted at two distances, as a sliding one is.
  await lane(page, jobId, 'part=speed');
  await click(page, 'aria/Listen to the chronograph[role="button"]');
  await page.waitForSelector('[data-part="shot-rows"] button');
  for (const distance of ['20 m', '40 m']) {
    await lane(page, jobId, 'part=first');
    await type(page, 'Distance', distance);
    await onTheAim(page);
    await click(page, `aria/Confirm the distance ${distance}[role="button"]`);
    await settled(page);
    await until(page, () => !document.body.innerText.includes('cannot be told from'));
  }
  expect(jobMarks((await jobOf(jobId)).derived, [metre(20)]).fit).toMatchObject({ ok: true });

  await lane(page, jobId, 'part=marks&view=pins');
  await reads(page, 'Pin for 1');
  // Every gap drawn is the difference of two marks.
  const drawn = await page.$$eval('[data-part="pin-rows"] li', (items) =>
    items.map((li) => Number(/([\d.]+) mm below/.exec(li.textContent!)?.[1] ?? Number.NaN)),
  );
  const { derived: sighted, snapshot } = await jobOf(jobId);
  const places = pinDistances(5, 20, Math.round(snapshot.job.furthestM!)).map(metre);
  const { answer } = jobMarks(sighted, places);
  if (!answer.ok) throw new Error(answer.message);
  drawn
    .slice(1)
    .forEach((gap, i) =>
      expect(gap).toBeCloseTo(
        answer.marks[i]!.pinAboveArrowMm - answer.marks[i + 1]!.pinAboveArrowMm,
        0.9,
      ),
    );
  const rows = () =>
    page.$$eval('[data-part="pin-rows"] li', (items) => items.map((li) => li.textContent));
  expect((await rows()).length).toBe(5);
  // A room too small names the far pins.
  await type(page, 'Room for pins in the housing, mm', '12 mm');
  await reads(page, 'does not fit', '[data-part="pin-rows"]');
  await reads(page, 'Outside the housing: ');
  await type(page, 'Room for pins in the housing, mm', '60 mm');
  await reads(page, 'All fit when the first pin stands no lower than');
  // The drawing is in millimetres of the screen: a fifth of a hundred is twenty.
  const bar = await page.$eval('[data-part="pins-figure"] svg', (node) => {
    const box = node.getBoundingClientRect();
    return box.width / (node as SVGSVGElement).viewBox.baseVal.width;
  });
  expect(bar).toBeCloseTo(96 / 25.4, 2);
});

test('“the scale says 47 at a true 50”, and a mark that does not fit is named', async () => {
  const page = await shop.page();
  const jobId = await shop.jobOf('Aino');
  await lane(page, jobId, 'part=first');
  await type(page, 'True distance', '50 m');
  await type(page, 'The scale reads there', '47 m');
  await click(page, 'aria/Take this mark[role="button"]');
  await reads(page, 'scale read 47 m', '[data-part="confirmed-rows"]');
  await reads(page, 'does not fit the others');
  await page.waitForSelector('[data-part="confirmed-rows"] li[data-out="yes"]');
  await click(page, '[data-part="confirmed-rows"] li[data-out="yes"] [data-part="leave-out"]');
  await page.keyboard.type('tape was the old one');
  await page.keyboard.press('Enter');
  await until(
    page,
    () => document.querySelectorAll('[data-part="confirmed-rows"] li[data-out="yes"]').length === 0,
  );
  await type(page, 'True distance', '18 m');
  await type(page, 'The scale reads there', '17 m');
  await click(page, 'aria/Take this mark[role="button"]');
  await reads(page, 'is the first distance itself');
});

test('bare shafts and a walk-back line, with the rest moved by what they say', async () => {
  const page = await shop.page();
  const jobId = await shop.jobOf('Teodor');
  await lane(page, jobId, 'part=paper&check=bare');
  await type(page, 'Bare shafts right (+) or left (−)', '120');
  await type(page, 'Bare shafts high (+) or low (−)', '0');
  await reads(page, 'Counted at 18 m as 12.0 cm right');
  await click(page, 'aria/Note the pair[role="button"]');
  await reads(page, '120 mm right', '[data-part="lane-check"]');

  await lane(page, jobId, 'part=paper&check=walk');
  for (const [distance, right] of [
    ['10 m', '21'],
    ['20 m', '39'],
    ['30 m', '62'],
  ] as const) {
    await type(page, 'Distance', distance);
    await type(page, 'Right (+) or left (−)', right);
    await page.keyboard.press('Enter');
    await reads(page, distance, '[data-part="rows"]');
  }
  await reads(page, 'a metre to the right');
  await reads(page, 'to the left, towards the riser');
  const before = latest((await jobOf(jobId)).derived.history, 'centreShot')!.si!;
  await click(page, 'aria/Note the line[role="button"]');
  await settled(page);
  await click(page, 'aria/It is moved[role="button"]');
  await settled(page);
  // Left-handed: to the left is towards the riser.
  await until(page, () => !document.body.innerText.includes('Saving …'));
  const after = latest((await jobOf(jobId)).derived.history, 'centreShot')!;
  expect(after.method).toBe('paper');
  expect(after.si!).toBeLessThan(before);
  // The line that asked for it does not ask a second time.
  await reads(page, 'Something was moved since the last line was shot');
  expect(await page.$('::-p-aria(It is moved[role="button"])')).toBeNull();
});

test('a device that is pulled out, sends nothing or is not there: told, and nothing is lost', async () => {
  const page = await shop.page();
  const jobId = await shop.jobOf('Aino');
  await page.evaluateOnNewDocument(() => {
    // Whatever is listened to, the cable is pulled after the second reading.
    const real = window.EventSource;
    window.EventSource = class extends real {
      constructor(url: string | URL) {
        super(`${url}${String(url).includes('?') ? '&' : '?'}pull=2`);
      }
    };
  });
  await openAnew(page, `${shop.url}/jobs/${jobId}/lane?part=speed`);
  const before = latest((await jobOf(jobId)).derived.history, 'arrowSpeed')!;
  await click(page, 'aria/Listen to the chronograph[role="button"]');
  await reads(page, 'Chronograph, stand-in does not answer any more');
  await settled(page);
  await page.waitForSelector('[data-part="shot-rows"] li:nth-child(4) button');
  const now = latest((await jobOf(jobId)).derived.history, 'arrowSpeed')!;
  expect(now.seq).toBeGreaterThan(before.seq);
  expect(now.data?.kind === 'speeds' && now.data.shots.length).toBeGreaterThan(3);
  await page.close();

  const junk = await shop.page();
  await junk.setRequestInterception(true);
  junk.on('request', (request) =>
    request.url().includes('/devices/')
      ? void request.respond({
          status: 200,
          headers: { 'content-type': 'text/event-stream' },
          body: 'event: name\ndata: "Something"\n\nevent: line\ndata: "kettle on"\n\nevent: line\ndata: "pull 4 N"\n\nevent: done\ndata: ""\n\n',
        })
      : void request.continue(),
  );
  await openAnew(junk, `${shop.url}/jobs/${jobId}/lane?part=speed`);
  await click(junk, 'aria/Listen to the chronograph[role="button"]');
  await reads(junk, '2 lines came that cannot be read, and no reading');
  // Typing always works.
  await type(junk, 'Arrow speed', '30 fps');
  await junk.keyboard.press('Enter');
  await reads(junk, 'Too small for the arrow speed');
  await type(junk, 'Arrow speed', '900 fps');
  await junk.keyboard.press('Enter');
  await reads(junk, 'Too large for the arrow speed');
  await junk.close();
});
