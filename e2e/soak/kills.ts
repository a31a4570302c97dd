import { seeded } from '@/core/numerics';
import { ownPort, startServer } from '../../scripts/serve.cjs';
import { Asker, waiting } from './asking';
import { lookFor } from './look';
import { Writer, type Entry } from './writer';

interface Killed {
  readonly kills: number;
  readonly entries: readonly Entry[];
  readonly lost: readonly Entry[];
  readonly doubled: readonly Entry[];
  readonly wrong: readonly string[];
}

const WRITERS = 6;
const LONGEST_WAIT_MS = 60_000;

/** Ends the program as a power cut would, again and again, while tablets write; then counts what is there. */
export async function kills(
  db: string,
  { times, seed, env }: { times: number; seed: number; env: Record<string, string> },
): Promise<Killed> {
  const random = seeded(seed);
  const port = await ownPort();
  const writers: Writer[] = [];
  const acknowledged = () => writers.reduce((sum, writer) => sum + writer.acknowledged.length, 0);
  for (let i = 0; i < times; i++) {
    const { child, url } = await startServer({ port, db, env });
    const asker = new Asker(url);
    if (writers.length === 0)
      for (let n = 0; n < WRITERS; n++)
        writers.push(new Writer(asker, `kill${n}`, n, seeded(seed + n + 1)));
    let over = false;
    const working = writers.map(async (writer) => {
      writer.use(asker);
      while (!over) if (!(await writer.write())) await waiting(5);
    });
    // Now and then it is ended before it has answered anybody.
    const wanted = acknowledged() + (random() < 0.1 ? 0 : 1);
    const until = Date.now() + LONGEST_WAIT_MS;
    while (acknowledged() < wanted && Date.now() < until) await waiting(10);
    await waiting(random() * 500);
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await gone;
    over = true;
    await Promise.all(working);
    asker.close();
  }
  // What was on its way at the last kill is sent again, as a tablet would.
  const { child, url } = await startServer({ port, db, env });
  const asker = new Asker(url);
  for (const writer of writers) {
    writer.use(asker);
    while (!(await writer.write())) await waiting(20);
  }
  asker.close();
  const gone = new Promise((done) => child.once('exit', done));
  child.kill('SIGTERM');
  await gone;
  const entries = writers.flatMap(({ acknowledged }) => acknowledged);
  const wrong = writers.flatMap((writer) => writer.wrong);
  return { kills: times, entries, wrong, ...lookFor(db, entries) };
}
