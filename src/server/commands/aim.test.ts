import { hiddenArcher, simulatedHold } from '@/core/hold';
import type { JobSnapshot } from '@/core/job';
import { aBow } from '@/core/testing/fixtures';
import { gram, newtonMm } from '@/core/units';
import type { Db } from '@/data/db';
import { insertBow } from '@/data/stock';
import { aims, aimTrace } from '../aims';
import { createJob, runCommand } from '.';
import { newDb } from '../testing/new-db';

let db: Db;
let job: JobSnapshot;
const send = (command: object) =>
  (job = runCommand(job.job.id, { version: job.job.version, who: 'T', command } as never, db));
beforeEach(() => {
  db = newDb();
  insertBow(db, aBow());
  job = createJob({ who: 'T', archer: { name: 'Runa' }, job: {} }, db);
  send({ name: 'chooseBow', bowId: 'test-31-r' });
});
afterEach(() => db.close());

const trace = (seed = 1) => {
  const { samples, releaseS } = simulatedHold({
    archer: hiddenArcher(4),
    bow: { massG: gram(2800), steadiness: 1.5, awayNmm: newtonMm(40) },
    shot: 0,
    seed,
    rateHz: 100,
  });
  return {
    releaseS,
    samples: {
      t: samples.map(({ tS }) => tS),
      r: samples.map(({ rightMrad }) => rightMrad),
      u: samples.map(({ upMrad }) => upMrad),
    },
  };
};
const keep = (changes: object = {}) =>
  send({ name: 'keepAim', topic: 'shots', way: 'shot', device: 'Sensor', ...trace(), ...changes });

describe('a shot aimed with a sensor', () => {
  test('is kept whole, read at once, and comes back with its trace', () => {
    keep();
    const [shot] = aims(job.job.id, db);
    expect(shot).toMatchObject({
      topic: 'shots',
      way: 'shot',
      device: 'Sensor',
      leftOut: '',
      refused: null,
    });
    expect(shot!.result!.hold.durationS).toBeGreaterThan(0.5);
    expect(aimTrace(job.job.id, String(shot!.id), db).samples).toEqual(trace().samples);
    expect(() => aimTrace(job.job.id, '9999', db)).toThrow();
    expect(() => aimTrace(job.job.id, '1; DROP', db)).toThrow();
  });
  test('is left out with a reason, taken in again, and every step of it undone and brought again', () => {
    keep();
    const { id } = aims(job.job.id, db)[0]!;
    send({ name: 'leaveOutAim', id, reason: 'a gust' });
    expect(aims(job.job.id, db)[0]!.leftOut).toBe('a gust');
    send({ name: 'undo' });
    expect(aims(job.job.id, db)[0]!.leftOut).toBe('');
    send({ name: 'redo' });
    expect(aims(job.job.id, db)[0]!.leftOut).toBe('a gust');
    send({ name: 'undo' });
    send({ name: 'undo' });
    expect(aims(job.job.id, db)).toEqual([]);
    send({ name: 'redo' });
    expect(aims(job.job.id, db)).toHaveLength(1);
  });
  test('one that never settled is kept, and says why nothing is read from it', () => {
    const { samples } = trace();
    keep({ releaseS: 0.1, samples });
    expect(aims(job.job.id, db)[0]).toMatchObject({
      result: null,
      refused: expect.stringMatching(/settled|samples|hold/) as string,
    });
  });
  test.each<[string, object, RegExp]>([
    ['nobody asks', { topic: 'weather' }, /nothing that is compared/],
    ['another way', { way: 'b' }, /nothing that is compared/],
    [
      'ten samples',
      {
        samples: { t: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9], r: Array(10).fill(0), u: Array(10).fill(0) },
      },
      /no trace/,
    ],
    ['columns apart', { samples: { t: [0, 1], r: [0], u: [0, 1] } }, /as many of each/],
    [
      'twice the same time',
      {
        samples: {
          ...trace().samples,
          t: trace().samples.t.map((t, i) => (i === 50 ? trace().samples.t[49]! : t)),
        },
      },
      /times must rise/,
    ],
    [
      'time running back',
      { samples: { ...trace().samples, t: [...trace().samples.t].reverse() } },
      /times must rise/,
    ],
  ])('%s is refused, and nothing is kept', (_, changes, says) => {
    expect(() => keep(changes)).toThrow(says);
    expect(aims(job.job.id, db)).toEqual([]);
  });
  test('a shot of nobody cannot be left out', () => {
    expect(() => send({ name: 'leaveOutAim', id: 77, reason: 'gone' })).toThrow(/no such shot/);
  });
});
