import { HANDOVER_CAUTIONS, LOOKS, type JobSnapshot } from '@/core/job';
import { OWN_BOW_ID } from '@/core/bow';
import { homePage, typedOf } from '@/core/elsewhere';
import { jobTotal } from '@/core/quote';
import { derive } from '@/core/job';
import type { SheetDocument } from '@/core/sheet';
import { aBow, aShop } from '@/core/testing/fixtures';
import type { Db } from '@/data/db';
import { saveShopSettings } from '@/data/settings';
import { sheetDocument } from '@/data/sheets';
import { allBows, bowById, insertBow } from '@/data/stock';
import { piecesInShop } from '@/data/bow-pieces';
import { pretendNow } from '../clock';
import { loadSnapshot } from '../load-snapshot';
import type { Problem } from '../problem';
import { registerView } from '../register';
import { bowsFor } from '../stock';
import { problemOf } from '../testing/problem-of';
import { createJob, runCommand } from '.';
import { newDb } from '../testing/new-db';

let db: Db;
let job: JobSnapshot['job'];
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = newDb();
  insertBow(db, aBow({ stock: 2 }));
  job = createJob({ who: 'T', archer: { name: 'Nele' }, job: {} }, db).job;
});
afterEach(() => {
  db.close();
  pretendNow(null);
});
const now = (id = job.id) => loadSnapshot(id, db)!;
const send = (command: object, id = job.id) =>
  runCommand(id, { version: now(id).job.version, who: 'T', command }, db);
const later = (day: string) => pretendNow(new Date(`${day}T09:00:00Z`));
const LISTED = { kind: 'listed', bowId: 'test-31-r' };
const TOLD = {
  ...{ kind: 'told', maker: 'Nordvik', model: 'Strandläufer', hand: 'right', camSystem: 'twoCam' },
  ...{ shortest: '26', longest: '30', step: 'half', bothCams: true },
  ...{ heaviest: '60', lightest: '', maxTurns: '', letOff: '', ratedSpeed: '' },
  ...{ brace: '6 1/2', axles: '32', mass: '1900' },
  ...{ restMounts: ['plungerBolt'], sightMounts: ['sidePlate'], quiverMounts: [] },
};
const bring = (bow: object = LISTED, came = 'box') => send({ name: 'bringBow', came, bow });
const look = (place: string, seen = 'sound', words = '') =>
  send({ name: 'noteLook', place, seen, words });
const lookAll = () => LOOKS.forEach(({ id }) => look(id));
const read = (key: string, entered: string) =>
  send({ name: 'takeReadings', readings: [{ key, entered }] });

