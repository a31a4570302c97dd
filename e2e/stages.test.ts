import { click, find, hits, keyboard, pageText, reads, settled, until, visit } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

async function open(who: string, path: string, words: string) {
  const page = await shop.page();
  const jobId = await shop.jobOf(who);
  await visit(page, `${shop.url}/jobs/${jobId}/${path}`);
  await reads(page, words);
  return { page, jobId };
}

describe('Fit', () => {
  test('while a number is typed the picture already moves', async () => {
    const { page } = await open('Ilse', 'fit', '3 methods agree');
    const before = await pageText(page, '[data-part="parts-aside"]');
    await page.type('[data-measure]', '25 3/4');
    await reads(page, '4 methods agree', '[data-part="parts-aside"]');
    expect(await pageText(page, '[data-part="drawing"]')).toContain('the bow that fits 27 1/2 in');
    await (await find(page, '[data-measure]')).click({ clickCount: 3 });
    await page.keyboard.press('Backspace');
    await until(
      page,
      (text) =>
        document.querySelector('[data-part="parts-aside"]')!.textContent!.includes(text.slice(-15)),
      {},
      before,
    );
  });

  test('any method can be measured again; both readings stand', async () => {
    const { page, jobId } = await open('Ilse', 'fit', '3 methods agree');
    await click(page, 'aria/Measure arm span[role="button"]');
    await page.type('[data-measure]', '68 1/4');
    await page.keyboard.press('Enter');
    await settled(page);
    await reads(page, 'arm span ×2', '[data-part="drawing"]');
    const spans = (await shop.snapshot(jobId)).fitReadings.filter(({ key }) => key === 'armSpan');
    expect(spans.map(({ entered }) => entered)).toEqual(['68 in', '68 1/4 in']);
  });
});

describe('Fit, further', () => {
  test('another school for one job moves the arm span, and says whose it is', async () => {
    const { page, jobId } = await open('Casimir', 'fit', '2 methods agree');
    const span = async () =>
      /arm span ([\d /]+) in/.exec(await pageText(page, '[data-part="drawing"]'))![1]!;
    const before = await span();
    await click(page, 'aria/loop counts[role="button"]');
    await settled(page);
    expect(await span()).not.toBe(before);
    await reads(page, 'Loop counts is on (for this job)', '[data-part="margin"]');
    expect((await shop.snapshot(jobId)).job.loopCounts).toBe(true);
    await page.keyboard.press('z');
    await reads(page, 'Loop counts is off (shop setting)', '[data-part="margin"]');
    expect(await span()).toBe(before);
  });

  test('room to grow: two pounds a fortnight, holding weight, hold test', async () => {
    const { page } = await open('Ilse', 'fit?part=weight', 'Room to grow');
    await reads(page, 'they hold 8 lb at the wall, 80 % let off');
    const rows = await page.$$eval('[data-part="growth-rows"] li', (nodes) =>
      nodes.map((n) => n.innerText),
    );
    expect(rows.length).toBeGreaterThan(3);
    expect(rows[0]!.replace(/\s+/g, ' ')).toMatch(/^[A-Z][a-z]{2} \d+ [A-Z][a-z]{2} 44 lb$/);
    await reads(page, '12 arrows, no lifting to the sky');
  });

  test('a name a letter off is found', async () => {
    const page = await shop.page();
    await visit(page, shop.url);
    await page.keyboard.press('/');
    await find(page, '#find');
    await (await find(page, '#find')).type('marand');
    await reads(page, 'Ilse Maarand', '[data-part="found"]');
  });
});

