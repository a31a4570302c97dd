import type { Page } from 'puppeteer-core';
import { hiddenArcher, simulatedHold } from '@/core/hold';
import { derive, jobBalance } from '@/core/job';
import { gram, newtonMm } from '@/core/units';
import { click, find, pageText, reads, settled, until, visit } from './hands';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('demo', { staysOpen: true });
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

const steady = (page: Page, id: string, query: string) =>
  visit(page, `${shop.url}/jobs/${id}/steady?${query}`);
const balanceOf = async (id: string) => {
  const snapshot = await shop.snapshot(id);
  const derived = derive(snapshot);
  return { snapshot, derived, balance: jobBalance(snapshot, derived, snapshot.bow!) };
};
const command = (id: string, body: object) => shop.command(id, body);

/** Types a lean and takes it. */
async function hang(page: Page, id: string, point: string, lean: string) {
  await steady(page, id, `part=weigh&value=${point}`);
  await (await find(page, 'aria/Lean of the string[role="textbox"]')).click({ count: 3 });
  await page.keyboard.type(lean);
  await page.keyboard.press('Enter');
}

/** Taps what the bow did, and notes it. */
async function shot(page: Page, id: string, reaction: string) {
  await steady(page, id, 'part=reaction');
  await click(page, `[data-reaction="${reaction}"]`);
  const before = (await balanceOf(id)).balance.neutral.tries.length;
  await click(page, '[data-part="note-reaction"]');
  await settled(page);
  expect((await balanceOf(id)).balance.neutral.tries).toHaveLength(before + 1);
}

/** The end of a bar in a view, in px of the page. */
const endOf = (page: Page, view: string, name: string) =>
  page.$eval(`[data-view="${view}"] [aria-label^="${name}"] circle`, (node) => {
    node.scrollIntoView({ block: 'center' });
    const { x, y, width, height } = node.getBoundingClientRect();
    return { x: x + width / 2, y: y + height / 2 };
  });

test('a left-handed bow is hung, shot bare, its bars are chosen and mounted, and it stays', async () => {
  const id = await shop.jobOf('Teodor');
  const page = await shop.page();

  // A lean nothing hangs at is refused at the field, and stays there.
  await hang(page, id, 'hangAxle', '80');
  await reads(page, 'Too large for the lean');
  expect(await page.$eval('[data-dock] input', (node) => (node as HTMLInputElement).value)).toBe(
    '80',
  );
  await hang(page, id, 'hangAxle', '21');
  await reads(page, 'one hang gives a line, not a point');
  // From the thread with the same lean the lines hardly cross.
  await hang(page, id, 'hangThread', '20');
  await reads(page, 'The plumb lines hardly cross');
  await hang(page, id, 'hangThread', '8');
  await reads(page, 'hung here');
  const hung = (await balanceOf(id)).balance.bare;
  expect(hung.centreFrom).toBe('hung');
  expect(await page.$('[data-part="balance"] ellipse')).not.toBeNull();

  // What is listed adds up to less than the scale says: it asks what is missing.
  await steady(page, id, 'part=weigh');
  await (await find(page, 'aria/Mass, ready to shoot[role="textbox"]')).focus();
  await page.keyboard.type('2700');
  await page.keyboard.press('Enter');
  await reads(page, 'more than is listed');

  await steady(page, id, 'part=bars');
  await reads(page, 'Not shot yet');
  await shot(page, id, 'left-clear+back');
  await shot(page, id, 'left-clear+back');
  const { neutral } = (await balanceOf(id)).balance;
  expect(neutral.tries.map(({ bars }) => bars)).toEqual([false, false]);

  await steady(page, id, 'part=bars');
  await find(page, '[data-offer="steadiest"]');
  await reads(page, 'combinations of what is in stock');
  await click(page, '[data-offer="steadiest"] button');
  const seen = await pageText(page, '[data-part="balance-figures"]');
  expect(seen).toContain('Tried on the drawing');
  // A rear bar of a left-handed bow stands to the right.
  const { x: end } = await endOf(page, 'behind', 'Rear bar');
  const plumb = await page.$eval(
    '[data-view="behind"] path',
    (node) => node.getBoundingClientRect().x,
  );
  expect(end).toBeGreaterThan(plumb + 4);

  await click(page, '[data-part="mount"]');
  await reads(page, 'As mounted');
  const { balance, derived, snapshot } = await balanceOf(id);
  expect(balance.mounted?.rear).not.toBeNull();
  expect(derived.kit.rearBar?.item?.id).toBe(balance.mounted!.rear!.bar.id);
  expect(balance.now.props.massG).toBeLessThanOrEqual(3600);
  expect(snapshot.readings.filter(({ key }) => /^(front|rear)/.test(key)).length).toBeGreaterThan(
    5,
  );

  await shot(page, id, 'still');
  await shot(page, id, 'still');
  await steady(page, id, 'part=bars');
  await reads(page, 'Quiet', '[data-part="balance-verdict"]');

  // A quiver that comes late asks for all of it again.
  const quiver = await command(id, {
    name: 'choosePart',
    slot: 'quiver',
    itemId: 'quiver-kocher-funf',
    owned: false,
    label: '',
  });
  expect(quiver.status).toBe(200);
  await steady(page, id, 'part=bars');
  await reads(page, 'another quiver was chosen');
  // What is to be done again is a tap away, in its own part of the stage.
  await click(page, 'aria/why[role="button"]');
  await find(page, '[role="dialog"] a[href*="steady?part=reaction"]');
  const stale = (await balanceOf(id)).derived.plan.stale.map(({ key }) => key);
  expect(stale).toEqual(
    expect.arrayContaining(['frontBar', 'rearBar', 'steadyTip', 'bareReaction']),
  );
});

