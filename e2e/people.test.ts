import type { Page } from 'puppeteer-core';
import {
  answered,
  click,
  find,
  type Hands,
  keyboard,
  pageText,
  reads,
  until,
  visit,
} from './hands';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

/** A new job, met by the conversation: a question is answered or put off, and the next one comes. */
class Person {
  page!: Page;
  jobId = '';
  hands!: Hands;

  async arrives(name: string, hand: 'right' | 'left', minor = false): Promise<void> {
    const page = await shop.page();
    this.page = page;
    this.hands = keyboard(page);
    await visit(page, shop.url);
    await click(page, 'aria/New job n[role="button"]');
    await (await find(page, '#new-name')).type(name);
    if (hand === 'left') await click(page, '[role="dialog"] button[value="left"]');
    if (minor) await click(page, '[role="dialog"] button[value="minor"]');
    await click(page, 'aria/Open the job[role="button"]');
    await until(page, () => location.pathname.endsWith('/meet'));
    this.jobId = /jobs\/([^/]+)/.exec(page.url())![1]!;
    await this.asks('Who is it, and how do we reach you?');
  }

  asks = (question: string) => reads(this.page, question, '[data-open]');

  /** Answers the open question by typing into one of its fields, without leaving it. */
  async says(id: string, text: string): Promise<void> {
    await (await find(this.page, `[data-open] #${id}`)).click();
    await this.page.keyboard.type(text);
  }

  async picks(value: string): Promise<void> {
    await click(this.page, `[data-open] button[value="${value}"]`);
  }

  async next(then?: string): Promise<void> {
    await click(this.page, 'aria/Next question .[role="button"]');
    if (then) await this.asks(then);
  }

  async later(then: string): Promise<void> {
    await click(this.page, 'aria/Ask later[role="button"]');
    await this.asks(then);
  }

  snapshot = () => shop.snapshot(this.jobId);

  async goes(path: string, words: string): Promise<void> {
    await visit(this.page, `${shop.url}/jobs/${this.jobId}/${path}`);
    await reads(this.page, words);
  }

  async number(label: string, text: string): Promise<void> {
    await this.hands.number(label, text);
  }

  async trial(weight: string, outcome: string): Promise<void> {
    await this.hands.numberOnly('Weight of the trial bow', weight);
    await click(this.page, `aria/${outcome}[role="button"]`);
    await reads(this.page, `${weight} lb`, '[data-part="trial-rows"]');
  }

  /** From the bow as it stands to the start weight: the field already stands at the plan's turns. */
  async setsBolts(weigh: (turns: number) => number): Promise<void> {
    await this.goes('bow?part=bolts', 'Peak weight on the scale');
    for (let i = 0; i < 5; i++) {
      if ((await pageText(this.page, 'main')).includes('Nothing to turn')) return;
      const turns = await this.page.$eval(
        '[data-part="stepper"] input',
        (node) => (node as HTMLInputElement).value,
      );
      const [whole, fraction] = turns.trim().split(/[ \u00a0]+/);
      const part = fraction ?? (whole!.includes('/') ? whole! : '0');
      const [over, under] = part.split('/').map(Number);
      const at = (whole!.includes('/') ? 0 : Number(whole)) + (under ? over! / under : 0);
      await this.number('Peak weight on the scale', weigh(at).toFixed(1));
    }
    await reads(this.page, 'On target');
  }
}

