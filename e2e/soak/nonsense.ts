import { Command } from '@/contracts/commands';
import { seeded } from '@/core/numerics';
import type { JobSnapshot } from '@/core/job';
import { STAGES } from '@/core/setup';
import type { Asker } from './asking';
import { knownWords } from './known-words';
import { oneOf, sampleOf } from './sample';

interface Nonsense {
  readonly sent: number;
  readonly taken: number;
  readonly byName: Readonly<Record<string, number>>;
  readonly broken: readonly string[];
  /** Pages to be drawn of the jobs that hold it. */
  readonly pages: readonly string[];
}

const TAKE_READINGS = Command.anyOf.find(
  ({ properties: { name } }) => (name as { const: string }).const === 'takeReadings',
)!;

/** Commands on one job until it is as strange as it gets; then another one. */
const A_JOB = 60;

/** What is valid by its schema and makes no sense: whatever of it is taken must be drawn afterwards. */
export async function nonsense(
  asker: Asker,
  { commands, seed }: { commands: number; seed: number },
): Promise<Nonsense> {
  const random = seeded(seed);
  const parts = await asker.json<{ parts: { id: string }[] }>('/api/v1/shop/parts?limit=200');
  const bowFile = (await asker.ask('/api/v1/shop/bows/file'))!.text;
  const bows = bowFile.split('\n').flatMap((line) => line.split(',')[0] || []);
  const words = knownWords(
    parts!.body.parts.map(({ id }) => id),
    bows,
  );
  // Some begin empty, some in the middle of the work.
  const known = await Promise.all(
    ['ilse', 'noor', 'mattis'].map((name) =>
      asker.json<{ jobId: string }[]>(`/api/v1/find?q=${name}`),
    ),
  );
  const begun = known.flatMap((list) => (list?.body ?? []).map(({ jobId }) => jobId));
  const byName: Record<string, number> = {};
  const broken: string[] = [];
  const pages: string[] = [];
  let job: JobSnapshot | null = null;
  let taken = 0;
  for (let i = 0; i < commands; i++) {
    if (i % A_JOB === 0) {
      const known = begun.shift();
      const opened = await (known
        ? asker.json<JobSnapshot>(`/api/v1/jobs/${known}`)
        : asker.json<JobSnapshot>('/api/v1/jobs', {
            method: 'POST',
            body: { archer: { name: `Nonsense ${i}` }, job: {} },
          }));
      job = opened!.body;
      pages.push(...STAGES.map(({ id }) => `/jobs/${job!.job.id}/${id}`));
    }
    // Readings are what most of the work is.
    const schema = random() < 0.4 ? TAKE_READINGS : oneOf(random, Command.anyOf);
    const made = sampleOf(schema as never, random, words) as {
      name: string;
      readings?: readonly unknown[];
    };
    // Of several readings one is wrong nearly always, and none is taken.
    const command = made.readings ? { ...made, readings: made.readings.slice(0, 1) } : made;
    const answer = await asker.json<JobSnapshot>(`/api/v1/jobs/${job!.job.id}/commands`, {
      method: 'POST',
      body: { version: job!.job.version, command },
    });
    if (!answer || answer.status >= 500)
      broken.push(`${answer?.status ?? 'none'} ${JSON.stringify(command).slice(0, 400)}`);
    if (answer?.status !== 200) continue;
    taken++;
    byName[command.name] = (byName[command.name] ?? 0) + 1;
    job = answer.body;
  }
  pages.push('/', '/calendar', '/delivered', '/orders', '/shop', '/shop/bows', '/shop/parts');
  return { sent: commands, taken, byName, broken, pages };
}
