import { derive, type JobSnapshot } from '@/core/job';
import { setupValue, type SetupKey } from '@/core/setup';
import { codeText, type SheetDocument } from '@/core/sheet';
import { twinCount, twinRows } from '@/core/twin';
import { click, pageText, pasted, reads, until, visit } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
/** The bow that left. */
let first: string;
let sheet: SheetDocument;
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
  first = await shop.jobOf('Aino');
  sheet = await shop.get<SheetDocument>(`/api/v1/jobs/${first}/sheets/1`);
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

async function done(jobId: string, command: object): Promise<JobSnapshot> {
  const answer = await shop.command(jobId, command);
  expect([command, answer.status, answer.body]).toEqual([command, 200, answer.body]);
  return answer.body as JobSnapshot;
}

/** A setting of a sheet as it is entered again. */
function entry({ key, text, si }: SheetDocument['settings'][number], serial: string) {
  const value = setupValue(key as SetupKey);
  if (key === 'serialNumber') return { key, entered: serial };
  if (value.kind === 'check') return { key, entered: 'done' };
  if (value.kind === 'choice')
    return { key, entered: text, choice: value.choices!.find(({ name }) => name === text)!.id };
  if (value.kind === 'turns') return { key, entered: String(si) };
  // Read from the nock's groove to the plunger hole, as the board is read.
  if (value.added) return { key, entered: `${si! - value.added} mm` };
  return {
    key,
    entered: text
      .replace(/^[A-Z0-9-]+ = /, '')
      .replace(/ at .* turns?$/, '')
      .replace('−', '-'),
  };
}