test('a new adult: conversation, two methods that disagree and are measured again, a bow set', async () => {
  const adult = new Person();
  await adult.arrives('Mirja Sollund', 'right');
  const { page } = adult;
  await adult.says('phone', '0151 555 0201');
  await adult.next('What do you want to shoot?');
  await adult.picks('field');
  await adult.next('Have you shot before?');
  await reads(page, 'The first trial is near', '[data-open]');
  await adult.next('Does anything hurt');
  await adult.says('injury', 'left elbow');
  await page.keyboard.press('Tab');
  await reads(page, 'lower; stop at the first pain', '[data-open]');
  await adult.next('Which hand draws');
  await adult.later('How far, at the most?');
  await adult.says('furthest', '50 m');
  await adult.next('Is it often dim there?');
  await adult.picks('yes');
  await reads(page, 'fewer and larger pins', '[data-open]');
  await adult.next('Do rules bind you');
  await adult.later('What do you let go with?');
  await adult.picks('thumb');
  await reads(page, 'A firm wall is looked for', '[data-open]');
  await adult.next('What do you have already?');
  await adult.next('What may it cost');
  await adult.says('budget', '1900');
  await adult.next('When do you need it?');
  await adult.later('Anything else?');
  // The last question gone past, those put off come again.
  await adult.next('Which hand draws');
  const { job, archer } = await adult.snapshot();
  expect(archer).toMatchObject({ injury: 'left elbow', release: 'thumb', phone: '0151 555 0201' });
  expect(job).toMatchObject({ lowLight: true, furthestM: 50, budgetCents: 190000 });
  expect(job.skipped).toEqual(['hand', 'rules', 'dates']);
  await reads(page, 'Injury told: left elbow', '[data-part="margin"]');

  await click(page, 'aria/Test the eye in Fit[role="link"]');
  for (const eye of ['right eye', 'left eye', 'right eye'])
    await click(page, `aria/${eye}[role="button"]`);
  await reads(page, '2 of 3: the right eye aims.');
  expect((await adult.snapshot()).archer.dominantEye).toBe('right');

  await adult.goes('fit', 'Arm span');
  await adult.number('Arm span', '72');
  await adult.number('Wall to mouth', '26');
  await reads(page, 'the methods disagree', '[data-part="parts-aside"]');
  await reads(page, 'two cannot tell which of them is wrong');
  // Read again far from before: it is asked which of the two is wrong.
  await click(page, 'aria/Measure arm span[role="button"]');
  await adult.number('Arm span', '66');
  await reads(page, 'Arm span, read again');
  await answered(page, 'The first was wrong');
  await click(page, 'aria/Measure wall to mouth[role="button"]');
  await adult.number('Wall to mouth', '27 1/4');
  await answered(page, 'The first was wrong');
  await reads(page, '2 methods agree', '[data-part="parts-aside"]');
  await reads(page, 'nearest', '[data-part="module-rows"]');

  await adult.goes('fit?part=weight', 'Time the hold');
  await click(page, 'aria/Time the hold[role="button"]');
  await new Promise((resolve) => setTimeout(resolve, 1300));
  await click(page, 'aria/Stop[role="button"]');
  await adult.trial('30', 'Smooth');
  // However long a slow machine took to stop it: that it was a second at least is asked below.
  await reads(page, 'held ', '[data-part="trial-rows"]');
  await adult.trial('35', 'Smooth');
  await adult.trial('40', 'Strained');
  expect((await adult.snapshot()).fitReadings.find(({ si2 }) => si2 !== null)!.si2).toBeGreaterThan(
    1,
  );

  await adult.goes('bow?part=choose', 'in the shop fit');
  await reads(page, 'a cable stop, softer wall; a firm one is wanted');
  await click(page, 'aria/Take this bow: Torvik Wellenläufer[role="button"]');
  await click(page, '[aria-label="Bottom cam"] [data-wanted="yes"]');
  await adult.setsBolts((turns) => 50.6 - 3.4 * turns);
  await reads(page, 'all in', '[data-part="rail"] a:nth-child(3)');

  await adult.goes('kit?slot=sight', 'often dim: fewer, larger pins are seen longer');
});