describe('Bow', () => {
  test('one that does not cover the fit is taken only with a reason, and can be put back', async () => {
    const { page, jobId } = await open('Noor', 'bow?part=choose', '2 of 14 in the shop fit');
    await click(page, 'aria/Take all the same: Torvik Uferläufer 28[role="button"]');
    await reads(page, 'Torvik Uferläufer 28 does not cover the fit');
    await page.keyboard.press('Enter');
    await reads(page, 'Say why, in a few words');
    await page.type('#reason', 'only to feel the grip');
    await page.keyboard.press('Enter');
    await reads(page, 'This bow has one draw length');
    expect((await shop.snapshot(jobId)).job.bowReason).toContain('only to feel the grip');
    await click(page, '[data-part="parts"] a[href*="part=choose"]');
    await click(page, 'aria/Put it back: Torvik Uferläufer 28[role="button"]');
    await reads(page, 'none yet', '[data-part="parts"]');
    expect((await shop.snapshot(jobId)).bow).toBeNull();
  });

  test('another module step than the fit’s needs one the bow has, and a reason', async () => {
    const { page, jobId } = await open('Casimir', 'bow?part=module', 'One cam carries the module');
    await click(page, 'aria/Another step[role="button"]');
    await (await find(page, '#goal')).type('28 1/4');
    await page.type('#goal-reason', 'he likes it so');
    await page.keyboard.press('Enter');
    await reads(page, 'This bow has no such setting. It has 27 in, 27 1/2 in');
    expect(await page.$eval('#goal', (node) => (node as HTMLInputElement).value)).toBe('28 1/4');
    await (await find(page, '#goal')).click({ clickCount: 3 });
    await page.type('#goal', '28');
    await page.keyboard.press('Enter');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    await reads(page, '28 in', '[data-part="goal-line"]');
    await reads(page, 'Set by the technician: he likes it so', '[data-part="margin"]');
    expect((await shop.snapshot(jobId)).job).toMatchObject({ moduleReason: 'he likes it so' });
    await click(page, 'aria/Another step[role="button"]');
    await click(page, 'aria/Back to the fit’s own[role="button"]');
    await until(page, () => !document.querySelector('[role="dialog"]'));
    expect((await shop.snapshot(jobId)).job.moduleStepMm).toBeNull();
  });

  test('modules that stand apart are a stop', async () => {
    const { page } = await open('Bettina', 'bow?part=module', 'Two cams carry a module');
    await click(page, '[aria-label="Top cam"] button:nth-child(1)');
    await reads(page, 'The two modules stand apart');
    expect(
      await page.$eval('.MuiAlert-root[data-kind="stop"]', (node) => node.getAttribute('role')),
    ).toBe('alert');
    await page.keyboard.press('z');
    await until(page, () => !document.querySelector('.MuiAlert-root[data-kind="stop"]'));
  });

  test('the turning plan says every pause, and the chart is drawn', async () => {
    const { page } = await open('Casimir', 'bow?part=bolts', 'Turning plan');
    const plan = await pageText(page, '[data-part="plan-rows"]');
    expect(plan).toContain('upper, then lower');
    expect(plan).toContain('weigh again');
    await find(page, '.apexcharts-series path');
    await reads(page, 'expected', 'main');
  });
});

describe('Draw force', () => {
  test('says what is held, stored and carried, and what changes the speed', async () => {
    const { page } = await open('Ilse', 'bow?part=force', 'a pound more weight');
    await find(page, '.apexcharts-series path');
    const text = await pageText(page, 'main');
    expect(text).toMatch(/Holding weight 8\.\d lb 8\.\d lb/);
    expect(text).toMatch(/Let-off 80 % 80 %/);
    expect(text).toMatch(/Valley \d+ mm/);
    expect(text).toMatch(/Stored energy \d+\.\d J/);
    expect(text).toMatch(/a pound more weight \+\d\.\d fps/);
    expect(text).toMatch(/a gram more arrow −\d\.\d fps/);
  });

  test('says what is missing where it cannot be told', async () => {
    const { page } = await open('Casimir', 'bow?part=force', 'The speed needs a setting');
    await reads(page, 'by the model', '[data-part="legend"]');
  });
});

