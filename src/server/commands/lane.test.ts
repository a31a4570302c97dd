import { aBow, anItem } from '@/core/testing/fixtures';
import { confirmedShots, derive, jobMarks, type JobSnapshot } from '@/core/job';
import { latest } from '@/core/setup';
import { metre } from '@/core/units';
import type { Db } from '@/data/db';
import { insertBow, insertItem } from '@/data/stock';
import { pretendNow } from '../clock';
import { Problem } from '../problem';
import { createJob, runCommand } from '.';
import { newDb } from '../testing/new-db';

let db: Db;
let job: JobSnapshot;
type Body = Record<string, unknown> & { name: string };

function send(command: Body): JobSnapshot {
  job = runCommand(job.job.id, { version: job.job.version, who: 'T. Okoro', command }, db);
  return job;
}
const take = (key: string, entered: string, more: object = {}) =>
  send({ name: 'takeReadings', readings: [{ key, entered, ...more }] });
const history = () => derive(job).history;

/** What a refused command says; nothing of it may be kept. */
function refusal(command: Body) {
  const rows = db.prepare('SELECT count(*) FROM reading').pluck().get();
  try {
    send(command);
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    expect(db.prepare('SELECT count(*) FROM reading').pluck().get()).toBe(rows);
    return {
      status: error.status,
      reason: error.reason,
      message: error.message,
      pointer: error.more.errors?.[0]?.pointer,
    };
  }
  throw new Error('It was taken');
}

beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = newDb();
  insertBow(db, aBow());
  insertItem(db, anItem('arrows', {}, { id: 'arrows' }));
  insertItem(db, anItem('sight', {}, { id: 'sight' }));
  job = createJob({ who: 'T. Okoro', archer: { name: 'Runa' }, job: {} }, db);
  send({ name: 'chooseBow', bowId: 'test-31-r' });
  for (const slot of ['arrows', 'sight'])
    send({ name: 'choosePart', slot, itemId: slot, owned: false, label: '' });
});
afterEach(() => {
  pretendNow(null);
  db.close();
});

/** What marks hang on. */
function ready() {
  for (const [key, entered] of [
    ['moduleTop', '27 1/2'],
    ['drawLength', '657.55mm'],
    ['peakWeight', '190N'],
    ['arrowMass', '24.6g'],
    ['peepTrueHeight', '118mm'],
    ['peepToPin', '750mm'],
    ['centreShot', '20.6mm'],
    ['nockHeight', '1mm'],
  ])
    take(key!, entered!);
}
const shots = (...entered: string[]) => ({
  name: 'takeSpeeds',
  shots: entered.map((text) => ({ entered: text, device: null, discarded: null })),
});
const round = [
  [20, -8],
  [-16, 12],
  [3, 19],
  [-9, -18],
].map(([rightMm, upMm]) => ({ rightMm, upMm }));
const high = (by: number) => round.map((hit) => ({ ...hit, upMm: hit.upMm! + by }));
const group = (distance: string, hits: object[], more: object = {}) => ({
  name: 'takeGroup',
  distance,
  hits,
  ...more,
});

