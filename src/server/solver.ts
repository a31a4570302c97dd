import { Worker } from 'node:worker_threads';
import type { Programme, Solution, Solve, Term } from '@/core/kit';

/**
 * The solver's own thread: its WASM runs synchronously and must not hold up the shop's tablets.
 * Written as text, so that no bundler takes the solver into the server's own code.
 */
const THREAD = `
  const { parentPort, workerData } = require('node:worker_threads');
  const { createRequire } = require('node:module');
  const ready = createRequire(workerData.from)('highs')();
  parentPort.on('message', async ({ id, text }) => {
    try {
      const highs = await ready;
      const { Status, Columns } = highs.solve(text, { mip_rel_gap: 0, mip_abs_gap: 0, output_flag: false });
      const values = Object.fromEntries(Object.entries(Columns).map(([name, c]) => [name, c.Primal]));
      parentPort.postMessage({ id, status: Status, values });
    } catch (error) {
      parentPort.postMessage({ id, error: String(error) });
    }
  });
`;
const LIMIT_MS = 20_000;

interface Answer {
  readonly id: number;
  readonly status?: string;
  readonly values?: Readonly<Record<string, number>>;
  readonly error?: string;
}

let thread: Worker | null = null;
let asked = 0;
const waiting = new Map<number, (answer: Answer) => void>();

function worker(): Worker {
  if (thread) return thread;
  thread = new Worker(THREAD, { eval: true, workerData: { from: `${process.cwd()}/` } });
  thread.unref();
  thread.on('message', (answer: Answer) => waiting.get(answer.id)?.(answer));
  const gone = (error: unknown) => {
    thread = null;
    for (const [id, done] of waiting) done({ id, error: String(error) });
  };
  thread.on('error', gone);
  thread.on('exit', () => gone('the solver ended'));
  return thread;
}

/** Ends the thread; the next programme starts it anew. */
export const stopSolver = async () => {
  await thread?.terminate();
  thread = null;
};

/** Solves a programme to proven optimality in its own thread. */
export const solve: Solve = (programme) =>
  new Promise<Solution>((resolve, reject) => {
    const id = ++asked;
    const timer = setTimeout(() => {
      waiting.delete(id);
      // A thread that hangs is of no use to the next one either.
      void stopSolver();
      reject(new Error(`The solver did not answer within ${LIMIT_MS / 1000} s`));
    }, LIMIT_MS);
    waiting.set(id, ({ status, values, error }) => {
      clearTimeout(timer);
      waiting.delete(id);
      if (status === 'Optimal') resolve({ status: 'optimal', values: values ?? {} });
      else if (status === 'Infeasible') resolve({ status: 'infeasible' });
      else reject(new Error(`The solver answered ${status ?? error}`));
    });
    worker().postMessage({ id, text: lpText(programme) });
  });

const PER_LINE = 6;

/** The programme in the LP format solvers share. */
export function lpText({ maximise, objective, rows, binaries }: Programme): string {
  return [
    maximise ? 'Maximize' : 'Minimize',
    ` obj: ${terms(objective, binaries[0])}`,
    'Subject To',
    ...rows.map(
      ({ terms: row, is, value }, i) => ` r${i}: ${terms(row, binaries[0])} ${is} ${value}`,
    ),
    'Binary',
    ...binaries.map((name) => ` ${name}`),
    'End',
    '',
  ].join('\n');
}

/** A row without a term still needs a name: nought times one that is there. */
function terms(list: readonly Term[], some: string | undefined): string {
  if (list.length === 0) return `0 ${some ?? 'none'}`;
  const words = list.map(({ by, of }) => `${by < 0 ? '-' : '+'} ${Math.abs(by)} ${of}`);
  // A line of an LP file has an end: long sums are broken.
  return words.map((word, i) => (i > 0 && i % PER_LINE === 0 ? `\n  ${word}` : word)).join(' ');
}
