import { aBow } from '@/core/testing/fixtures';
import { derive, NO_WISHES, type JobSnapshot } from '@/core/job';
import { itemOf, type ArrowChoice } from '@/core/kit';
import { mm } from '@/core/units';
import type { Db } from '@/data/db';
import { insertBow } from '@/data/stock';
import { pretendNow } from '../clock';
import { Problem } from '../problem';
import { createJob, runCommand } from '.';
import { catalogueDb } from '../testing/new-db';

let db: Db;
let job: JobSnapshot;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = catalogueDb();
  insertBow(db, aBow());
  job = createJob({ who: 'T', archer: { name: 'Runa' }, job: {} }, db);
  send({ name: 'chooseBow', bowId: 'test-31-r' });
  send({ name: 'takeReadings', readings: [{ key: 'armSpan', entered: '69' }] });
  send({
    name: 'takeReadings',
    readings: [{ key: 'weightTrial', entered: '45', choice: 'smooth' }],
  });
});
afterEach(() => {
  db.close();
  pretendNow(null);
});

function send(command: object): JobSnapshot {
  job = runCommand(job.job.id, { version: job.job.version, who: 'T', command }, db);
  return job;
}
function refusal(command: object): Problem {
  const before = JSON.stringify(job);
  try {
    send(command);
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    expect(JSON.stringify(job)).toBe(before);
    return error;
  }
  throw new Error('It was taken');
}
const BUILD: ArrowChoice = {
  name: 'A',
  shaftId: 'shaft-halm-5',
  nockId: 'nock-rund',
  vaneId: 'vane-flach',
  vaneCount: 3,
  insertId: 'insert-alu',
  pointId: 'point-feld-100',
  lengthMm: mm(720),
  count: 12,
};
const build = (changes: Partial<ArrowChoice> = {}) =>
  send({ name: 'setArrows', builds: [{ ...BUILD, ...changes }] });

describe('arrows built here', () => {
  test('a build is kept, taken like a set with its price, and taken back', () => {
    build();
    expect(job.job.arrows.builds).toEqual([BUILD]);
    send({ name: 'takeArrows', build: 0 });
    expect(job.parts).toMatchObject([
      { slot: 'arrows', owned: false, priceCents: 11880, arrivesDay: null, build: BUILD },
    ]);
    // Every rule of the kit speaks of it like of a ready set.
    expect(itemOf(derive(job).kit, 'arrows')!.attrs).toMatchObject({ shaftLengthMm: 720 });
    expect(derive(job).findings.map(({ rule }) => rule.id)).toContain('arrow-spine');
    expect(send({ name: 'undo' }).parts).toEqual([]);
    expect(send({ name: 'undo' }).job.arrows.builds).toEqual([]);
  });

  test('more than lie in the shop are waited for', () => {
    build({ count: 144 });
    send({ name: 'takeArrows', build: 0 });
    expect(job.parts[0]!.arrivesDay).toBe('2026-11-27');
  });

  test.each([
    ['no such build', {}, 3, 'no-build'],
    ['a part that is gone', { nockId: 'gone' }, 0, 'part-gone'],
    ['a bore that does not match', { nockId: 'nock-schmal' }, 0, 'nock-bore'],
    ['cut too short to be safe', { lengthMm: mm(600) }, 0, 'too-short'],
    ['blades onto the shelf', { pointId: 'point-klinge-100' }, 0, 'fixed-blade'],
  ])('%s is refused, and nothing is taken', (_, changes, at, reason) => {
    if (reason === 'fixed-blade') {
      insertBow(db, aBow({ id: 'shallow', shelfMm: mm(10) }));
      send({ name: 'chooseBow', bowId: 'shallow', reason: 'a test' });
    }
    build(changes);
    expect(refusal({ name: 'takeArrows', build: at }).reason).toBe(reason);
  });

  test.each([
    { builds: [{ ...BUILD, vaneCount: 9 }] },
    { builds: [{ ...BUILD, lengthMm: 100 }] },
    { builds: [{ ...BUILD, count: 0 }] },
    { builds: Array(5).fill(BUILD) },
    { massesG: [1] },
    { massesG: ['heavy'] },
    { restAheadMm: 200 },
    { colour: 'red' },
  ])('%j is refused by its shape', (body) =>
    expect(refusal({ name: 'setArrows', ...body }).status).toBe(400),
  );

  test('masses and the rest’s place are kept beside the builds', () => {
    build();
    send({ name: 'setArrows', massesG: [24.5, 24.6] });
    send({ name: 'setArrows', restAheadMm: -12 });
    expect(job.job.arrows).toEqual({
      builds: [BUILD],
      massesG: [24.5, 24.6],
      restAheadMm: -12,
    });
    expect(send({ name: 'undo' }).job.arrows.restAheadMm).toBe(0);
  });
});

describe('wishes of the kit', () => {
  test('each is changed by itself, and undo takes the last one back', () => {
    send({ name: 'setKitWishes', wishes: { extra: ['sling'] } });
    send({ name: 'setKitWishes', wishes: { massLimitG: 2400 } });
    send({ name: 'setKitWishes', wishes: { without: ['rest-kiebitz'] } });
    expect(job.job.kitWishes).toEqual({
      ...NO_WISHES,
      extra: ['sling'],
      massLimitG: 2400,
      without: ['rest-kiebitz'],
    });
    expect(send({ name: 'undo' }).job.kitWishes.without).toEqual([]);
  });
  test.each([
    { extra: ['antenna'] },
    { extra: ['sling', 'sling'] },
    { massLimitG: 10 },
    { without: 'all' },
    { wish: 'gold' },
  ])('%j is refused', (wishes) =>
    expect(refusal({ name: 'setKitWishes', wishes }).status).toBe(400),
  );
});
