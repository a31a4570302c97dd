import 'fake-indexeddb/auto';
import { act, waitFor } from '@testing-library/react';
import { aReading, aSnapshot } from '@/core/testing/fixtures';
import type { JobSnapshot } from '@/core/job';
import { isConnected } from './connection';
import {
  changeWaiting,
  giveUp,
  lookAtWaiting,
  onSaved,
  putAside,
  takeOut,
  waitingNow,
} from './outbox';
import { bodyOf, nextToSend, sendWaiting, stoodAt } from './sender';
import { readSeen, writeSeen, type Waiting } from './waiting-store';

const entry = (changes: Partial<Waiting> = {}): Omit<Waiting, 'id'> => ({
  jobId: 'j1',
  jobName: 'Noor',
  summary: 'Arm span: 58 in',
  stage: 'fit',
  key: 'ab.12345678',
  command: { name: 'takeReadings', readings: [{ key: 'armSpan', entered: '58' }] },
  who: 'T. Okoro',
  mark: 'the-mark-of-their-session',
  madeMs: 1_000_000,
  at: '2026-11-24T09:00:00.000Z',
  saw: { version: 4, seq: 9, bowId: null },
  ...changes,
});
type Answer = { status: number; body: unknown } | 'nobody';
const sent: { url: string; body: { key: string; waited: object } }[] = [];
function serve(...answers: Answer[]) {
  sent.splice(0);
  global.fetch = jest.fn(async (url: string, init?: { body?: string }) => {
    if (!init?.body) return { ok: true };
    sent.push({ url, body: JSON.parse(init.body) });
    const answer = answers.shift() ?? 'nobody';
    if (answer === 'nobody') throw new TypeError('fetch failed');
    const { status, body } = answer;
    return { ok: status < 400, status, json: async () => body };
  }) as never;
}
const saved = (version: number): Answer => ({ status: 200, body: aSnapshot({ job: { version } }) });
const keys = () => waitingNow().map(({ key }) => key);

beforeEach(async () => {
  jest.spyOn(Date, 'now').mockReturnValue(1_090_000);
  for (const { id } of await lookAtWaiting()) await takeOut(id);
  // A connection that was lost is asked for every two seconds.
  await new Promise((resolve) => setTimeout(resolve, 0));
});
afterEach(() => jest.restoreAllMocks());

test('what waits is sent in its order, says how old it is and who made it, and goes once it is saved', async () => {
  const jobs: JobSnapshot[] = [];
  const stop = onSaved((job) => jobs.push(job));
  await putAside(entry({ key: 'ab.first-of-all' }));
  await putAside(entry({ key: 'ab.second-one', madeMs: 1_060_000 }));
  serve(saved(5), saved(6));
  await act(sendWaiting);
  expect(sent.map(({ url, body }) => [url, body])).toEqual([
    [
      '/api/v1/jobs/j1/commands',
      {
        version: 4,
        stage: 'fit',
        key: 'ab.first-of-all',
        command: entry().command,
        waited: {
          mark: 'the-mark-of-their-session',
          ageS: 90,
          saw: { version: 4, seq: 9, bowId: null },
        },
      },
    ],
    ['/api/v1/jobs/j1/commands', expect.objectContaining({ key: 'ab.second-one' })],
  ]);
  expect(sent[1]!.body.waited).toMatchObject({ ageS: 30 });
  expect(jobs.map(({ job }) => job.version)).toEqual([5, 6]);
  expect(await lookAtWaiting()).toEqual([]);
  stop();
});

test('nobody answers in the middle: what was not answered waits on, with the same key', async () => {
  await putAside(entry({ key: 'ab.first-of-all' }));
  await putAside(entry({ key: 'ab.second-one' }));
  serve(saved(5), 'nobody');
  await act(sendWaiting);
  expect(keys()).toEqual(['ab.second-one']);
  // Nobody is asked while nobody answers; then the connection is found again by itself.
  serve(saved(6));
  await waitFor(() => expect(isConnected()).toBe(true));
  await act(sendWaiting);
  expect(sent.map(({ body }) => body.key)).toEqual(['ab.second-one']);
  expect(keys()).toEqual([]);
});