test('a bar is swung by finger and by key, notch by notch, and put back', async () => {
  const id = await shop.jobOf('Teodor');
  const page = await shop.page();
  await steady(page, id, 'part=bars');
  const name = 'Rear bar, from behind';
  const angle = () =>
    page.$eval(`[aria-label="${name}"]`, (node) => node.getAttribute('aria-valuetext')!);
  const before = (await balanceOf(id)).balance.mounted!.rear!;
  await page.$eval(`[aria-label="${name}"]`, (node) => (node as SVGElement).focus());
  const [there, back] =
    before.sideDeg > 0 ? ['ArrowLeft', 'ArrowRight'] : ['ArrowRight', 'ArrowLeft'];
  const was = await angle();
  const roll = () => page.$eval('[data-figure="roll"]', (node) => node.textContent);
  const rolled = await roll();
  await page.keyboard.press(there as 'ArrowLeft');
  expect(await angle()).not.toBe(was);
  expect(await roll()).not.toBe(rolled);
  await page.keyboard.press(back as 'ArrowRight');
  expect(await angle()).toBe(was);
  await page.keyboard.press(before.discs ? '-' : '+');
  await until(
    page,
    (label, text) =>
      document.querySelector(`[aria-label="${label}"]`)!.getAttribute('aria-valuetext') !== text,
    {},
    name,
    was,
  );

  // By the hand: as far in as it goes.
  const from = await endOf(page, 'behind', 'Rear bar');
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x - 200, from.y, { steps: 8 });
  await page.mouse.up();
  expect(await angle()).not.toContain(`out ${before.sideDeg}°`);
  // Over a reload what was tried is still there; one tap brings the mounted bars back.
  const tried = await angle();
  await page.reload();
  await find(page, `[aria-label="${name}"]`);
  await until(
    page,
    (label, text) =>
      document.querySelector(`[aria-label="${label}"]`)!.getAttribute('aria-valuetext') === text,
    {},
    name,
    tried,
  );
  await reads(page, 'Let the teeth go');
  await click(page, 'aria/Back to what is mounted[role="button"]');
  expect(await angle()).toBe(was);
});

