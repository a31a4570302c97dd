import { aBow, anItem } from '@/core/testing/fixtures';
import { withWaiting, type WaitingEntry } from '@/core/entries';
import { derive, HANDOVER_CAUTIONS, type JobSnapshot } from '@/core/job';
import { latest } from '@/core/setup';
import type { Db } from '@/data/db';
import { insertBow, insertItem } from '@/data/stock';
import { pretendNow } from '../clock';
import { problemOf } from '../testing/problem-of';
import { createJob, runCommand } from '.';
import { newDb } from '../testing/new-db';

let db: Db;
let job: JobSnapshot;
type Body = Record<string, unknown> & { name: string };
const T0 = Date.parse('2026-11-24T09:00:00Z');
const minute = (min: number) => pretendNow(new Date(T0 + min * 60_000));
const MARK = 'mark-of-the-session-it-was-made-in';

/** An entry of another tablet, with a connection. */
function send(command: Body, who = 'M. Lindauer'): JobSnapshot {
  job = runCommand(job.job.id, { version: job.job.version, who, command }, db);
  return job;
}
const take = (key: string, entered: string, more: object = {}): Body => ({
  name: 'takeReadings',
  readings: [{ key, entered, ...more }],
});
const stood = ({ job: { version }, readings, fitReadings }: JobSnapshot) => ({
  version,
  seq: Math.max(0, ...readings.map(({ seq }) => seq), ...fitReadings.map(({ seq }) => seq)),
});

let keys = 0;
interface Late {
  readonly ageS?: number;
  readonly asked?: object;
  readonly key?: string;
  readonly from?: JobSnapshot;
}
/** An entry of the tablet that was off line: it saw the job as it stood at `from`. */
const late = (command: Body, { ageS = 0, asked, key, from = job }: Late = {}): JobSnapshot =>
  runCommand(
    job.job.id,
    {
      version: from.job.version,
      who: 'T. Okoro',
      key: key ?? `lane.entry-${++keys}`,
      command,
      waited: {
        mark: MARK,
        ageS,
        saw: { ...stood(from), bowId: from.job.bowId },
        ...(asked ? { asked } : {}),
      },
    },
    db,
  );
const readingsOf = ({ readings }: JobSnapshot, key: string) =>
  readings.filter((reading) => reading.key === key).map(({ entered }) => entered);

beforeEach(() => {
  minute(0);
  db = newDb();
  insertBow(db, aBow());
  insertItem(db, anItem('arrows', {}, { id: 'arrows' }));
  job = createJob({ who: 'T. Okoro', archer: { name: 'Runa' }, job: {} }, db);
  send({ name: 'chooseBow', bowId: 'test-31-r' });
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
    send(take(key!, entered!));
});
afterEach(() => {
  pretendNow(null);
  db.close();
});

