import { Worker } from 'node:worker_threads';
import { Problem } from '../problem';
import { sicknessOf } from '../sick';
import { Pool } from './pool';

/** A thread that does as it is told: names itself, waits, refuses, breaks, hangs. */
const THREAD = `
  const { parentPort, threadId } = require('node:worker_threads');
  parentPort.on('message', ({ task, args }) => {
    const say = (said) => parentPort.postMessage(said);
    if (task === 'who') say({ say: 'done', value: threadId });
    if (task === 'wait') setTimeout(() => say({ say: 'done', value: args[0] }), args[1]);
    if (task === 'refuse') say({ say: 'refused', status: 422, reason: 'no', title: 'No', more: { detail: 'Because' } });
    if (task === 'break') throw new Error('broken');
    if (task === 'fault') say({ say: 'fault', message: 'a fault' });
    if (task === 'full') say({ say: 'fault', message: 'no room', code: 'SQLITE_FULL' });
    if (task === 'leave') process.exit(3);
    if (task === 'hang') for (;;);
  });
`;
let made: Worker[];
let pool: Pool;
const open = (threads: number, queue = 10) => {
  made = [];
  pool = new Pool({
    threads,
    queue,
    make: () => {
      const thread = new Worker(THREAD, { eval: true });
      made.push(thread);
      return thread;
    },
  });
};
afterEach(() => pool.close());
const LONG = 20_000;

test('threads begin when they are needed, and are used again', async () => {
  open(3);
  const one = await pool.run('who', [], LONG);
  expect(await pool.run('who', [], LONG)).toBe(one);
  expect(made).toHaveLength(1);
  await Promise.all([1, 2, 3, 4, 5].map((i) => pool.run('wait', [i, 30], LONG)));
  expect(made).toHaveLength(3);
});

test('every one who asked gets their own answer, in whatever order they come', async () => {
  open(2);
  const asked = [90, 10, 60, 5, 40, 1];
  const answers = await Promise.all(asked.map((ms, i) => pool.run('wait', [i, ms], LONG)));
  expect(answers).toEqual([0, 1, 2, 3, 4, 5]);
});

test('a refusal comes back as one, a fault as a fault', async () => {
  open(1);
  const refusal = await pool.run('refuse', [], LONG).catch((error: unknown) => error);
  expect(refusal).toBeInstanceOf(Problem);
  expect(refusal).toMatchObject({ status: 422, reason: 'no', message: 'Because' });
  await expect(pool.run('fault', [], LONG)).rejects.toThrow('a fault');
  const full = await pool.run('full', [], LONG).catch((error: unknown) => error);
  expect(sicknessOf(full)?.kind).toBe('full');
  // The thread of all goes on.
  expect(made).toHaveLength(1);
});

test('what hangs is ended with its thread; the next in turn gets a new one', async () => {
  open(1);
  const hung = pool.run('hang', [], 300).catch((error: unknown) => error);
  const next = pool.run('who', [], LONG);
  expect(await hung).toMatchObject({ status: 503, reason: 'too-long' });
  expect(await next).toBe(made[1]!.threadId);
});

test.each(['break', 'leave'])(
  'a thread that dies (%s) takes only its own work along',
  async (how) => {
    open(1);
    const died = pool.run(how, [], LONG);
    const next = pool.run('wait', ['on', 1], LONG);
    // Thrown elsewhere: no error of this file’s own kind.
    expect(await died.catch(String)).toMatch(/broken|ended/);
    expect(await next).toBe('on');
  },
);

test('more than the queue holds is refused at once, with when to come again', async () => {
  open(1, 2);
  const all = [1, 2, 3, 4, 5].map((i) =>
    pool.run('wait', [i, 20], LONG).catch((error: unknown) => error),
  );
  const answers = await Promise.all(all);
  const refusals = answers.filter((answer) => answer instanceof Problem);
  expect(answers.filter((answer) => typeof answer === 'number')).toEqual([1, 2, 3]);
  expect(refusals).toHaveLength(2);
  expect(refusals[0]).toMatchObject({ status: 503, reason: 'busy', more: { retryAfterS: 5 } });
});