describe('Kit', () => {
  test('a part is taken, counted and put back; what does not mount offers no button', async () => {
    const { page, jobId } = await open('Ove', 'kit?slot=sight', 'From the shop');
    // Of the one total the parts: the bench’s work goes with what is chosen.
    const total = () =>
      page.$eval('[data-part="made-of"]', (node) =>
        /parts €\s([\d\s]+)/.exec(node.textContent!)![1]!.replace(/\D/g, ''),
      );
    const before = Number(await total());
    await click(page, 'aria/Take: Peilwerk Steg[role="button"]');
    await reads(page, 'Peilwerk Steg', '[data-part="slots"]');
    expect(Number(await total())).toBe(before + 239);
    const refused = await page.$$eval('[data-part="item-rows"] li[data-hard="yes"]', (rows) =>
      rows.map((row) => [row.textContent, row.querySelectorAll('button').length] as const),
    );
    expect(refused.length).toBeGreaterThan(0);
    for (const [text, buttons] of refused) {
      expect(text).toContain('does not fit');
      expect(buttons).toBe(0);
    }
    await click(page, 'aria/Put back: Peilwerk Steg[role="button"]');
    await settled(page);
    expect(Number(await total())).toBe(before);
    expect((await shop.snapshot(jobId)).parts.map(({ slot }) => slot)).not.toContain('sight');
  });

  test('a refused part is refused by the server too, with the reason', async () => {
    const jobId = await shop.jobOf('Ove');
    const { job } = await shop.snapshot(jobId);
    const answer = await shop.send(`/api/v1/jobs/${jobId}/commands`, {
      version: job.version,
      command: {
        name: 'choosePart',
        slot: 'sight',
        itemId: 'sight-feld-70',
        owned: false,
        label: '',
      },
    });
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toContain('Peilwerk Feld 70 does not fit');
    expect(answer.body.type).toBe('urn:waffenrad:problem:sight-mount');
  });

  test('brought along needs a word on what it is, and costs nothing', async () => {
    const { page } = await open('Ove', 'kit?slot=quiver', 'From the shop');
    await click(page, 'aria/Brought along[role="button"]');
    await click(page, 'aria/Use their own[role="button"]');
    await reads(page, 'Say what it is');
    await page.type('#own-quiver', 'old hip quiver');
    await page.keyboard.press('Enter');
    await reads(page, 'old hip quiver', '[data-part="slots"]');
    await reads(page, 'Quiver · brought along', '[data-part="slots"]');
  });
});

describe('Bench', () => {
  test('out of tolerance is said, and accepted only with a reason that is kept', async () => {
    const { page, jobId } = await open('Bettina', 'bench?step=nockHeight', 'Find the nock height');
    await page.type('[data-measure]', '9');
    await page.keyboard.press('Enter');
    await reads(page, 'out: lower it 8.0 mm');
    await click(page, 'aria/Accept with a reason[role="button"]');
    await page.keyboard.press('Enter');
    await reads(page, 'Say why, in a few words');
    await page.type('#reason', 'her old bow stands so');
    await page.keyboard.press('Enter');
    await reads(page, 'signed off: her old bow stands so');
    expect((await shop.snapshot(jobId)).exceptions).toMatchObject([
      { stepId: 'nockHeight', reason: 'her old bow stands so' },
    ]);
    await page.type('[data-measure]', '2');
    await page.keyboard.press('Enter');
    await settled(page);
    await until(page, () => !document.body.innerText.includes('signed off: her old'));
  });

  test('a step out of turn names what comes first', async () => {
    const { page } = await open('Bettina', 'bench?step=peepIn', 'Put the peep in the string');
    await reads(page, 'First:', 'main');
    await reads(page, 'First: Twist the string for the rest of the draw length', 'main');
    expect(await pageText(page, '[data-part="margin"]')).toContain(
      'both limbs seated in their fingers',
    );
  });

  test('a done step stays until one goes on; . ticks and goes on', async () => {
    const { page } = await open('Ove', 'bench?step=silence', 'Silence the rest');
    await page.keyboard.press('.');
    await until(
      page,
      () => document.querySelector('[data-part="step-title"]')?.textContent !== 'Silence the rest',
    );
    await page.goBack();
    await reads(page, 'Silence the rest', '[data-part="step-title"]');
    await reads(page, 'Done again', '[data-part="tick"]');
  });

  test('the press is entered once, and says how much is done there in one go', async () => {
    const { page } = await open('Casimir', 'bench', 'The way from here');
    const stations = await page.$$eval('[data-part="visit-station"]', (nodes) =>
      nodes.map((n) => n.textContent),
    );
    expect(stations.filter((name) => name === 'Press')).toHaveLength(1);
    expect(await pageText(page, '[data-part="visits"]')).toMatch(
      /\d steps in one go: have everything ready/,
    );
  });

  test('another job is two taps away, and this one waits where it was', async () => {
    const { page, jobId } = await open('Ilse', 'bench?step=trueHeights', 'Peep above the arrow');
    await click(page, '[data-part="brand"]');
    await reads(page, 'The bench today');
    await click(page, '[data-part="tickets"] a:nth-child(2)');
    await find(page, '[data-part="rail"]');
    await visit(page, `${shop.url}/jobs/${jobId}`);
    await until(page, () => location.pathname.endsWith('/bench'));
  });
});