describe('tears and moves', () => {
  test('a tear keeps its paper’s distance', () => {
    send({ name: 'takeTear', right: '-14', up: '3', distance: '2.2 m' });
    expect(job.readings.at(-1)).toMatchObject({
      key: 'paperTear',
      si: -14,
      si2: 3,
      data: { kind: 'tear', distanceM: 2.2 },
    });
  });
  test.each([
    [{ right: 'left', up: '0', distance: '2 m' }, '/command/right'],
    [{ right: '0', up: '900', distance: '2 m' }, '/command/up'],
    [{ right: '0', up: '0', distance: '' }, '/command/distance'],
  ])('%j is refused at its field', (body, pointer) =>
    expect(refusal({ name: 'takeTear', ...body }).pointer).toBe(pointer),
  );
  test('a move changes the value it stands for, says so, and is taken back whole', () => {
    ready();
    send({ name: 'movePaper', adjustment: 'restSideways', amount: 1.5 });
    expect(latest(history(), 'centreShot')).toMatchObject({ method: 'paper' });
    expect(latest(history(), 'centreShot')!.si).toBeCloseTo(19.1, 9);
    expect(job.events[0]!.summary).toContain('Centre shot');
    send({ name: 'movePaper', adjustment: 'camShim', amount: -2 });
    expect(latest(history(), 'leanFixUpper')!.si).toBe(-2);
    expect(latest(history(), 'leanFixLower')!.si).toBe(-2);
    send({ name: 'undo' });
    expect(history().has('leanFixUpper')).toBe(false);
    expect(history().has('leanFixLower')).toBe(false);
  });
  test('nothing moved, never measured, too far', () => {
    expect(refusal({ name: 'movePaper', adjustment: 'restSideways', amount: 0 }).reason).toBe(
      'no-move',
    );
    expect(refusal({ name: 'movePaper', adjustment: 'nockHeight', amount: 1 })).toMatchObject({
      reason: 'not-measured',
      pointer: '/command/adjustment',
    });
    ready();
    expect(refusal({ name: 'movePaper', adjustment: 'restSideways', amount: 12 }).status).toBe(400);
    expect(refusal({ name: 'movePaper', adjustment: 'loop', amount: 1 }).status).toBe(400);
  });
  test('bare shafts and a walk-back line', () => {
    ready();
    send({ name: 'takeBareShaft', distance: '18 m', right: '90', up: '-20' });
    expect(job.readings.at(-1)).toMatchObject({ key: 'bareShaft', si: 90, si2: -20 });
    expect(refusal({ name: 'takeBareShaft', distance: '70 m', right: '90', up: '0' }).pointer).toBe(
      '/command/distance',
    );
    const hits = ['10 m', '20 m', '30 m'].map((distance, i) => ({ distance, right: `${20 * i}` }));
    send({ name: 'takeWalkBack', hits });
    expect(job.readings.at(-1)).toMatchObject({
      key: 'walkBack',
      si: expect.closeTo(2, 6) as number,
    });
    expect(
      refusal({
        name: 'takeWalkBack',
        hits: hits.map((hit) => ({ ...hit, distance: '20 m' })),
      }),
    ).toMatchObject({ reason: 'too-few', pointer: '/command/hits' });
  });
});

describe('chronograph', () => {
  test('shots become one speed, those left out with their reason', () => {
    ready();
    send({
      name: 'takeSpeeds',
      shots: [
        { entered: '70 m/s', device: 'Chronograph, stand-in', discarded: null },
        { entered: '71 m/s', device: null, discarded: null },
        { entered: '61 m/s', device: 'Chronograph, stand-in', discarded: 'saw the vanes' },
      ],
    });
    const reading = job.readings.at(-1)!;
    expect(reading).toMatchObject({ key: 'arrowSpeed', si: 70.5, method: 'device' });
    expect(reading.data).toMatchObject({ arrowG: 24.6 });
    expect(reading.data?.kind === 'speeds' && reading.data.shots[2]!.discarded).toBe(
      'saw the vanes',
    );
  });
  test.each([
    ['30 fps', 'tooSmall'],
    ['900 fps', 'tooLarge'],
    ['fast', 'notANumber'],
  ])('%s is no speed', (entered, reason) => {
    const answer = refusal(shots('70 m/s', entered));
    expect(answer.pointer).toBe('/command/shots/1/entered');
    expect(answer.message.length).toBeGreaterThan(10);
    if (reason !== 'notANumber') expect(answer.reason).toBe(reason);
  });
  test('all left out is none; an arrow of another mass is another speed', () => {
    ready();
    const out = [{ entered: '70 m/s', device: null, discarded: 'wrong arrow' }];
    expect(refusal({ name: 'takeSpeeds', shots: out }).reason).toBe('none-left');
    send({ ...shots('66 m/s'), arrow: '28 g' });
    expect(job.readings.at(-1)).toMatchObject({ key: 'speedOther', si: 66, si2: 28 });
    // The scale says the job's own.
    send({ ...shots('70 m/s'), arrow: '24.7 g' });
    expect(job.readings.at(-1)).toMatchObject({ key: 'arrowSpeed' });
  });
});

