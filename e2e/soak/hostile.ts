import { Command } from '@/contracts/commands';
import { ShopChange } from '@/contracts/shop';
import { seeded, type Random } from '@/core/numerics';
import type { JobSnapshot } from '@/core/job';
import { CALCULATIONS } from '@/server/compute';
import { Asker, quantile, waiting } from './asking';
import type { Memory } from './memory';
import { addressOf, everyRoute, queryOf } from './routes';
import { NASTY, oneOf, sampleOf, spoilt, type Words } from './sample';
import { knownWords } from './known-words';

interface Hostile {
  readonly sent: number;
  readonly byStatus: Readonly<Record<string, number>>;
  /** Requests the program broke at, or did not answer. */
  readonly broken: readonly string[];
  /** What an honest tablet waited for its job meanwhile, ms. */
  readonly bystander: { readonly asked: number; readonly p99: number; readonly worst: number };
  /** Warm, and at the end. */
  readonly memory: readonly [before: Memory, after: Memory];
}

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD'] as const;
const SIDE_BY_SIDE = 8;

interface Ammunition {
  readonly jobId: string;
  readonly version: number;
  readonly words: Words;
  readonly known: Readonly<Record<string, readonly string[]>>;
}

interface Shot {
  readonly path: string;
  readonly method: string;
  readonly body?: unknown;
  readonly headers?: Readonly<Record<string, string>>;
}

/** Bodies that are no good whatever they are sent to. */
const rawBody = (random: Random): string | Uint8Array =>
  oneOf<() => string | Uint8Array>(random, [
    () => '',
    () => '{',
    () => 'null',
    () => '"x"',
    () => '['.repeat(20_000),
    () => `{"a":${'['.repeat(3000)}${']'.repeat(3000)}}`,
    () => `{"__proto__":{"x":1}}`,
    () => JSON.stringify({ text: 'x'.repeat(300_000) }),
    () => JSON.stringify(Array(30_000).fill({})),
    () => ' '.repeat(1_100_000),
    // Latin-1, and the beginning of a picture.
    () => Uint8Array.from([0x7b, 0x22, 0xe4, 0x22, 0x3a, 0x31, 0x7d]),
    () => Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a]),
  ])();

const calculations = Object.entries(CALCULATIONS);

function shot(random: Random, ammunition: Ammunition, routes: readonly string[]): Shot {
  const { jobId, version, words, known } = ammunition;
  const dice = random();
  if (dice < 0.3) {
    const command = sampleOf(oneOf(random, Command.anyOf) as never, random, words);
    const body = { version, command };
    return {
      path: `/api/v1/jobs/${jobId}/commands`,
      method: 'POST',
      body: spoilt(body, random),
    };
  }
  if (dice < 0.6) {
    const [name, { request }] = oneOf(random, calculations);
    const body = sampleOf(request as never, random, words);
    return {
      path: `/api/v1/compute/${name}`,
      method: 'POST',
      body: random() < 0.6 ? spoilt(body, random) : body,
    };
  }
  const route = oneOf(random, routes);
  const method = oneOf(random, METHODS);
  const path = addressOf(route, known, random) + queryOf(random);
  const isWrite = method !== 'GET' && method !== 'HEAD' && method !== 'OPTIONS';
  if (!isWrite) return { path, method };
  if (random() < 0.4)
    return {
      path,
      method,
      body: rawBody(random),
      headers: random() < 0.3 ? { 'content-type': 'text/plain' } : {},
    };
  // A shop that means it would lose its own settings by this: they are spoilt, so never whole.
  const body = route.endsWith('/shop')
    ? { ...(sampleOf(ShopChange as never, random, words) as object), nosuch: 1 }
    : { [oneOf(random, ['cells', 'state', 'text', 'place', 'event'])]: oneOf(random, NASTY) };
  return { path, method, body: spoilt(body, random) };
}

/** So much of it before memory is looked at first: what is loaded when it is first needed is loaded. */
const WARM = 0.2;

/** Sends what nobody should send to every address, command and calculation, while one honest tablet works. */
export async function hostile(
  url: string,
  look: () => Promise<Memory>,
  { requests, seed }: { requests: number; seed: number },
): Promise<Hostile> {
  const honest = new Asker(url, 200);
  const found = await honest.json<{ jobId: string }[]>('/api/v1/find?q=ilse');
  const [{ jobId }] = found!.body as [{ jobId: string }];
  const { body: job } = (await honest.json<JobSnapshot>(`/api/v1/jobs/${jobId}`))!;
  const parts = (await honest.json<{ parts: { id: string }[] }>('/api/v1/shop/parts?limit=50'))!;
  const partIds = parts.body.parts.map(({ id }) => id);
  const ammunition: Ammunition = {
    jobId,
    version: job.job.version,
    words: knownWords(partIds, [job.bow?.id ?? 'x']),
    known: {
      id: [jobId],
      name: calculations.map(([name]) => name),
      revision: ['1'],
      device: ['bow-scale', 'chronograph', 'nosuch'],
      part: partIds,
      bow: [job.bow?.id ?? 'x'],
      serial: ['FJ-20418'],
      order: ['1'],
      rest: ['x/y/z'],
    },
  };
  const routes = everyRoute();
  const byStatus: Record<string, number> = {};
  const broken: string[] = [];
  const waits: number[] = [];
  let left = 0;
  const attack = async (n: number) => {
    const random = seeded(seed + n);
    const asker = new Asker(url, n + 2);
    while (left-- > 0) {
      const { path, method, body, headers } = shot(random, ammunition, routes);
      const answer = await asker.ask(path, { method, body, ...(headers ? { headers } : {}) });
      const status = String(answer?.status ?? 'none');
      byStatus[status] = (byStatus[status] ?? 0) + 1;
      // 503 says that it is too much just now, 507 that a backup found no room: said, not broken.
      const isBroken = !answer || (answer.status >= 500 && ![503, 507].includes(answer.status));
      if (isBroken)
        broken.push(
          `${status} ${method} ${path.slice(0, 120)} ${JSON.stringify(body)?.slice(0, 300)}`,
        );
    }
    asker.close();
  };
  let over = false;
  const stand = async () => {
    while (!over) {
      const answer = await honest.ask(`/api/v1/jobs/${jobId}`);
      waits.push(answer?.status === 200 ? answer.ms : Number.POSITIVE_INFINITY);
      await waiting(50);
    }
  };
  const standing = stand();
  const attacks = (count: number, from: number) => {
    left = count;
    return Promise.all(Array.from({ length: SIDE_BY_SIDE }, (_, n) => attack(from + n)));
  };
  const warm = Math.round(requests * WARM);
  await attacks(warm, 0);
  const before = await look();
  await attacks(requests - warm, SIDE_BY_SIDE);
  const after = await look();
  over = true;
  await standing;
  honest.close();
  return {
    sent: requests,
    byStatus,
    broken,
    bystander: { asked: waits.length, p99: quantile(waits, 0.99), worst: Math.max(...waits) },
    memory: [before, after],
  };
}
