import type { Worker } from 'node:worker_threads';
import { Problem } from '../problem';

/** What goes to a thread. */
export interface Asked {
  readonly task: string;
  readonly args: readonly unknown[];
}

/** What comes back: a value, a refusal the caller is told of, or a fault of the program. */
export type Said =
  | { readonly say: 'done'; readonly value: unknown }
  | {
      readonly say: 'refused';
      readonly status: number;
      readonly reason: string;
      readonly title: string;
      readonly more: Problem['more'];
    }
  | {
      readonly say: 'fault';
      readonly message: string;
      /** Of the system or of SQLite: a full disk is told from a fault of ours by it. */
      readonly code?: string;
    };

interface Waiting {
  readonly asked: Asked;
  readonly limitMs: number;
  readonly done: (value: unknown) => void;
  readonly failed: (error: Error) => void;
}

interface PoolOptions {
  /** Threads at most; each begins when it is first needed. */
  readonly threads: number;
  /** Work that may wait; more is refused. */
  readonly queue: number;
  readonly make: () => Worker;
}

const RETRY_S = 5;

const busy = (waiting: number) =>
  new Problem(503, 'busy', 'Too much is being calculated', {
    detail: `${waiting} calculations wait already. Try again in a few seconds; readings are taken all the same.`,
    retryAfterS: RETRY_S,
  });

const tooLong = (limitMs: number) =>
  new Problem(503, 'too-long', 'This takes too long', {
    detail: `It was ended after ${limitMs / 1000} s. Ask for less at a time: fewer steps, rows or distances.`,
  });

interface Died {
  readonly say: 'died';
  readonly error: Error;
}

/** A thread and what it works on. */
interface Hand {
  readonly worker: Worker;
  /** What becomes of the present work: an answer, or the thread’s end. */
  settle: ((how: Said | Died) => void) | null;
}

/**
 * Threads that work one thing after another each, with a queue before them and a limit of time on every
 * piece of work: what takes longer is ended with its thread, and the next one begins a new thread.
 */
export class Pool {
  private readonly idle: Hand[] = [];
  private readonly queue: Waiting[] = [];
  private running = 0;

  constructor(private readonly options: PoolOptions) {}

  run(task: string, args: readonly unknown[], limitMs: number): Promise<unknown> {
    return new Promise((done, failed) => {
      if (this.queue.length >= this.options.queue) return failed(busy(this.queue.length));
      this.queue.push({ asked: { task, args }, limitMs, done, failed });
      this.next();
    });
  }

  /** Ends every idle thread; what still waits is refused. */
  async close(): Promise<void> {
    for (const waiting of this.queue.splice(0)) waiting.failed(busy(0));
    await Promise.all(this.idle.splice(0).map(({ worker }) => worker.terminate()));
  }

  private hand(): Hand {
    const hand: Hand = { worker: this.options.make(), settle: null };
    const ended = (error: Error) => {
      const at = this.idle.indexOf(hand);
      if (at >= 0) this.idle.splice(at, 1);
      hand.settle?.({ say: 'died', error });
    };
    hand.worker.on('message', (said: Said) => hand.settle?.(said));
    hand.worker.on('error', ended);
    hand.worker.on('exit', () => ended(new Error('The thread ended')));
    return hand;
  }

  private next(): void {
    if (this.running >= this.options.threads) return;
    const waiting = this.queue.shift();
    if (!waiting) return;
    this.running++;
    const hand = this.idle.pop() ?? this.hand();
    const settle = (how: Said | Died) => {
      hand.settle = null;
      clearTimeout(timer);
      this.running--;
      if (how.say === 'died') {
        void hand.worker.terminate();
        waiting.failed(how.error);
      } else {
        this.idle.push(hand);
        answer(waiting, how);
      }
      this.next();
    };
    const timer = setTimeout(
      () => settle({ say: 'died', error: tooLong(waiting.limitMs) }),
      waiting.limitMs,
    );
    hand.settle = settle;
    hand.worker.postMessage(waiting.asked);
  }
}

function answer({ done, failed }: Waiting, said: Said): void {
  if (said.say === 'done') done(said.value);
  else if (said.say === 'refused')
    failed(new Problem(said.status, said.reason, said.title, said.more));
  else failed(Object.assign(new Error(said.message), said.code ? { code: said.code } : {}));
}