test('what cannot be is refused with what to do, and nothing is saved', async () => {
  const id = await shop.jobOf('Ilse');
  const none = { front: null, rear: null };
  const bar = {
    thread: 0,
    barId: 'stabiliser-stab-8',
    mountId: null,
    downDeg: 0,
    sideDeg: 0,
    slideMm: 0,
    discId: null,
    discs: 0,
  };
  const count = async () => (await shop.snapshot(id)).readings.length;
  const before = await count();
  for (const [body, says] of [
    [
      {
        name: 'takeReaction',
        tip: 'left',
        tipHow: 'clear',
        pitch: 'stays',
        pitchHow: 'slight',
        bars: true,
        quiver: 'off',
      },
      'which bars are mounted',
    ],
    [{ name: 'mountBars', ...none, front: { ...bar, barId: 'nobody' } }, 'no front bar'],
    [{ name: 'mountBars', ...none, front: { ...bar, downDeg: 10 } }, 'stands straight'],
    [{ name: 'mountBars', ...none, front: { ...bar, thread: 7 } }, 'no such thread'],
    [
      { name: 'mountBars', ...none, front: { ...bar, discId: 'weights-drei', discs: 19 } },
      'at most',
    ],
    [{ name: 'takeHang', point: 'hangThird', lean: '5', bare: true, quiver: 'off' }, 'throat'],
    [{ name: 'takeReadings', readings: [{ key: 'frontBar', entered: 'a bar' }] }, 'stage Steady'],
    [{ name: 'takeReadings', readings: [{ key: 'hangAxle', entered: '5' }] }, 'stage Steady'],
    [{ name: 'takeHang', point: 'hangAxle', lean: 'NaN', bare: true, quiver: 'off' }, 'NaN'],
  ] as const) {
    const answer = await command(id, body);
    expect([says, answer.status]).toEqual([says, 422]);
    expect(JSON.stringify(answer.body)).toContain(says);
  }
  expect(await count()).toBe(before);
});

test('the aim is measured live, kept, played, left out; two ways are told apart only where they are', async () => {
  const id = await shop.jobOf('Aino');
  const page = await shop.page();
  await steady(page, id, 'part=aim');
  await reads(page, 'No shot yet');
  await click(page, '[data-part="listen"]');
  await find(page, '[data-part="keep-aim"]');
  await click(page, '[data-part="keep-aim"]');
  await reads(page, 'mrad', '[data-part="one-aim"]');
  await reads(page, '1 of 5');
  await click(page, 'aria/Slowly[role="button"]');
  await find(page, '[data-part="one-aim"] svg circle[class*="now"]');

  // Shots as the sensor would send them, sixteen of each question: once with a true difference, once with none.
  const archer = hiddenArcher(9);
  const post = async (
    topic: string,
    ways: readonly [string, string],
    awayOf: (way: string) => number,
    seed: number,
  ) => {
    for (let i = 0; i < 16; i++) {
      const way = i % 4 === 0 || i % 4 === 3 ? ways[0] : ways[1];
      const { samples, releaseS } = simulatedHold({
        archer,
        bow: { massG: gram(2800), steadiness: 1.4, awayNmm: newtonMm(awayOf(way)) },
        shot: i,
        seed: seed + i,
        holdS: 3,
        rateHz: 60,
      });
      const answer = await command(id, {
        name: 'keepAim',
        topic,
        way,
        device: null,
        releaseS,
        samples: {
          t: samples.map(({ tS }) => tS),
          r: samples.map(({ rightMrad }) => rightMrad),
          u: samples.map(({ upMrad }) => upMrad),
        },
      });
      expect(answer.status).toBe(200);
    }
  };
  await post('setUps', ['a', 'b'], (way) => (way === 'a' ? 420 : 20), 100);
  await post('kneeling', ['standing', 'kneeling'], () => 60, 700);
  const choose = (topic: string) => page.select('#aim-topic', topic);
  await steady(page, id, 'part=aim');
  await choose('setUps');
  await reads(page, 'Stiller set-up B than set-up A');
  await reads(page, 'show a tenth');
  await reads(page, 'Next: set-up A');
  await choose('kneeling');
  await reads(page, 'No difference shown');
  await reads(page, 'That is a full answer');

  await page.type('#aim-out', 'a gust of wind');
  await click(page, 'aria/Leave out[role="button"]');
  await reads(page, 'left out: a gust of wind');
  await click(page, 'aria/Take in again[role="button"]');
  await until(page, () => !document.body.innerText.includes('left out:'));
});
