import { aBow } from '@/core/testing/fixtures';
import { drawnNow, drawOffOrder, forceCurvePoints, OWN_BOW_ID, rankDrawOff } from '@/core/bow';
import { oldLetOff } from '@/core/fit';
import { derive, drawnBows, oldBowFigures, speedInput, type JobSnapshot } from '@/core/job';
import { mm, newton } from '@/core/units';
import type { Db } from '@/data/db';
import { newestCurves } from '@/data/curves';
import { insertBow } from '@/data/stock';
import { pretendNow } from '../clock';
import { Problem } from '../problem';
import { createJob, runCommand } from '.';
import { newDb } from '../testing/new-db';

let db: Db;
let job: JobSnapshot;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = newDb();
  for (const id of ['a', 'b', 'c']) insertBow(db, aBow({ id, model: `Probe ${id}` }));
  insertBow(db, aBow({ id: 'left', hand: 'left' }));
  job = createJob({ who: 'T. Okoro', archer: { name: 'Runa' }, job: {} }, db);
});
afterEach(() => {
  pretendNow(null);
  db.close();
});

function send(command: Record<string, unknown>): JobSnapshot {
  job = runCommand(job.job.id, { version: job.job.version, who: 'T. Okoro', command }, db);
  return job;
}
function refusal(command: Record<string, unknown>) {
  try {
    send(command);
  } catch (error) {
    if (error instanceof Problem)
      return { reason: error.reason, pointer: error.more.errors?.[0]?.pointer };
    throw error;
  }
  throw new Error('It was taken');
}
const mark = (aspect: string, first: string, second: string, better: string | null) => ({
  name: 'markDrawOff',
  aspect,
  first,
  second,
  better,
});

describe('the draw-off', () => {
  test('bows stand in the archer’s own order; a mark is kept, and taken back', () => {
    send({ name: 'startDrawOff', bowIds: ['a', 'b', 'c'] });
    expect(job.job.drawOff!.bowIds).toEqual(drawOffOrder(job.archer.id, ['a', 'b', 'c']));
    send(mark('grip', 'a', 'b', 'b'));
    send({ name: 'setDrawOff', speedCounts: true });
    expect(job.job.drawOff).toMatchObject({ speedCounts: true, marks: [{ better: 'b' }] });
    send({ name: 'undo' });
    send({ name: 'undo' });
    expect(job.job.drawOff).toMatchObject({ speedCounts: false, marks: [] });
  });
  test('their own bow is drawn beside the shop’s, with its length and its let-off', () => {
    send({
      name: 'takeReadings',
      readings: [
        { key: 'oldPeak', entered: '50 lb' },
        { key: 'oldHolding', entered: '10 lb' },
        { key: 'oldAxle', entered: '33 in' },
      ],
    });
    send({ name: 'startDrawOff', bowIds: ['a', OWN_BOW_ID] });
    send(mark('grip', 'a', OWN_BOW_ID, OWN_BOW_ID));
    const drawn = drawnBows(
      job.job.drawOff!.bowIds,
      ['a', 'b'].map((id) => aBow({ id })),
      oldBowFigures(job.fitReadings),
    )!;
    const own = drawn.find(({ id }) => id === OWN_BOW_ID)!;
    expect(own).toMatchObject({ name: 'their own bow', bow: null });
    expect(own.axleToAxleMm).toBeCloseTo(838.2, 6);
    expect(own.letOff).toBeCloseTo(0.8, 6);
    expect(drawn.find(({ id }) => id === 'a')).toMatchObject({ letOff: aBow().letOff });
    const ranking = rankDrawOff(job.job.drawOff!, { a: 90 });
    expect(ranking.ok && ranking.places[0]!.bowId).toBe(OWN_BOW_ID);
  });
  test('no let-off where a weight is missing or they contradict; none where a bow is gone', () => {
    expect(oldLetOff({ oldPeak: 200 })).toBeNull();
    expect(oldLetOff({ oldPeak: 100, oldHolding: 120 })).toBeNull();
    expect(drawnBows(['gone', OWN_BOW_ID], [], {})).toBeNull();
    expect(drawnBows([OWN_BOW_ID], [], {})).toMatchObject([{ axleToAxleMm: null, letOff: null }]);
  });
  test('a bow more keeps the marks; a bow less keeps its marks for when it comes back', () => {
    send({ name: 'startDrawOff', bowIds: ['a', 'b'] });
    send(mark('draw', 'a', 'b', null));
    send({ name: 'startDrawOff', bowIds: ['a', 'b', 'c'] });
    expect(job.job.drawOff!.marks).toHaveLength(1);
    send({ name: 'startDrawOff', bowIds: ['a', 'c'] });
    // They count for nothing meanwhile, and again when it is drawn once more.
    expect(drawnNow(job.job.drawOff!).marks).toEqual([]);
    send({ name: 'startDrawOff', bowIds: ['a', 'b'] });
    expect(drawnNow(job.job.drawOff!).marks).toHaveLength(1);
    send({ name: 'endDrawOff' });
    expect(job.job.drawOff).toBeNull();
    send({ name: 'undo' });
    expect(job.job.drawOff!.bowIds).toHaveLength(2);
  });
  test.each([
    [{ name: 'startDrawOff', bowIds: ['a'] }, 'invalid-input'],
    [{ name: 'startDrawOff', bowIds: ['a', 'a'] }, 'invalid-input'],
    [{ name: 'startDrawOff', bowIds: ['a', 'zzz'] }, 'unknown-bow'],
    [{ name: 'startDrawOff', bowIds: ['a', 'left'] }, 'wrong-hand'],
    [mark('grip', 'a', 'b', 'b'), 'no-draw-off'],
    [{ name: 'endDrawOff' }, 'no-draw-off'],
  ])('refused %j', (command, reason) => {
    const before = job.job.version;
    expect(refusal(command)).toMatchObject({ reason });
    expect(job.job.version).toBe(before);
  });
  test.each([
    [mark('grip', 'a', 'a', 'a'), 'same-bow'],
    [mark('grip', 'a', 'b', 'c'), 'unknown-bow'],
    [mark('grip', 'a', 'c', 'c'), 'unknown-bow'],
    [mark('speed', 'a', 'b', 'a'), 'invalid-input'],
  ])('a mark that cannot be is refused %#', (command, reason) => {
    send({ name: 'startDrawOff', bowIds: ['a', 'b'] });
    expect(refusal(command)).toMatchObject({ reason });
  });
});