describe('Lane', () => {
  test('a tear is read in words, left and right as the archer sees it', async () => {
    const { page, jobId } = await open('Teodor', 'lane?part=paper', 'Tap where the nock');
    const hands = keyboard(page);
    await hands.fill('Nock right (+) or left (−)', '-6');
    await hands.fill('Nock high (+) or low (−)', '2 mm');
    await reads(page, 'Note it: nock 2 mm high, 6 mm left');
    await click(page, 'form [data-part="enter"]');
    await settled(page);
    const tears = (await shop.snapshot(jobId)).readings.filter(({ key }) => key === 'paperTear');
    expect(tears.map(({ si, si2 }) => [si, si2])).toEqual([
      [16, 5],
      [7, 3],
      [-6, 2],
    ]);
    await reads(page, 'worth another look', '[data-part="papers"]');
  });

  test('a tear that cannot be is refused at its field', async () => {
    const { page, jobId } = await open('Teodor', 'lane?part=paper', 'Tap where the nock');
    const { version } = (await shop.snapshot(jobId)).job;
    const hands = keyboard(page);
    await hands.fill('Nock right (+) or left (−)', '400');
    await reads(page, 'Too large for the paper tear to the side');
    await click(page, 'form [data-part="enter"]');
    await reads(page, 'Too large for the paper tear to the side');
    expect((await shop.snapshot(jobId)).job.version).toBe(version);
  });

  test('a group off the aim says where the pin goes, and confirms nothing', async () => {
    const { page } = await open('Teodor', 'lane?part=first', 'Tap each hit');
    await hits(page, [
      ['60', '82'],
      ['48', '70'],
      ['55', '90'],
      ['64', '77'],
    ]);
    await reads(page, 'towards the hits; then shoot again');
    expect(await pageText(page, '.MuiAlert-root[role="status"]')).toMatch(
      /Move the pin \d\.\d mm up and \d\.\d mm right/,
    );
    const confirm = await page.$$eval('button', (nodes) =>
      nodes
        .filter((node) => node.textContent!.startsWith('Confirm the distance'))
        .map((node) => node.disabled),
    );
    expect(confirm).toEqual([true]);
  });

  test('an impossible distance is said at its field', async () => {
    const { page } = await open('Teodor', 'lane?part=first', 'Tap each hit');
    await (await find(page, '#group-distance')).click({ clickCount: 3 });
    await page.keyboard.type('900 m');
    await reads(page, 'Too large for the distance: possible is 3.0 m to 150.0 m');
  });

  test('marks say what they rest on', async () => {
    const { page } = await open('Teodor', 'lane?part=marks', 'Pin below 10 m');
    const margin = await pageText(page, '[data-part="margin"]');
    expect(margin).toMatch(/arrow speed \d+ fps predicted/);
    expect(margin).toMatch(/arrow mass 405 gr measured/);
  });
});