test('a spare bow is made like the first, in the order named, with one visit to the press', async () => {
  const { archer, bow, parts } = await shop.snapshot(first);
  const made = await shop.send('/api/v1/jobs', {
    archerId: archer.id,
    archer: {},
    job: {},
  });
  const { id } = (made.body as { job: { id: string } }).job;

  // The model is taken on the screen, of the archer's own bows.
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${id}/bow?part=like`);
  await click(page, 'aria/Take as the model: Almveit Grauspecht 34, ticket 1001, sheet 1');
  await reads(page, 'Almveit Grauspecht 34, right hand', 'main');
  await done(id, { name: 'chooseBow', bowId: bow!.id, reason: 'a spare' });
  for (const { slot, item, label } of parts)
    await done(id, {
      ...{ name: 'choosePart', slot, itemId: item?.id ?? null },
      ...{ owned: item === null, label: item ? '' : label },
    });
  await visit(page, `${shop.url}/jobs/${id}/bow?part=like`);
  const named = await page.$$eval('[data-part="twin-actions"] > li', (rows) =>
    rows.map((row) => (row as HTMLElement).dataset.action),
  );
  expect(named).toEqual(['length', 'weight', 'nock', 'peep', 'sight', 'arrow', 'bars', 'marks']);
  const words = await pageText(page);
  expect(words).toContain('One visit to the press');
  expect(words).toContain('Put in 3 twists of the string');

  // Worked off as the bench says, with the model's numbers.
  const stations: string[] = [];
  const order: string[] = [];
  for (let snapshot = await shop.snapshot(id); ; snapshot = await shop.snapshot(id)) {
    const { plan } = derive(snapshot);
    const next = plan.visits[0]?.steps[0];
    const step = plan.steps.find((one) => one.id === next);
    if (!step || step.template.stage === 'lane' || step.template.stage === 'handover') break;
    if (stations.at(-1) !== step.template.station) stations.push(step.template.station);
    const wanted = step.values
      .filter(({ reading, stale }) => reading === null || stale !== null)
      .map(({ key }) => key);
    const readings = wanted.map((key) => {
      const setting = sheet.settings.find((one) => one.key === key);
      if (!setting) throw new Error(`${step.id} asks for ${key}, which the sheet does not have`);
      return entry(setting, 'GR-34-2000');
    });
    order.push(...wanted);
    await done(id, { name: 'takeReadings', readings });
  }
  expect(stations.filter((station) => station === 'press')).toHaveLength(1);
  const at = (key: string) => order.indexOf(key);
  const inOrder = [
    'moduleBottom',
    'peakWeight',
    'loop',
    'peepHeight',
    'drawLength',
    'peepTrueHeight',
  ];
  expect(inOrder.map(at)).toEqual([...inOrder.map(at)].sort((a, b) => a - b));

  // Everything that is read on the bench is alike; bars and lane are still to come.
  const snapshot = await shop.snapshot(id);
  const rows = twinRows(snapshot, derive(snapshot));
  expect(rows.filter(({ standing }) => standing === 'off')).toEqual([]);
  expect(twinCount(rows).same).toBeGreaterThanOrEqual(15);
  await visit(page, `${shop.url}/jobs/${id}/like`);
  const both = await pageText(page);
  expect(both).toContain('Two bows alike');
  expect(both).toMatch(/Draw length at the wall.*27\s*3\s*\/\s*4 in/s);
  const pdf = await shop.ask(`/api/v1/jobs/${id}/like?paper=LETTER`);
  expect(pdf.headers.get('content-type')).toBe('application/pdf');
});

test('a card read elsewhere becomes the model of a job here', async () => {
  const code = codeText(sheet)!;
  const page = await shop.page();
  await visit(page, `${shop.url}/code`);
  await pasted(page, '#code-text', code.replace('sheet 1001.1', 'sheet 4711.2'));
  await reads(page, 'Numbers of the code');
  const job = await shop.jobOf('Ilse');
  await page.select('#code-job', job);
  await click(page, 'aria/To that job');
  await click(page, 'aria/Take this code');
  await reads(page, 'The card of ticket 4711, sheet 2');
  const { job: now } = await shop.snapshot(job);
  expect(now.like).toMatchObject({ source: 'code', bow: { name: 'Almveit Grauspecht 34' } });
});

test('a file that is no build sheet is told and nothing is taken', async () => {
  const job = await shop.jobOf('Teodor');
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${job}/bow?part=like`);
  for (const [name, text, says] of [
    ['half.json', '{"format":', 'cannot be read as JSON'],
    ['other.json', '{"format":"another"}', 'no build sheet of this program'],
    ['large.json', `"${'x'.repeat(1_000_001)}"`, 'larger than any build sheet'],
  ] as const) {
    await page.evaluate(
      (fileName, content) => {
        const input = document.querySelector<HTMLInputElement>('#model-file')!;
        const list = new DataTransfer();
        list.items.add(new File([content], fileName, { type: 'application/json' }));
        input.files = list.files;
        input.dispatchEvent(new Event('change', { bubbles: true }));
      },
      name,
      text,
    );
    await reads(page, says);
  }
  expect((await shop.snapshot(job)).job.like).toBeNull();
});

test('the register: a bow is found by its number, told shots bring it back sooner, a recall finds it by part', async () => {
  const page = await shop.page();
  await visit(page, `${shop.url}/delivered`);
  await page.type('#register-find', 'GR-34-1187');
  // A form of the page's own: another page comes, nothing is saved.
  await Promise.all([page.waitForNavigation(), page.click('form[role="search"] button')]);
  await reads(page, 'Aino Ruusu', '[data-part="delivered"]');
  await visit(page, `${shop.url}/jobs/${first}/handover`);
  await page.type('#shots-told', '310');
  await click(page, 'aria/Note[role="button"]');
  await reads(page, 'Asked for today');
  await visit(page, `${shop.url}/delivered?show=due`);
  await reads(page, 'today due', '[data-part="delivered"]');
  await visit(page, `${shop.url}/delivered?q=Kiebitz`);
  await click(page, 'aria/Rohrdommel Kiebitz: on one bow');
  await reads(page, 'Aino Ruusu', '[data-part="delivered"]');
  const file = await shop.ask(`/api/v1/delivered?part=rest-kiebitz`);
  expect(file.headers.get('content-type')).toContain('text/csv');
  expect(await file.text()).toContain('GR-34-1187');
});