describe('a logged curve', () => {
  const points = forceCurvePoints(
    {
      drawLengthMm: mm(698.5),
      peakN: newton(200),
      braceHeightMm: mm(165),
      letOff: 0.8,
      character: 'balanced',
    },
    60,
  );
  const keep = (of: readonly object[] = points) =>
    send({ name: 'keepCurve', source: 'device', points: of });

  test('needs a bow, stays with the bow, is undone', () => {
    expect(refusal({ name: 'keepCurve', source: 'file', points })).toMatchObject({
      reason: 'no-bow',
    });
    send({ name: 'chooseBow', bowId: 'a' });
    keep();
    expect(job.curves).toHaveLength(1);
    expect(job.curves[0]).toMatchObject({ bowId: 'a', source: 'device', who: 'T. Okoro' });
    expect(job.curves[0]!.points).toEqual(points);
    expect(newestCurves(db).map(({ bowId }) => bowId)).toEqual(['a']);
    send({ name: 'undo' });
    expect(job.curves).toEqual([]);
    expect(newestCurves(db)).toEqual([]);
  });
  test('another job with the same bow sees it', () => {
    send({ name: 'chooseBow', bowId: 'a' });
    keep();
    job = createJob({ who: 'T. Okoro', archer: { name: 'Ove' }, job: {} }, db);
    send({ name: 'chooseBow', bowId: 'a' });
    expect(job.curves).toHaveLength(1);
    expect(derive(job).context.curve!.peakN).toBeCloseTo(200, 3);
  });
  test('speaks for the speed where it was logged at this setting, not elsewhere', () => {
    send({ name: 'chooseBow', bowId: 'a' });
    send({ name: 'setGoal', goal: 'peakWeight', entered: '200 N', reason: 'a test' });
    send({ name: 'setGoal', goal: 'moduleStep', entered: '27 1/2', reason: 'a test' });
    send({ name: 'takeReadings', readings: [{ key: 'arrowMass', entered: '24 g' }] });
    keep();
    expect(speedInput(derive(job).context)!.storedEnergyJ).toBeGreaterThan(20);
    send({ name: 'setGoal', goal: 'peakWeight', entered: '230 N', reason: 'a test' });
    expect(speedInput(derive(job).context)!.storedEnergyJ).toBeUndefined();
  });
  test('one that goes back, or is too short, is refused and nothing is kept', () => {
    send({ name: 'chooseBow', bowId: 'a' });
    expect(
      refusal({ name: 'keepCurve', source: 'file', points: points.slice(0, 5) }),
    ).toMatchObject({
      reason: 'too-few-points',
    });
    const back = [...points.slice(0, 20), points[4]!, ...points.slice(21)];
    expect(refusal({ name: 'keepCurve', source: 'file', points: back })).toMatchObject({
      reason: 'draw-goes-back',
      pointer: '/command/points/20',
    });
    expect(job.curves).toEqual([]);
  });
});