describe('Handover', () => {
  test('no sheet before every caution is told; open work needs its reason', async () => {
    const { page, jobId } = await open('Teodor', 'handover', 'Still open');
    const make = await find(page, 'aria/Make the build sheet[role="button"]');
    expect(await make.evaluate((node) => (node as HTMLButtonElement).disabled)).toBe(true);
    for (const box of await page.$$('[data-part="caution-rows"] input')) {
      await box.evaluate((node) => (node as HTMLElement).click());
      await settled(page);
    }
    await until(page, () =>
      [...document.querySelectorAll('button')].some(
        (button) => button.textContent === 'Make the build sheet' && !button.disabled,
      ),
    );
    await click(page, 'aria/Make the build sheet[role="button"]');
    await reads(page, 'say why it is handed over all the same');
    await page.type('#open-reason', 'he travels tonight');
    await click(page, 'aria/Make the build sheet[role="button"]');
    await reads(page, 'Revision 1', '[data-part="sheet-rows"]');
    await click(page, '[data-part="sheet-rows"] a[href*="/sheet/1"]');
    await reads(page, 'Handed over all the same: he travels tonight');
    expect((await shop.snapshot(jobId)).sheets).toHaveLength(1);
  });

  test('a later change makes the next revision; the first says there is a newer one', async () => {
    const { page, jobId } = await open('Aino', 'steady', 'Centre of the bare bow');
    await page.type('[data-measure]', '2800 g');
    await page.keyboard.press('Enter');
    await settled(page);
    await page.keyboard.press('Escape');
    await page.keyboard.press('g');
    await page.keyboard.press('8');
    await click(page, 'aria/Make revision 2[role="button"]');
    await reads(page, 'Revision 2', '[data-part="sheet-rows"]');
    await visit(page, `${shop.url}/jobs/${jobId}/sheet/1`);
    await reads(page, 'There is a newer revision, 2.');
    expect(await pageText(page, '[data-part="sheet"]')).toContain('2530 g');
    const balance = await pageText(page, '[data-part="sheet-balance"]');
    expect(balance).toContain('Front bar: Kantholz Stab 10, front thread');
    expect(balance).toContain('bare bow hung in the shop');
    expect(balance).toContain('After the shot it stays (with these bars)');
    await visit(page, `${shop.url}/jobs/${jobId}/sheet/2`);
    await reads(page, '2800 g');
  });
});

describe('Whole packages', () => {
  test('three side by side; one not wanted is replaced; the balanced one is taken in one go', async () => {
    const { page, jobId } = await open('Ove', 'kit', 'Whole packages side by side');
    const before = (await shop.snapshot(jobId)).parts;
    await click(page, 'aria/Whole packages side by side[role="link"]');
    await reads(page, 'Balanced', '[data-part="packages"]');
    await reads(page, 'What more money buys');
    const names = () =>
      page.$$eval('[data-part="package"]:last-child [data-part="place-name"]', (nodes) =>
        nodes.map((n) => n.textContent!),
      );
    const sight = (await names())[0]!;
    await click(page, `aria/Not ${sight}: show what comes instead[role="button"]`);
    await reads(page, `without ${sight}`, '[data-part="without"]');
    await until(
      page,
      (gone) => {
        const first = document.querySelector(
          '[data-part="package"]:last-child [data-part="place-name"]',
        );
        return first !== null && first.textContent !== gone;
      },
      {},
      sight,
    );
    const wanted = await names();
    await click(page, '[data-part="package"]:last-child header button');
    await reads(page, wanted[0]!, '[data-part="slots"]');
    const labels = (await shop.snapshot(jobId)).parts.map(({ label }) => label);
    for (const name of wanted) expect(labels).toContain(name);
    expect(labels).toContain('his own thumb release');
    await page.keyboard.press('z');
    await until(page, (name) => !document.body.innerText.includes(name), {}, wanted[1]!);
    expect((await shop.snapshot(jobId)).parts).toEqual(before);
  });
});