describe('an entry sent later than it was made', () => {
  test('stands under who made it and when, and says that it came later', () => {
    const before = job;
    minute(30);
    const after = late(take('peepHeight', '142mm'), { ageS: 20 * 60 });
    expect(after.readings.at(-1)).toMatchObject({
      key: 'peepHeight',
      who: 'T. Okoro',
      at: '2026-11-24T09:10:00.000Z',
    });
    expect(after.events[0]!.summary).toMatch(/^Peep on the string.*, sent later$/);
    expect(after.job.version).toBe(before.job.version + 1);
    // Sent again since the answer was lost, it counts once.
    const again = late(take('peepHeight', '142mm'), { key: `lane.entry-${keys}`, from: before });
    expect(again.job.version).toBe(after.job.version);
  });

  test('is not refused for what another tablet entered beside it; both are kept', () => {
    const before = job;
    minute(5);
    send(take('braceHeight', '165mm'));
    minute(30);
    const after = late(take('peepHeight', '142mm'), { from: before, ageS: 60 });
    expect(readingsOf(after, 'braceHeight')).toHaveLength(1);
    expect(readingsOf(after, 'peepHeight')).toHaveLength(1);
  });

  test('several go in their order and do not meet each other', () => {
    const before = job;
    minute(30);
    late(take('peepHeight', '142mm'), { from: before, ageS: 600 });
    late(take('peepHeight', '150mm'), { from: before, ageS: 500 });
    const after = late(take('peepHeight', '146mm'), { from: before, ageS: 400 });
    expect(readingsOf(after, 'peepHeight')).toEqual(['142mm', '150mm', '146mm']);
    expect(latest(derive(after).history, 'peepHeight')!.si).toBe(146);
  });

  test('what was taken before a cause was changed elsewhere does not hold; after it, it does', () => {
    const before = job;
    minute(10);
    // The module was changed at the bench ten minutes in.
    send(take('moduleTop', '28'));
    minute(60);
    const early = late(take('drawLength', '658mm'), { from: before, ageS: 55 * 60 });
    expect(derive(early).plan.stale.map(({ key }) => key)).toContain('drawLength');
    const afterIt = late(take('drawLength', '670mm'), { from: before, ageS: 40 * 60 });
    expect(derive(afterIt).plan.stale.map(({ key }) => key)).not.toContain('drawLength');
    const order = afterIt.readings.map(({ seq }) => seq);
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(new Set(order).size).toBe(order.length);
  });

  test('a reading that stands between others can be left out and taken back', () => {
    const before = job;
    minute(10);
    send(take('moduleTop', '28'));
    minute(60);
    job = late(take('drawLength', '658mm'), { from: before, ageS: 55 * 60 });
    const between = job.readings.find(({ entered }) => entered.startsWith('658'))!;
    expect(Number.isInteger(between.seq)).toBe(false);
    send({ name: 'discardReading', seq: between.seq, reason: 'the bow was being changed' });
    expect(readingsOf(job, 'drawLength')).toHaveLength(1);
    send({ name: 'undo' });
    expect(readingsOf(job, 'drawLength')).toHaveLength(2);
  });
});

/** Three arrows at a distance, with the pin so far below the first one's place. */
const group = (distance: string, pinDrop?: string) => ({
  name: 'takeGroup',
  distance,
  hits: [
    { rightMm: 8, upMm: 3 },
    { rightMm: -5, upMm: 9 },
    { rightMm: -3, upMm: -11 },
  ],
  ...(pinDrop ? { pinDrop } : {}),
});