test('a minor with guardian: looked at, started low, drawn against the legal figure nobody assumes', async () => {
  const child = new Person();
  await child.arrives('Tove Rask', 'right', true);
  const { page } = child;
  await child.says('guardianName', 'Ragna Rask');
  await child.picks('12to15');
  await child.next('What do you want to shoot?');
  await reads(page, 'A minor: Ragna Rask decides', '[data-part="margin"]');
  await child.next('Have you shot before?');
  await child.picks('slight');
  await child.next('Does anything hurt');
  expect((await child.snapshot()).archer).toMatchObject({ ageBand: '12to15', build: 'slight' });

  await child.goes('fit', 'Arm span');
  await child.number('Arm span', '60');
  await child.number('Wall to mouth', '24 1/2');
  await reads(page, '2 methods agree', '[data-part="parts-aside"]');
  await child.goes('fit?part=posture', 'The eye judges the bow in hand');
  await child.number('Draw length of the bow in hand', '24 1/2');
  for (const place of ['Bow arm', 'Drawing elbow', 'Shoulders']) {
    await reads(page, place, '[data-part="look-title"]');
    await click(page, '[data-part="looks"] [data-seen="right"]');
  }
  await reads(page, 'The eye is content with this length.');
  await child.goes('fit?part=weight', 'Weight of the trial bow');
  await child.trial('15', 'Smooth');
  await child.trial('20', 'Smooth');
  await child.goes('bow?part=choose', 'in the shop fit');
  await click(page, 'aria/Take this bow: Almveit Zeisig 27[role="button"]');
  await click(page, '[aria-label="Bottom cam"] [data-wanted="yes"]');
  await child.setsBolts((turns) => 40.4 - 2.2 * turns);
  await reads(page, 'all in', '[data-part="rail"] a:nth-child(3)');
  // Room to grow has days, and the growth starts from this bow.
  await child.goes('fit?part=weight', 'Room to grow');
  await reads(page, 'Each step only after the hold test');
});

test('a left-handed archer with a right eye: told, and the hand follows the eye or not', async () => {
  const lefty = new Person();
  await lefty.arrives('Sanna Lohse', 'left');
  const { page } = lefty;
  await lefty.goes('fit?part=eye', 'Three times, like this');
  await click(page, 'aria/right eye[role="button"]');
  await reads(page, 'Two alike settle it.');
  await click(page, 'aria/right eye[role="button"]');
  await reads(page, 'Left hand, right eye: how to go on');
  await reads(page, 'Shoot from the eye’s side');
  await click(page, '[data-part="ways"] li:nth-child(2) button');
  expect((await lefty.snapshot()).archer).toMatchObject({ hand: 'left', eyeHandling: 'closeEye' });
  await lefty.goes('meet?ask=hand', 'Which hand draws, which eye aims?');
  await reads(page, 'Hand and eye do not match', '[data-open]');

  await lefty.goes('fit', 'Arm span');
  await lefty.number('Arm span', '69');
  await lefty.number('Wall to mouth', '27 3/4');
  await lefty.goes('fit?part=posture', 'Draw length of the bow in hand');
  await lefty.number('Draw length of the bow in hand', '27 1/2');
  await find(page, '[data-part="archer"][style*="scaleX(-1)"]');
  await click(page, '[data-part="looks"] [data-seen="tooLong"]');
  await click(page, '[data-part="looks"] [data-seen="tooLong"]');
  await reads(page, 'Number and eye contradict each other');
  await lefty.goes('fit', 'contradict each other');
  await lefty.goes('fit?part=weight', 'Weight of the trial bow');
  await lefty.trial('40', 'Smooth');
  await lefty.trial('45', 'Smooth');
  await lefty.goes('bow?part=choose', 'in the shop fit');
  await click(page, 'aria/Take this bow: Sundhav Fjordling 31[role="button"]');
  await click(page, '[aria-label="Top cam"] [data-wanted="yes"]');
  await click(page, '[aria-label="Bottom cam"] [data-wanted="yes"]');
  expect((await lefty.snapshot()).bow!.hand).toBe('left');
  await lefty.setsBolts((turns) => 60.8 - 2.6 * turns);
  await reads(page, 'all in', '[data-part="rail"] a:nth-child(3)');
});