test('one that asks holds those behind it on its job, not those of others', async () => {
  await putAside(entry({ key: 'ab.meets-another' }));
  await putAside(entry({ key: 'ab.behind-it-waits' }));
  await putAside(entry({ key: 'ab.of-another-job', jobId: 'j2' }));
  const job = aSnapshot({
    job: { version: 9 },
    rest: { readings: [aReading(44, 'peepHeight', 150)] },
  });
  const meets = [{ name: 'Peep', mine: '142', theirs: '150', who: 'M.', at: '' }];
  serve(
    {
      status: 409,
      body: { type: 'urn:waffenrad:problem:entries-meet', detail: 'Which?', meets, snapshot: job },
    },
    saved(3),
  );
  await act(sendWaiting);
  expect(keys()).toEqual(['ab.meets-another', 'ab.behind-it-waits']);
  const [stuck] = await lookAtWaiting();
  expect(stuck!.stuck).toEqual({
    reason: 'entries-meet',
    message: 'Which?',
    meets,
    stood: { version: 9, seq: 44, bowId: null },
  });
  expect(nextToSend(waitingNow())).toBeNull();
  // Answered, both go.
  const { stuck: was, ...free } = stuck!;
  await changeWaiting({ ...free, asked: { ...was!.stood!, counts: 'theirs' } });
  serve(saved(10), saved(11));
  await act(sendWaiting);
  expect(sent[0]!.body.waited).toMatchObject({ asked: { version: 9, seq: 44, counts: 'theirs' } });
  expect(keys()).toEqual([]);
});

test('taken back while it is not known whether it was saved: if it was, it is taken back there', async () => {
  for (const event of [77, null]) {
    await putAside(entry({ key: 'ab.maybe-saved', tried: true }));
    await giveUp(waitingNow()[0]!.id);
    expect(waitingNow()[0]).toMatchObject({ unwanted: true });
    const undone: object[] = [];
    global.fetch = jest.fn(async (url: string, init?: { body?: string }) => {
      if (init?.body) undone.push(JSON.parse(init.body));
      else if (url.includes('?key='))
        return { ok: true, json: async () => ({ saved: event !== null, event, version: 8 }) };
      return { ok: true, status: 200, json: async () => aSnapshot({ job: { version: 9 } }) };
    }) as never;
    await act(sendWaiting);
    expect(undone).toEqual(
      event === null ? [] : [{ version: 8, command: { name: 'undo', event } }],
    );
    expect(keys()).toEqual([]);
  }
  // Never sent, it simply goes.
  await putAside(entry());
  await giveUp(waitingNow()[0]!.id);
  expect(keys()).toEqual([]);
});

test.each([
  ['locked', { status: 401, body: {} }],
  ['too much just now', { status: 503, body: { retryAfterS: 60 } }],
])('%s: it waits and asks nobody', async (_, answer) => {
  await putAside(entry());
  serve(answer);
  await act(sendWaiting);
  const [waits] = await lookAtWaiting();
  expect(waits!.stuck).toBeUndefined();
  expect(sent).toHaveLength(1);
});

test('a clock that was set back cannot say how long ago it was', () => {
  const at = { ...entry(), id: 1 };
  expect(bodyOf(at, 1_090_400).waited).toMatchObject({ ageS: 90 });
  expect(bodyOf(at, 999_999).waited).not.toHaveProperty('ageS');
});

const LATER = '2026-11-24T09:00:00.001Z';

test('a job is kept as last seen; an older one does not come over a newer', async () => {
  await writeSeen(aSnapshot({ job: { id: 'seen', version: 7 } }));
  await writeSeen(aSnapshot({ job: { id: 'seen', version: 5 } }));
  expect((await readSeen('seen'))!.job.version).toBe(7);
  await writeSeen(aSnapshot({ job: { id: 'seen', version: 7 }, rest: { now: LATER } }));
  await writeSeen(aSnapshot({ job: { id: 'seen', version: 7 } }));
  expect((await readSeen('seen'))!.now).toBe(LATER);
  expect(await readSeen('never')).toBeNull();
  expect(stoodAt(aSnapshot({ job: { version: 2 } }))).toEqual({
    version: 2,
    seq: 0,
    bowId: null,
  });
});

test('no more than forty jobs are kept as seen, the oldest go', async () => {
  jest.restoreAllMocks();
  for (let i = 0; i < 42; i++) {
    jest.spyOn(Date, 'now').mockReturnValue(2_000_000 + i);
    await writeSeen(aSnapshot({ job: { id: `n${i}`, version: 1 } }));
  }
  expect(await readSeen('n0')).toBeNull();
  expect(await readSeen('n41')).not.toBeNull();
});