describe('two tablets that say different things', () => {
  let before: JobSnapshot;
  const meet = () => {
    before = job;
    minute(5);
    send(take('peepHeight', '150mm'));
    minute(30);
    return problemOf(() => late(take('peepHeight', '142mm'), { from: before, ageS: 20 * 60 }));
  };
  const asked = (counts: string) => ({ ...stood(job), counts });

  test('are asked about, with both; nothing is saved before', () => {
    const problem = meet();
    expect([problem.status, problem.reason]).toEqual([409, 'entries-meet']);
    expect(problem.more.meets).toEqual([
      {
        name: expect.stringMatching(/peep/i),
        mine: expect.stringContaining('142'),
        theirs: expect.stringContaining('150'),
        who: 'M. Lindauer',
        at: '2026-11-24T09:05:00.000Z',
      },
    ]);
    expect(
      readingsOf(
        runCommand(
          job.job.id,
          { version: job.job.version, who: 'x', command: take('braceHeight', '165mm') },
          db,
        ),
        'peepHeight',
      ),
    ).toHaveLength(1);
  });
  test.each([
    ['this', 142],
    ['theirs', 150],
  ])('%s counts: both are kept, the last is %d mm', (counts, si) => {
    meet();
    const after = late(take('peepHeight', '142mm'), {
      from: before,
      ageS: 20 * 60,
      asked: asked(counts),
    });
    expect(readingsOf(after, 'peepHeight')).toHaveLength(2);
    expect(latest(derive(after).history, 'peepHeight')!.si).toBe(si);
  });
  test('answered, and then a third one comes: asked again', () => {
    meet();
    const answer = asked('this');
    send(take('peepHeight', '155mm'));
    const problem = problemOf(() =>
      late(take('peepHeight', '142mm'), { from: before, ageS: 60, asked: answer }),
    );
    expect(problem.more.meets).toEqual([
      expect.objectContaining({ theirs: expect.stringContaining('155') }),
    ]);
  });
  test('within what the value is known by they agree, and nobody is asked', () => {
    const seen = job;
    send(take('peepHeight', '142.2mm'));
    const after = late(take('peepHeight', '142mm'), { from: seen, ageS: 60 });
    expect(readingsOf(after, 'peepHeight')).toHaveLength(2);
  });
  test('what was taken back meanwhile meets nothing', () => {
    const seen = job;
    send(take('peepHeight', '150mm'));
    send({ name: 'undo' });
    expect(
      readingsOf(late(take('peepHeight', '142mm'), { from: seen }), 'peepHeight'),
    ).toHaveLength(1);
  });
  test('readings of the archer add up and meet nobody', () => {
    const seen = job;
    send(take('armSpan', '180cm'));
    expect(late(take('armSpan', '182cm'), { from: seen }).fitReadings).toHaveLength(2);
  });
  test('what the eye test or the posture showed last counts: it meets like a value of the bow', () => {
    const seen = job;
    const saw_ = (choice: string) => take('eyeTest', '', { choice });
    send(saw_('left'));
    expect(problemOf(() => late(saw_('right'), { from: seen })).more.meets).toEqual([
      expect.objectContaining({ mine: 'right', theirs: 'left' }),
    ]);
    expect(late(saw_('left'), { from: seen }).fitReadings).toHaveLength(2);
  });
  test('marks meet at the same distance alone', () => {
    const seen = job;
    minute(5);
    send(group('20 m'));
    minute(30);
    const problem = problemOf(() => late(group('30 m'), { from: seen, ageS: 60 }));
    expect(problem.more.meets).toHaveLength(1);
    // Another far one is no other word on the first.
    job = late(group('40 m', '18 mm'), { from: job, ageS: 60 });
    expect(job.readings.at(-1)!.key).toBe('markShot');
  });
  test('two pins for one distance meet, pins for two distances do not', () => {
    send(group('20 m'));
    const seen = job;
    minute(5);
    send(group('40 m', '18 mm'));
    minute(30);
    const problem = problemOf(() => late(group('40 m', '21 mm'), { from: seen, ageS: 60 }));
    expect(problem.more.meets).toHaveLength(1);
    job = late(group('55 m', '30 mm'), { from: seen, ageS: 60 });
    expect(job.readings.filter(({ key }) => key === 'markShot')).toHaveLength(2);
  });
  test('answers: another one of the same field is asked about, of another field not', () => {
    const seen = job;
    send({ name: 'setAnswers', job: { notes: 'from the desk', furthestM: 50 } });
    const answers = (fields: object): Body => ({ name: 'setAnswers', job: fields });
    expect(late(answers({ lowLight: true }), { from: seen }).job.lowLight).toBe(true);
    const problem = problemOf(() => late(answers({ notes: 'from the lane' }), { from: seen }));
    expect(problem.more.meets).toEqual([
      expect.objectContaining({ name: 'notes', mine: 'from the lane', theirs: 'from the desk' }),
    ]);
    const after = late(answers({ notes: 'from the lane' }), { from: seen, asked: asked('this') });
    expect(after.job.notes).toBe('from the lane');
    // The same word from both is none.
    expect(late(answers({ furthestM: 50 }), { from: seen }).job.furthestM).toBe(50);
  });
});

test('taken on a bow that was put back meanwhile it says nothing of the new one, unless somebody says so', () => {
  insertBow(db, aBow({ id: 'other', model: 'Andere 33' }));
  const before = job;
  send({ name: 'chooseBow', bowId: 'other', reason: 'a test' });
  const late_ = (asked?: object) =>
    late(take('peepHeight', '142mm'), { from: before, ageS: 60, ...(asked ? { asked } : {}) });
  expect(problemOf(() => late_()).reason).toBe('other-bow');
  // What is the archer’s has nothing to do with it.
  expect(late(take('armSpan', '180cm'), { from: before }).fitReadings).toHaveLength(1);
  const after = late_({ ...stood(job), counts: 'now' });
  expect(after.readings.at(-1)).toMatchObject({ key: 'peepHeight' });
});