describe('distances', () => {
  beforeEach(() => {
    ready();
    send(shots('70 m/s', '70.2 m/s', '69.9 m/s'));
  });
  const settle = () => send(group('18 m', round));

  test('the first one has to be on the aim; the hits are kept', () => {
    expect(refusal(group('18 m', high(120), { corrected: true })).message).toContain('shot in');
    settle();
    expect(job.readings.at(-1)).toMatchObject({ key: 'firstMark', si: 18 });
    expect(job.readings.at(-1)!.data).toMatchObject({ kind: 'group', hits: round });
  });
  test('another one is confirmed where the pin stood, or where it would have to', () => {
    expect(refusal(group('40 m', round, { pinDrop: '14' })).reason).toBe('no-first');
    settle();
    send(group('40 m', round, { pinDrop: '14.0 mm' }));
    expect(job.readings.at(-1)).toMatchObject({ key: 'markShot', si: 40, si2: 14 });
    expect(refusal(group('50 m', high(200), { pinDrop: '23' })).reason).toBe('not-settled');
    send(group('50 m', high(200), { pinDrop: '23', corrected: true }));
    // 201 mm high at 50 m with 750 mm of radius: the pin 3.0 mm up.
    expect(job.readings.at(-1)!.si2).toBeCloseTo(23 - (201.25 * 0.75) / 50.75, 3);
    expect(job.readings.at(-1)!.data).toMatchObject({ kind: 'mark' });
  });
  test('“the scale says 47 at a true 50” is a slower tape’s word', () => {
    settle();
    send({ name: 'takeMark', distance: '50 m', scale: '47 m', tapeSpeed: '70 m/s' });
    const reading = job.readings.at(-1)!;
    expect(reading.data).toMatchObject({ kind: 'mark', scaleM: 47 });
    const { fit, flight } = jobMarks(derive(job), [metre(50)]);
    if (!fit?.ok) throw new Error('no fit');
    // Less drop at the true distance: the arrow is faster than the tape thinks.
    expect(fit.speedMps).toBeGreaterThan(70.5);
    expect(flight!.speedMps).toBe(fit.speedMps);
    expect(
      refusal({ name: 'takeMark', distance: '60 m', scale: '58.8 m', tapeSpeed: '900 fps' })
        .pointer,
    ).toBe('/command/tapeSpeed');
    expect(refusal({ name: 'takeMark', distance: '60 m' }).reason).toBe('nothing-read');
  });
  test('bad marks: one distance twice, the wrong order, none that an arrow makes', () => {
    settle();
    expect(refusal({ name: 'takeMark', distance: '18.2 m', drop: '1' })).toMatchObject({
      reason: 'same-distance',
      pointer: '/command/distance',
    });
    expect(refusal({ name: 'takeMark', distance: '60 m', drop: '0.3' }).reason).toBe(
      'no-such-arrow',
    );
    send({ name: 'takeMark', distance: '40 m', drop: '14' });
    expect(refusal({ name: 'takeMark', distance: '60 m', drop: '12' })).toMatchObject({
      reason: 'wrong-order',
    });
    expect(refusal({ name: 'takeMark', distance: '60 m', drop: 'low' }).pointer).toBe(
      '/command/drop',
    );
    // The same distance again is the newer word for it.
    send({ name: 'takeMark', distance: '40 m', drop: '14.4' });
    expect(confirmedShots(derive(job)).map(({ dropMm }) => dropMm)).toEqual([0, 14.4]);
  });
  test('a reading is left out with a reason, and taken in again', () => {
    settle();
    send({ name: 'takeMark', distance: '40 m', drop: '14' });
    const { seq } = job.readings.at(-1)!;
    expect(refusal({ name: 'discardReading', seq, reason: ' ' }).status).toBe(400);
    send({ name: 'discardReading', seq, reason: 'wind from the side' });
    expect(confirmedShots(derive(job))).toHaveLength(1);
    expect(job.events[0]!.summary).toContain('wind from the side');
    expect(refusal({ name: 'discardReading', seq, reason: 'once more' }).reason).toBe('no-reading');
    send({ name: 'undo' });
    expect(confirmedShots(derive(job))).toHaveLength(2);
    // It stands where it stood, not as a new one.
    expect(job.readings.at(-1)!.seq).toBe(seq);
    send({ name: 'discardReading', seq, reason: 'wind after all' });
    expect(confirmedShots(derive(job))).toHaveLength(1);
  });
  test('peep to pin comes first', () => {
    const other = createJob({ who: 'T. Okoro', archer: { name: 'Ove' }, job: {} }, db);
    job = other;
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    expect(refusal(group('18 m', round)).reason).toBe('inputs-missing');
  });
});
