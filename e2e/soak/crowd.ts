import { seeded, type Random } from '@/core/numerics';
import type { ClosedDay, JobSnapshot, Shop } from '@/core/job';
import { addDays } from '@/core/units';
import { Asker, quantile, waiting } from './asking';
import { lookFor } from './look';
import { Writer, type Entry } from './writer';

interface Crowded {
  readonly requests: number;
  readonly readings: number;
  readonly conflicts: number;
  /** Of a reading, ms. */
  readonly median: number;
  readonly p99: number;
  readonly worst: number;
  readonly lost: readonly Entry[];
  readonly doubled: readonly Entry[];
  /** Closed days somebody added to the settings that are not there. */
  readonly lostDays: readonly string[];
  readonly wrong: readonly string[];
}

/** Between two things a tablet asks for, ms, on average: somebody taps as fast as they can. */
const THINKS_MS = 600;
/** Closed days a client adds at most: a shop has few. */
const MOST_DAYS = 12;

/** What one tablet does besides writing: it looks at things, and now and then at the settings. */
class Tablet {
  readonly days: string[] = [];
  requests = 0;
  readonly wrong: string[] = [];

  constructor(
    private readonly asker: Asker,
    private readonly n: number,
    private readonly random: Random,
    private readonly jobs: readonly string[],
  ) {}

  private async look(path: string): Promise<void> {
    this.requests++;
    const answer = await this.asker.ask(path);
    if (answer?.status !== 200) this.wrong.push(`${path}: ${answer?.status ?? 'no answer'}`);
  }

  async something(): Promise<void> {
    const dice = this.random();
    const job = this.jobs[Math.floor(this.random() * this.jobs.length)]!;
    // Pages are loaded whole now and then; between them a tablet asks for what changed.
    if (dice < 0.12) return this.look('/');
    if (dice < 0.25) return this.look(`/jobs/${job}/bench`);
    if (dice < 0.55)
      return this.look(`/api/v1/find?q=${['ilse', 'noor', 'soak', 'kill'][this.n % 4]}`);
    if (dice < 0.9) return this.look(`/api/v1/jobs/${job}`);
    if (this.days.length < MOST_DAYS) await this.close();
  }

  /** Adds a closed day, having seen those that stood there: others add theirs in the same moment. */
  private async close(): Promise<void> {
    const snapshot = await this.asker.json<JobSnapshot>(`/api/v1/jobs/${this.jobs[0]}`);
    const seen = snapshot?.body.shop.closed;
    if (!seen) return;
    const day = addDays('2027-01-01', this.n * MOST_DAYS + this.days.length);
    const closed: ClosedDay[] = [...seen, { day, name: `Tablet ${this.n}` }];
    this.requests += 2;
    const answer = await this.asker.json<Shop>('/api/v1/shop', {
      method: 'PATCH',
      body: { closed, seen: { closed: seen } },
    });
    if (answer?.status === 200) this.days.push(day);
    else this.wrong.push(`a closed day: ${answer?.status ?? 'no answer'}`);
  }
}

/** Many tablets at once, each from an address of its own, reading and writing, partly the same jobs. */
export async function crowd(
  url: string,
  db: string,
  {
    clients,
    seconds,
    seed,
    thinksMs = THINKS_MS,
  }: { clients: number; seconds: number; seed: number; thinksMs?: number },
): Promise<Crowded> {
  const first = new Asker(url);
  const found = await first.json<{ jobId: string }[]>('/api/v1/find?q=');
  const named = await Promise.all(
    ['ilse', 'noor', 'mattis', 'aino'].map((name) =>
      first.json<{ jobId: string }[]>(`/api/v1/find?q=${name}`),
    ),
  );
  const jobs = [
    ...new Set([found, ...named].flatMap((list) => (list?.body ?? []).map(({ jobId }) => jobId))),
  ];
  if (jobs.length === 0) throw new Error('The shop has no job to look at');
  const until = Date.now() + seconds * 1000;
  const all = await Promise.all(
    Array.from({ length: clients }, async (_, i) => {
      const random = seeded(seed + i);
      const asker = new Asker(url, i + 2);
      const writer = new Writer(asker, `crowd${i}`, i, seeded(seed + 1000 + i), jobs.slice(0, 3));
      const tablet = new Tablet(asker, i, random, jobs);
      while (Date.now() < until) {
        if (random() < 0.5) {
          if (!(await writer.write())) await waiting(100);
        } else await tablet.something();
        await waiting(thinksMs * (0.2 + 1.6 * random()));
      }
      while (!(await writer.write())) await waiting(100);
      asker.close();
      return { writer, tablet };
    }),
  );
  const snapshot = await first.json<JobSnapshot>(`/api/v1/jobs/${jobs[0]}`);
  first.close();
  const there = new Set(snapshot!.body.shop.closed.map(({ day }) => day));
  const entries = all.flatMap(({ writer }) => writer.acknowledged);
  const times = all.flatMap(({ writer }) => writer.times);
  return {
    requests: all.reduce((sum, { tablet }) => sum + tablet.requests, 0) + 2 * times.length,
    readings: times.length,
    conflicts: all.reduce((sum, { writer }) => sum + writer.conflicts, 0),
    median: quantile(times, 0.5),
    p99: quantile(times, 0.99),
    worst: Math.max(...times),
    lostDays: all.flatMap(({ tablet }) => tablet.days.filter((day) => !there.has(day))),
    wrong: all.flatMap(({ writer, tablet }) => [...writer.wrong, ...tablet.wrong]),
    ...lookFor(db, entries),
  };
}