test('made before the bow was handed over and sent after, it stands on no sheet: it is asked about', () => {
  const before = job;
  minute(20);
  for (const { id } of HANDOVER_CAUTIONS) send({ name: 'acknowledge', cautionId: id, yes: true });
  send({ name: 'handOver', openReason: 'a test' });
  minute(40);
  const sent = (asked?: object) =>
    late(take('peepHeight', '142mm'), { from: before, ageS: 30 * 60, ...(asked ? { asked } : {}) });
  expect(problemOf(() => sent()).reason).toBe('handed-over-meanwhile');
  const after = sent({ ...stood(job), counts: 'now' });
  expect(after.readings.at(-1)).toMatchObject({
    key: 'peepHeight',
    at: '2026-11-24T09:40:00.000Z',
  });
  // Made after the handover it is an entry like any other.
  expect(late(take('braceHeight', '165mm'), { from: job, ageS: 60 }).readings.at(-1)!.key).toBe(
    'braceHeight',
  );
});

describe('what does not wait', () => {
  test.each(['chooseBow', 'giveQuote', 'handOver', 'undo'])('%s', (name) => {
    const command =
      name === 'chooseBow'
        ? { name, bowId: null }
        : name === 'handOver'
          ? { name, openReason: '' }
          : { name };
    expect(problemOf(() => late(command)).reason).toBe('does-not-wait');
  });
  test.each([
    ['a time to come', { ageS: -5 }],
    ['more than a month', { ageS: 40 * 86_400 }],
    ['a foreign answer', { asked: { version: 1, seq: 1, counts: 'everybody' } }],
  ])('%s is refused', (_, waited) => {
    expect(problemOf(() => late(take('peepHeight', '142mm'), waited)).status).toBe(400);
  });
});

test('a sign-off made before a later reading does not cover it; made after, it does', () => {
  const before = job;
  minute(10);
  send(take('nockHeight', '6mm'));
  minute(60);
  const sign = (ageS: number) =>
    late(
      { name: 'signStep', stepId: 'rest', reason: 'as the archer wishes' },
      { from: before, ageS },
    );
  const newest = job.readings.at(-1)!.seq;
  expect(sign(55 * 60).exceptions.at(-1)!.seq).toBeLessThan(newest);
  expect(sign(30 * 60).exceptions.at(-1)!.seq).toBeGreaterThan(newest);
});

test('the page without a connection comes to what the server then saves', () => {
  const before = job;
  const commands: Body[] = [
    take('peepHeight', '142mm'),
    take('armSpan', '180cm'),
    {
      name: 'takeReadings',
      readings: [{ key: 'weightTrial', entered: '40 lb', choice: 'smooth' }],
    },
    { name: 'confirmReadings', keys: ['centreShot'] },
    { name: 'takeTear', right: '3', up: '-2', distance: '2 m' },
    { name: 'movePaper', adjustment: 'restSideways', amount: 0.5 },
    { name: 'takeSpeeds', shots: [{ entered: '231 fps', device: null, discarded: null }] },
    {
      name: 'takeGroup',
      distance: '20 m',
      hits: [
        { rightMm: 8, upMm: 3 },
        { rightMm: -5, upMm: 9 },
        { rightMm: -3, upMm: -11 },
      ],
    },
    { name: 'takeMark', distance: '40 m', drop: '20 mm' },
    { name: 'discardReading', seq: before.readings[2]!.seq, reason: 'a slip' },
    {
      name: 'setAnswers',
      archer: { phone: '0000', birthDay: '2012-05-17' },
      job: { notes: 'on the lane' },
    },
    { name: 'acknowledge', cautionId: 'dryFire', yes: true },
    { name: 'signStep', stepId: 'rest', reason: 'as it is' },
  ];
  const waiting: WaitingEntry[] = commands.map((command, i) => ({
    id: i + 1,
    command,
    stage: null,
    who: 'T. Okoro',
    at: '2026-11-24T09:00:00.000Z',
  }));
  const shown = withWaiting(before, waiting);
  for (const command of commands) job = late(command, { from: before });
  const bare = ({
    readings,
    fitReadings,
    exceptions,
    archer,
    acknowledged,
    job: of,
  }: JobSnapshot) => ({
    readings: readings.map(({ seq: _, ...reading }) => reading),
    fitReadings: fitReadings.map(({ seq: _, ...reading }) => reading),
    exceptions: exceptions.map(({ seq: _, ...exception }) => exception),
    archer,
    acknowledged,
    notes: of.notes,
  });
  expect(bare(shown)).toEqual(bare(job));
  const plan = (snapshot: JobSnapshot) =>
    derive(snapshot).plan.steps.map(({ template, state }) => [template.id, state]);
  expect(plan(shown)).toEqual(plan(job));
});