describe('a bow from elsewhere', () => {
  test('of a kind the shop knows: costs nothing, is taken from no shelf, and is put back as before', () => {
    const brought = bring();
    expect(brought.job.elsewhere).toEqual({ came: 'box', look: {}, leftOut: [] });
    expect(brought.bowHeld).toMatchObject({ priceCents: 0, serial: null });
    expect(bowsFor('another', db)[0]!.bow.stock).toBe(2);
    expect(jobTotal(brought, derive(brought)).bowCents).toBe(0);
    expect(send({ name: 'undo' })).toMatchObject({ bow: null, job: { elsewhere: null } });
    expect(send({ name: 'redo' }).job.elsewhere).not.toBeNull();
    // A bow of the shop in its place is looked over by the shop.
    const shops = send({ name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
    expect([shops.job.elsewhere, shops.bowHeld!.condition]).toEqual([null, 'new']);
    expect(bowsFor('another', db)[0]!.bow.stock).toBe(1);
  });

  test('in no list: written down, what cannot be told is named, and it is offered to nobody', () => {
    const { bow } = bring(TOLD);
    expect(bow).toMatchObject({
      ...{ maker: 'Nordvik', brought: true, maxTurns: null, letOff: 0.8 },
      untold: ['rating', 'letOff', 'lightest'],
    });
    expect(bow!.modules).toHaveLength(9);
    // 60 lb and 10 lb less.
    expect(bow!.maxPeakN).toBeCloseTo(266.9, 1);
    expect(bow!.minPeakN).toBeCloseTo(222.4, 1);
    expect(bow!.braceHeightMm).toBeCloseTo(165.1, 1);
    expect(allBows(db).map(({ id }) => id)).toEqual(['test-31-r']);
    expect(bowById(db, bow!.id)).toMatchObject({ brought: true });
    // No speed is predicted from a rating nobody knows.
    expect(derive(now()).context.predictedSpeed).toBeNull();
  });

  test.each<[string, object, string]>([
    ['brace', { brace: '' }, 'not-told'],
    ['mass', { mass: '0' }, 'not-told'],
    ['heaviest', { heaviest: 'heavy' }, 'not-told'],
    ['heaviest', { heaviest: '600 lb' }, 'not-told'],
    ['letOff', { letOff: '180' }, 'not-told'],
    ['lightestN', { lightest: '70' }, 'weights-contradict'],
    ['longestMm', { shortest: '30', longest: '26' }, 'lengths-contradict'],
    ['axles', { axles: '32 lb' }, 'not-told'],
  ])('%s as %j is told at its field, nothing is half kept', (field, wrong, reason) => {
    const problem = problemOf(() => bring({ ...TOLD, ...wrong }));
    expect([problem.reason, problem.more.errors![0]!.pointer]).toEqual([
      reason,
      `/command/bow/${field}`,
    ]);
    expect(now().bow).toBeNull();
  });

  test.each([
    ['shortest', '500 mm', '499 mm'],
    ['longest', '900 mm', '901 mm'],
    ['heaviest', '10 lb', '9.9 lb'],
    ['heaviest', '100 lb', '100.1 lb'],
    ['lightest', '4 lb', '3.9 lb'],
    ['maxTurns', '20', '21'],
    ['brace', '90 mm', '89 mm'],
    ['brace', '300 mm', '301 mm'],
    ['axles', '1200 mm', '1201 mm'],
    ['mass', '500 g', '499 g'],
    ['mass', '4000 g', '4001 g'],
    ['ratedSpeed', '120 m/s', '121 m/s'],
  ])('%s can be %s, and not %s', (field, most, beyond) => {
    const toldAs = (text: string): string[] => {
      try {
        bring({ ...TOLD, [field]: text });
        return ['taken'];
      } catch (error) {
        const { reason, more } = error as Problem;
        return [reason, more.errors![0]!.pointer];
      }
    };
    // What does not go with the other figures is another refusal.
    expect(toldAs(most)).not.toContain('not-told');
    expect(toldAs(beyond)).toEqual(['not-told', `/command/bow/${field}`]);
  });

  test('the limit of turns is told at last: look and readings stay; taken back it is as before', () => {
    bring(TOLD);
    look('limbs');
    const told = { ...TOLD, maxTurns: '6', letOff: '80 %' };
    expect(send({ name: 'retellBow', bow: told })).toMatchObject({
      bow: { maxTurns: 6, untold: ['rating', 'lightest'] },
      job: { elsewhere: { look: { limbs: { seen: 'sound' } } } },
    });
    expect(send({ name: 'undo' }).bow!.maxTurns).toBeNull();
    expect(send({ name: 'redo' }).bow!.maxTurns).toBe(6);
    const typed = { kind: 'told', ...typedOf(now().bow!, now().shop.units) };
    const again = send({ name: 'retellBow', bow: typed });
    expect(again.bow).toEqual({ ...now().bow, priceCents: 0 });
    expect(again.bow).toMatchObject({ maxTurns: 6, letOff: 0.8 });
    expect(again.bow!.modules.map(({ drawLengthMm }) => drawLengthMm)).toEqual(
      Array.from({ length: 9 }, (_, i) => expect.closeTo(660.4 + 12.7 * i, 6)),
    );
    // A bow of the shop's list is not retold here.
    bring();
    expect(problemOf(() => send({ name: 'retellBow', bow: TOLD })).reason).toBe('not-brought');
  });

  test('drawn beside others it is drawn: not before it was looked over', () => {
    bring();
    insertBow(db, aBow({ id: 'other-33-r', model: 'Other 33' }));
    const off = { name: 'startDrawOff', bowIds: [OWN_BOW_ID, 'other-33-r'] };
    expect(problemOf(() => send(off)).reason).toBe('not-looked-over');
  });

  test('of the other hand it is refused', () => {
    expect(problemOf(() => bring({ ...TOLD, hand: 'left' })).reason).toBe('wrong-hand');
    expect(problemOf(() => bring({ kind: 'listed', bowId: 'nothing' })).reason).toBe('unknown-bow');
  });
});

describe('nobody draws it yet', () => {
  test('until every place was looked at; what is read at rest is taken all the same', () => {
    bring();
    expect(problemOf(() => read('peakWeight', '50')).reason).toBe('not-looked-over');
    expect(problemOf(() => read('limbTurnsUpper', '2')).reason).toBe('not-looked-over');
    expect(
      problemOf(() => send({ name: 'takeTear', right: '1', up: '1', distance: '2 m' })).reason,
    ).toBe('not-looked-over');
    expect(read('serialNumber', 'X-1').readings).toHaveLength(1);
    expect(read('foundBrace', '165 mm').readings).toHaveLength(2);
    expect(read('armSpan', '70').fitReadings).toHaveLength(1);
    lookAll();
    expect(read('peakWeight', '50').readings).toHaveLength(3);
  });

  test('a cracked limb stops everything, the handover too, until it is looked at again', () => {
    bring();
    lookAll();
    expect(problemOf(() => look('limbs', 'unsound')).reason).toBe('no-reason');
    look('limbs', 'unsound', 'crack at the tip');
    expect(problemOf(() => read('peakWeight', '50')).reason).toBe('stopped-by-look');
    for (const { id } of HANDOVER_CAUTIONS) send({ name: 'acknowledge', cautionId: id, yes: true });
    expect(problemOf(() => send({ name: 'handOver', openReason: 'a test' })).reason).toBe(
      'stopped-by-look',
    );
    look('limbs', 'sound', 'both limbs replaced');
    expect(read('peakWeight', '50').readings).toHaveLength(1);
    send({ name: 'undo' });
    send({ name: 'undo' });
    expect(problemOf(() => read('peakWeight', '50')).reason).toBe('stopped-by-look');
  });

  test('worn servings are seen to on the way', () => {
    bring();
    lookAll();
    look('servings', 'unsound', 'parted at the nock');
    expect(read('peakWeight', '50').readings).toHaveLength(1);
  });

  test('a bow of the shop has no such look', () => {
    send({ name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
    expect(problemOf(() => look('limbs')).reason).toBe('not-brought');
    expect(problemOf(() => send({ name: 'chooseService', leftOut: [] })).reason).toBe(
      'not-brought',
    );
  });
});

describe('what of the work is wanted', () => {
  test('steps left out belong to the job no more and cost nothing; some are always done', () => {
    saveShopSettings(db, aShop({ quote: { ...now().shop.quote, hourCents: 6000 } }));
    bring();
    const ids = () => derive(now()).plan.steps.map(({ id }) => id);
    const minutes = () => jobTotal(now(), derive(now())).workMinutes;
    const before = minutes();
    expect(ids()).toContain('twists');
    send({ name: 'chooseService', leftOut: ['twists', 'rest'] });
    expect(ids()).not.toContain('twists');
    // Twists take 6 minutes, the rest 9.
    expect(before - minutes()).toBe(15);
    expect(problemOf(() => send({ name: 'chooseService', leftOut: ['tracks'] })).reason).toBe(
      'always-done',
    );
    expect(problemOf(() => send({ name: 'chooseService', leftOut: ['nothing'] })).reason).toBe(
      'unknown-step',
    );
  });

  test('the page for home: what keys can do, and what wants the shop', () => {
    bring(TOLD);
    expect(homePage(now(), derive(now()))).toBeNull();
    send({ name: 'chooseService', leftOut: ['twists', 'rest', 'limbBolts'] });
    const blocks = homePage(now(), derive(now()))!.blocks;
    const titles = (id: string) =>
      blocks.find((block) => block.id === id)!.rows.map((row) => row[0]!.text);
    expect(titles('steps')).toEqual(['Mount the rest']);
    // Without a known limit nobody turns the bolts.
    expect(titles('notAtHome')).toEqual([
      'Turn the limb bolts and weigh',
      'Twist the string for the rest of the draw length',
    ]);
  });
});

test('it leaves like any other: on its sheet as brought along, in the register, as no bow of the shop', () => {
  bring(LISTED, 'used');
  read('serialNumber', 'OLD-7');
  lookAll();
  for (const { id } of HANDOVER_CAUTIONS) send({ name: 'acknowledge', cautionId: id, yes: true });
  send({ name: 'handOver', openReason: 'a test' });
  const sheet = sheetDocument(db, job.id, 1) as SheetDocument;
  expect(sheet.bow).toMatchObject({ brought: true, condition: 'used', serial: 'OLD-7' });
  expect(bowById(db, 'test-31-r')!.stock).toBe(2);
  expect(piecesInShop(db)).toEqual([]);
  expect(registerView({}, db).rows).toMatchObject([{ serial: 'OLD-7', stringDay: null }]);

  // The same number on a bow of the shop is a slip; on one that changed hands it leads to where it left.
  later('2026-11-25');
  const second = createJob({ who: 'T', archer: { name: 'Ole' }, job: {} }, db).job;
  send({ name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' }, second.id);
  const number = { name: 'takeReadings', readings: [{ key: 'serialNumber', entered: 'OLD-7' }] };
  expect(problemOf(() => send(number, second.id)).reason).toBe('serial-twice');
  send({ name: 'bringBow', came: 'used', bow: LISTED }, second.id);
  expect(send(number, second.id).sameSerial).toEqual([{ jobId: job.id, number: job.number }]);
});