test('an archer who brings an old bow: it is the target, down to peep and pin', async () => {
  const old = new Person();
  await old.arrives('Henrik Tarp', 'right');
  const { page } = old;
  await old.goes('meet?ask=own', 'What do you have already?');
  await click(page, 'aria/Measure the bow they like[role="link"]');
  await reads(page, 'True draw length');
  for (const [label, text] of [
    ['True draw length', '26 1/8'],
    ['Peak weight', '52'],
    ['Holding weight', '12'],
    ['Peep above the arrow', '119 mm'],
    ['Peep to pin', '29 3/8'],
    ['Peep on the string', '6 1/4'],
    ['Brace height', '6 3/4'],
    ['Axle to axle', '33'],
    ['Mass, as it is shot', '2310'],
  ] as const)
    await old.number(label, text);
  const { fitReadings } = await old.snapshot();
  expect(fitReadings).toHaveLength(9);
  expect(fitReadings.at(-1)).toMatchObject({ key: 'oldMass', si: 2310 });

  await old.goes('fit?part=weight', 'Weight of the trial bow');
  await old.trial('45', 'Smooth');
  await old.goes('fit?part=old', 'Talk about it before the new one is set as heavy');
  await old.goes('bow?part=choose', 'in the shop fit');
  await click(page, 'aria/Take this bow: Sundhav Fjordling 31[role="button"]');
  await click(page, '[aria-label="Top cam"] [data-wanted="yes"]');
  await click(page, '[aria-label="Bottom cam"] [data-wanted="yes"]');
  await old.goes('bow?part=bolts', 'As the old bow they like');
  await reads(page, '52 lb', '[data-part="goal-line"]');
  await old.setsBolts((turns) => 60.4 - 2.5 * turns);
  await reads(page, 'all in', '[data-part="rail"] a:nth-child(3)');
});

test('somebody who was here before is found, with bow and readings, and the bow can be the target', async () => {
  const page = await shop.page();
  await visit(page, shop.url);
  await page.keyboard.press('n');
  await find(page, '#new-name');
  await (await find(page, '#new-name')).type('aino rusu');
  await click(page, '[data-part="known"] button');
  await until(page, () => location.pathname.endsWith('/meet'));
  await reads(page, 'Here before', '[data-part="margin"]');
  await reads(page, 'Almveit Grauspecht 34', '[data-part="earlier"]');
  await reads(page, 'build sheet', '[data-part="earlier"]');
  await reads(page, 'known', '[data-part="conversation"]');
  await click(page, 'aria/Take it as the bow they like[role="button"]');
  await reads(page, 'Taken as the bow they like.');
  const jobId = /jobs\/([^/]+)/.exec(page.url())![1]!;
  const { fitReadings, earlier } = await shop.snapshot(jobId);
  expect(earlier).toHaveLength(1);
  expect(fitReadings.map(({ key }) => key)).toEqual(
    expect.arrayContaining(['fittingBow', 'oldPeak', 'oldPeepToPin', 'oldPeepTrueHeight']),
  );
});

test('who thought better of it: the ticket is closed, asked for nowhere, found, and opened as it stood', async () => {
  const jobId = await shop.jobOf('Ove');
  const page = await shop.page();
  await visit(page, `${shop.url}/jobs/${jobId}/meet`);
  const before = await shop.snapshot(jobId);
  await click(page, 'aria/This ticket came to nothing …[role="button"]');
  await (await find(page, '#reason')).type('buys from a friend');
  await page.keyboard.press('Enter');
  await reads(page, 'This ticket is closed. buys from a friend.', '[data-part="closed"]');
  await reads(page, 'no bow chosen yet', '[data-part="map"]');
  expect((await shop.snapshot(jobId)).bow).toBeNull();

  // Another tablet that has not heard of it is told, and enters nothing.
  const refused = await shop.command(jobId, { name: 'setAnswers', job: { notes: 'late' } });
  expect(JSON.stringify(refused)).toContain('This ticket is closed');
  await visit(page, shop.url);
  await reads(page, 'Noor');
  expect(await pageText(page)).not.toContain('Ove Lindqvist');
  await page.keyboard.press('/');
  await (await find(page, '#find')).type('lindqvist');
  await reads(page, 'came to nothing', '[data-part="found"]');
  await page.keyboard.press('Enter');
  await until(page, () => location.pathname.includes('/jobs/'));
  await click(page, 'aria/Open it again, as it stood[role="button"]');
  await until(page, () => !document.querySelector('[data-part="closed"]'));
  const after = await shop.snapshot(jobId);
  expect([after.bow?.id, after.parts]).toEqual([before.bow!.id, before.parts]);
  await visit(page, shop.url);
  await reads(page, 'Ove Lindqvist');
});
