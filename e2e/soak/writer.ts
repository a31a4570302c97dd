import type { Random } from '@/core/numerics';
import type { JobSnapshot } from '@/core/job';
import type { Asker } from './asking';

/** An entry somebody made: it is to be found once if it was acknowledged. */
export interface Entry {
  readonly key: string;
  readonly kind: 'reading' | 'job';
  /** As it was typed, different for each. */
  readonly text: string;
}

/** Entries are spread over jobs: nobody measures one archer four hundred times. */
const ENTRIES_A_JOB = 60;
const MOST_TRIES = 40;

/** Makes entries one after another, as a tablet does: sent again with its key until there is an answer. */
export class Writer {
  readonly acknowledged: Entry[] = [];
  readonly times: number[] = [];
  /** Statuses that should not be. */
  readonly wrong: string[] = [];
  conflicts = 0;
  private count = 0;
  private jobId: string | null = null;

  constructor(
    private asker: Asker,
    private readonly name: string,
    /** Among all writers of the run. */
    private readonly index: number,
    private readonly random: Random,
    /** Jobs others write to as well. */
    private readonly shared: readonly string[] = [],
  ) {}

  /** The program was started anew. */
  use(asker: Asker): void {
    this.asker = asker;
  }

  /** One entry; false where nobody answers and it is not known whether it was kept: `again` tells. */
  private pending: { readonly entry: Entry; readonly jobId: string | null } | null = null;

  async write(): Promise<boolean> {
    if (!this.pending) {
      this.count++;
      const key = `${this.name}-${String(this.count).padStart(7, '0')}`;
      const isNew = !this.jobId || this.count % ENTRIES_A_JOB === 0;
      const shared = this.shared[Math.floor(this.random() * this.shared.length)];
      this.pending = isNew
        ? { entry: { key, kind: 'job', text: `Soak ${key}` }, jobId: null }
        : {
            entry: { key, kind: 'reading', text: this.measure() },
            jobId: shared && this.random() < 0.4 ? shared : this.jobId,
          };
    }
    const { entry, jobId } = this.pending;
    const done = await (jobId === null ? this.open(entry) : this.take(entry, jobId));
    if (done) this.pending = null;
    return done;
  }

  /** Millimetres nobody else types. */
  private measure(): string {
    return `${1000 + this.index}.${String(this.count).padStart(6, '0')} mm`;
  }

  private async open(entry: Entry): Promise<boolean> {
    const answer = await this.asker.json<JobSnapshot>('/api/v1/jobs', {
      method: 'POST',
      body: { archer: { name: entry.text }, job: {}, key: entry.key },
    });
    if (!answer || answer.status >= 500) return this.unanswered(answer?.status);
    if (answer.status !== 201) return this.refused(entry, answer);
    this.jobId = answer.body.job.id;
    this.acknowledged.push(entry);
    return true;
  }

  private async take(entry: Entry, jobId: string): Promise<boolean> {
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const job = await this.asker.json<JobSnapshot>(`/api/v1/jobs/${jobId}`);
      if (!job || job.status >= 500) return this.unanswered(job?.status);
      const began = performance.now();
      const answer = await this.asker.json<unknown>(`/api/v1/jobs/${jobId}/commands`, {
        method: 'POST',
        body: {
          version: job.body.job.version,
          key: entry.key,
          command: {
            name: 'takeReadings',
            readings: [{ key: 'armSpan', entered: entry.text }],
          },
        },
      });
      if (!answer || answer.status >= 500) return this.unanswered(answer?.status);
      if (answer.status === 409) {
        // Somebody was quicker: looked at, and entered again.
        this.conflicts++;
        continue;
      }
      this.times.push(performance.now() - began);
      if (answer.status !== 200) return this.refused(entry, answer);
      this.acknowledged.push(entry);
      return true;
    }
    this.wrong.push(`${entry.key}: ${MOST_TRIES} times somebody was quicker`);
    return true;
  }

  private unanswered(status: number | undefined): false {
    // Locked for a moment is said with when to ask again; anything else is a fault.
    if (status !== undefined && status !== 503) this.wrong.push(`status ${status}`);
    return false;
  }

  private refused(entry: Entry, answer: { status: number; body: unknown }): true {
    this.wrong.push(`${entry.key}: ${answer.status} ${JSON.stringify(answer.body).slice(0, 200)}`);
    return true;
  }
}