describe('readings of the archer', () => {
  const take = (key: string, entered: string, more: object = {}) =>
    send({ name: 'takeReadings', readings: [{ key, entered, ...more }] });
  test('a trial keeps how long it was held', () => {
    take('weightTrial', '45', { choice: 'smooth', entered2: '12.5' });
    expect(job.fitReadings[0]).toMatchObject({ outcome: 'smooth', si2: 12.5, choice: null });
    expect(
      refusal({
        name: 'takeReadings',
        readings: [{ key: 'weightTrial', entered: '45', choice: 'smooth', entered2: '500' }],
      }),
    ).toMatchObject({ reason: 'tooLarge', pointer: '/command/readings/0/entered2' });
  });
  test('a look at full draw: the bow in hand, then what is seen; a new look starts anew', () => {
    take('postureBow', '28');
    take('posture.lean', '', { choice: 'tooLong' });
    take('posture.anchor', '', { choice: 'tooLong' });
    take('wallToMouth', '28');
    expect(derive(job).posture).toMatchObject({ asks: 'shorter' });
    expect(derive(job).posture.contradiction).toContain('contradict');
    take('postureBow', '27 1/2');
    expect(derive(job).posture).toMatchObject({ asks: 'nothing', contradiction: null });
    expect(
      refusal({
        name: 'takeReadings',
        readings: [{ key: 'posture.lean', entered: '', choice: '?' }],
      }),
    ).toMatchObject({ reason: 'unknown-choice' });
  });
  test('the old bow’s weight becomes the target, within what the new one can be set to', () => {
    take('oldPeak', '50');
    expect(derive(job).context).toMatchObject({ peakReason: 'As the old bow they like' });
    take('oldPeak', '70');
    send({ name: 'chooseBow', bowId: 'a', reason: 'a test' });
    expect(derive(job).context).toMatchObject({
      peakTargetN: 267,
      peakReason: 'The bow’s heaviest setting, under the old bow’s',
    });
    take('oldPeepToPin', '29 1/2');
    expect(derive(job).context.oldBow.oldPeepToPin).toBeCloseTo(749.3, 6);
    expect(
      refusal({ name: 'takeReadings', readings: [{ key: 'oldMass', entered: '9000 g' }] }),
    ).toMatchObject({ reason: 'tooLarge' });
  });
  test('an archer who comes again brings what was found before', () => {
    take('armSpan', '69');
    send({ name: 'chooseBow', bowId: 'a' });
    const first = job;
    job = createJob({ who: 'T. Okoro', archerId: first.archer.id, archer: {}, job: {} }, db);
    expect(job.earlier).toHaveLength(1);
    expect(job.earlier[0]).toMatchObject({ jobId: first.job.id, bow: 'Testhav Probe a' });
    expect(job.earlier[0]!.readings).toEqual([
      { key: 'armSpan', si: expect.closeTo(1752.6, 6), entered: '69 in' },
    ]);
    expect(first.earlier).toEqual([]);
  });
});