test('another limb opens a visit with just what rests on it', async () => {
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${first}/handover`);
  await click(page, 'aria/Other limb[role="button"]');
  await click(page, 'aria/Open the visit[role="button"]');
  await reads(page, 'In the shop since');
  const keys = await page.$$eval('[data-part="visit"] > li', (rows) =>
    rows.map((row) => (row as HTMLElement).dataset.key),
  );
  expect(keys).toEqual(
    expect.arrayContaining(['peakWeight', 'braceHeight', 'timing', 'fasteners']),
  );
  // The peep hangs on length and string, the sight on nothing of it: only what follows is asked for.
  expect(keys).not.toContain('secondAxis');
  expect(keys).not.toContain('loop');
  await visit(page, `${shop.url}/delivered`);
  await reads(page, 'in the shop', '[data-part="delivered"]');
});

test('a box bow with a cracked limb is stopped; a sound one is looked over and set up', async () => {
  const made = await shop.send('/api/v1/jobs', {
    archer: { name: 'Nele Brandis' },
    job: {},
  });
  const { id } = (made.body as { job: { id: string } }).job;
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${id}/bow`);
  await click(page, 'aria/They bring their own bow');
  const fields = {
    maker: 'Nordvik',
    model: 'Strandläufer',
    heaviest: '60',
    shortest: '26',
    longest: '30',
    brace: '6 1/2',
    axles: '32',
    mass: '1900',
  };
  await reads(page, 'Written down');
  for (const [field, text] of Object.entries(fields)) await page.type(`#told-${field}`, text);
  await click(page, 'aria/Take it in as written[role="button"]');
  await reads(page, '12 places are still to be looked at');
  await reads(page, 'it is weighed, not turned');
  await click(page, 'aria/Not sound[role="button"]');
  await page.type('#look-limbs', 'crack at the upper tip');
  await click(page, 'aria/Note it[role="button"]');
  await reads(page, 'limbs not sound (crack at the upper tip)');

  // The whole job is told so, and nothing drawn is taken.
  await visit(page, `${shop.url}/jobs/${id}/lane?part=paper`);
  await reads(page, 'Nobody draws it: limbs not sound', '[data-part="not-drawn"]');
  const peak = { name: 'takeReadings', readings: [{ key: 'peakWeight', entered: '55' }] };
  expect((await shop.command(id, peak)).status).toBe(422);

  // Its limbs were replaced: looked at again, then every other place, by taps.
  await visit(page, `${shop.url}/jobs/${id}/bow?part=own`);
  await click(page, 'aria/Look again: Limbs');
  for (let i = 0; i < 12; i++) {
    const place = await page.$eval('[data-place]', (node) => (node as HTMLElement).dataset.place);
    await click(page, `[data-place="${place}"] button[value="sound"]`);
    await until(
      page,
      (was) => document.querySelector('[data-place]')?.getAttribute('data-place') !== was,
      {},
      place,
    );
  }
  await reads(page, 'Looked over and sound');
  await click(page, 'aria/Rest[role="button"]');
  await click(page, 'aria/Sight[role="button"]');
  await reads(page, 'Missing to shoot it: peep, loop, arrows, release.');
  await click(page, '#service-twists');
  await click(page, '#service-sight');
  await click(page, 'aria/Page for home');
  await reads(page, 'To do at home');
  await reads(page, 'Mount the sight');
  await reads(page, 'Wants a press');
  expect((await shop.ask(`/api/v1/jobs/${id}/at-home`)).headers.get('content-type')).toBe(
    'application/pdf',
  );
  // It is set up like any other, and weighed rather than turned.
  await done(id, { name: 'takeReadings', readings: [{ key: 'moduleBottom', entered: '28' }] });
  await done(id, peak);
  await visit(page, `${shop.url}/jobs/${id}/bow?part=bolts`);
  expect(await pageText(page)).toContain('55');
  const { bowHeld, job } = await shop.snapshot(id);
  expect([bowHeld!.priceCents, job.elsewhere!.leftOut]).toEqual([0, ['twists', 'sight']]);
  expect((await shop.get<{ name: string }[]>('/api/v1/find?q=Strandl')).length).toBe(1);
});
