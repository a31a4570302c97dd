import { parentPort } from 'node:worker_threads';
import { openBy, openReader } from '@/data/db';
import { Problem } from '../problem';
import type { Asked, Said } from './pool';
import { TASKS } from './tasks';

/** A thread of the pool: one piece of work after another, with a connection that only reads. */
openBy(openReader);

const tasks = TASKS as Readonly<Record<string, (...args: unknown[]) => unknown>>;

async function work({ task, args }: Asked): Promise<Said> {
  try {
    return { say: 'done', value: await tasks[task]!(...args) };
  } catch (error) {
    if (error instanceof Problem) {
      const { status, reason, title, more } = error;
      return { say: 'refused', status, reason, title, more };
    }
    const { code } = (error ?? {}) as { readonly code?: unknown };
    return {
      say: 'fault',
      message: error instanceof Error ? (error.stack ?? error.message) : String(error),
      ...(typeof code === 'string' ? { code } : {}),
    };
  }
}

parentPort!.on('message', (asked: Asked) => {
  void work(asked).then((said) => parentPort!.postMessage(said));
});
