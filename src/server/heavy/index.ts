import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { now } from '../clock';
import { Pool } from './pool';
import type { TaskArgs, TaskName, TaskResult } from './tasks';

/** Made by the build from `thread.ts`. */
const THREAD = join(/* turbopackIgnore: true */ process.cwd(), '.next/waffenrad-thread.cjs');
const QUEUE = 40;
/** Longest any of this work may take, ms; a package of a large catalogue takes longest. */
const LIMIT_MS: Readonly<Partial<Record<TaskName, number>>> = {
  packages: 30_000,
  frontier: 60_000,
  // Years of a shop, with its pictures.
  wholeFile: 600_000,
  auditFile: 60_000,
  archerFile: 60_000,
  backupLook: 60_000,
  backupBack: 300_000,
};
const USUAL_LIMIT_MS = 10_000;
/** Memory of one thread, MB; the hardest packages take some 150. */
const MOST_MB = 768;

// Routes are bundled apart from each other: what all share hangs on the process.
const held = globalThis as typeof globalThis & { waffenradPool?: Pool };

/** Begins the threads of a running shop; without their file, as in development, work is done in place. */
export function startPool(): void {
  if (held.waffenradPool || !existsSync(THREAD)) return;
  held.waffenradPool = new Pool({
    threads: Math.max(2, availableParallelism() - 1),
    queue: QUEUE,
    make: () =>
      new Worker(THREAD, {
        // A calculation that wants more ends with its thread, not with the shop.
        resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
        // A clock that was set goes on from where it stands now, not from where it was set.
        env: process.env.WAFFENRAD_NOW
          ? { ...process.env, WAFFENRAD_NOW: now().toISOString() }
          : process.env,
      }),
  });
}

/** Ends the threads; nothing is asked of them any more. */
export const stopPool = async (): Promise<void> => held.waffenradPool?.close();

/** Does heavy work beside the server’s own thread, so that nobody waits for it but who asked. */
export async function heavy<N extends TaskName>(
  task: N,
  ...args: TaskArgs<N>
): Promise<TaskResult<N>> {
  const pool = held.waffenradPool;
  if (pool) return (await pool.run(task, args, LIMIT_MS[task] ?? USUAL_LIMIT_MS)) as TaskResult<N>;
  const { TASKS } = await import('./tasks');
  return (await (TASKS[task] as (...given: TaskArgs<N>) => unknown)(...args)) as TaskResult<N>;
}
