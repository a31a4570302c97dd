import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { waiting } from './asking';

const LOADED = join(process.cwd(), 'e2e/soak/told-memory.cjs');

/** What a program is started with that is to tell its memory. */
export const memoryEnv = (file: string) => ({
  NODE_OPTIONS: `--require ${LOADED}`,
  SOAK_MEMORY: file,
});

export interface Memory {
  /** Held by what is in use, MB. */
  readonly heldMb: number;
  /** Of the whole process with its threads, MB; the system gives it back late or never. */
  readonly processMb: number;
}

/** Asks the program; it has collected what is unused before it tells. */
export async function memoryOf(pid: number, file: string): Promise<Memory> {
  rmSync(file, { force: true });
  process.kill(pid, 'SIGUSR2');
  for (let i = 0; i < 200 && !existsSync(file); i++) await waiting(50);
  // Written whole by now.
  await waiting(50);
  const { heapUsed, external, rss } = JSON.parse(readFileSync(file, 'utf8')) as NodeJS.MemoryUsage;
  return { heldMb: (heapUsed + external) / 1e6, processMb: rss / 1e6 };
}
