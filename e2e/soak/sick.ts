import { spawn } from 'node:child_process';
import {
  chmodSync,
  chownSync,
  closeSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  openSync,
  statSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { seeded } from '@/core/numerics';
import type { JobSnapshot } from '@/core/job';
import { freePort, ownPort, SERVER, startServer } from '../../scripts/serve.cjs';
import { Asker, waiting } from './asking';
import { lookFor } from './look';
import { Writer } from './writer';

/** What the screen and a supervisor are told of a file. */
interface Told {
  readonly page: number;
  readonly words: string;
  readonly health: number;
  readonly kind: string;
}

interface Ground {
  /** A shop to copy. */
  readonly db: string;
  readonly folder: string;
  readonly env: Readonly<Record<string, string>>;
}

let copies = 0;
function copyOf({ db, folder }: Ground): string {
  const own = join(folder, `sick-${++copies}`);
  mkdirSync(own);
  const copy = join(own, 'shop.sqlite');
  copyFileSync(db, copy);
  return copy;
}

const end = (child: ReturnType<typeof spawn>, signal: NodeJS.Signals = 'SIGTERM') =>
  new Promise<number | null>((done) => {
    if (child.exitCode !== null) return done(child.exitCode);
    child.once('exit', (code) => done(code));
    child.kill(signal);
  });

async function toldBy(url: string): Promise<Told> {
  const asker = new Asker(url);
  const page = await asker.ask('/');
  const health = await asker.json<{ type?: string }>('/api/v1/health');
  asker.close();
  return {
    page: page?.status ?? 0,
    words: page?.text ?? '',
    health: health?.status ?? 0,
    kind: String(health?.body.type ?? 'well').replace(/^.*:file-/, ''),
  };
}

/** Opened by a program that finds it so; told what it says. */
async function opened(path: string, env: Ground['env']): Promise<Told> {
  const { child, url } = await startServer({ port: await ownPort(), db: path, env });
  const told = await toldBy(url);
  await end(child);
  return told;
}

export async function newer(ground: Ground): Promise<Told & { readonly mended: Told }> {
  const path = copyOf(ground);
  const mark = (version: number) => {
    const db = new Database(path);
    const was = db.pragma('user_version', { simple: true }) as number;
    db.pragma(`user_version = ${version}`);
    db.close();
    return was;
  };
  const was = mark(9999);
  const { child, url } = await startServer({
    port: await ownPort(),
    db: path,
    env: ground.env,
  });
  const told = await toldBy(url);
  // As if the newer program had been there: no need to start again.
  mark(was);
  const mended = await toldBy(url);
  await end(child);
  return { ...told, mended };
}

export async function damaged(ground: Ground): Promise<Told> {
  const path = copyOf(ground);
  const file = openSync(path, 'r+');
  writeSync(file, Buffer.alloc(4096, 0x58), 0, 4096, 0);
  closeSync(file);
  return opened(path, ground.env);
}

export async function foreign(
  ground: Ground,
): Promise<Told & { readonly tables: readonly string[] }> {
  const path = join(ground.folder, `foreign-${++copies}.sqlite`);
  const db = new Database(path);
  db.exec('CREATE TABLE songs (title TEXT) STRICT');
  db.close();
  const told = await opened(path, ground.env);
  const after = new Database(path, { readonly: true });
  const tables = after.prepare('SELECT name FROM sqlite_master').pluck().all() as string[];
  after.close();
  return { ...told, tables };
}

/** The program begun by another command than usual; null where it does not answer within ten seconds. */
async function begun(
  path: string,
  { env }: Ground,
  [command, ...args]: readonly [string, ...string[]],
  as: { readonly uid?: number; readonly gid?: number } = {},
) {
  const port = await ownPort();
  const child = spawn(command, args, {
    ...as,
    stdio: 'ignore',
    env: {
      ...process.env,
      WAFFENRAD_BACKUPS: 'off',
      WAFFENRAD_LOG: 'silent',
      NODE_ENV: 'production',
      ...env,
      WAFFENRAD_DB: path,
      HOST: '127.0.0.1',
      PORT: String(port),
    },
  });
  const url = `http://127.0.0.1:${port}`;
  const asker = new Asker(url);
  let up = false;
  for (let i = 0; i < 100 && !up && child.exitCode === null; i++) {
    up = (await asker.ask('/icon.svg')) !== null;
    if (!up) await waiting(100);
  }
  asker.close();
  if (up) return { child, url, port };
  await end(child, 'SIGKILL');
  return null;
}

/** Somebody else’s by the rights of the system; null where this cannot be tried: the user may do anything. */
export async function readOnly(ground: Ground): Promise<Told | null> {
  const path = copyOf(ground);
  const nobody = 65_534;
  const isRoot = process.getuid?.() === 0;
  chmodSync(path, 0o444);
  chmodSync(join(path, '..'), 0o555);
  // The file's owner stays; the program runs as one who may only read.
  chmodSync(ground.folder, 0o755);
  if (isRoot) chownSync(join(path, '..'), 0, 0);
  const server = await begun(
    path,
    ground,
    [process.execPath, SERVER],
    isRoot ? { uid: nobody, gid: nobody } : {},
  );
  const told = server && (await toldBy(server.url));
  if (server) await end(server.child, 'SIGKILL');
  chmodSync(join(path, '..'), 0o755);
  return told;
}

/** The disk has no room for more, then some again. */
export async function full(ground: Ground) {
  const path = copyOf(ground);
  // A limit on the size of files stands for a disk that is full: writing beyond it fails.
  const blocks = Math.ceil(statSync(path).size / 1024) + 48;
  const limited = `ulimit -f ${blocks}; exec "$0" "$1"`;
  const server = await begun(path, ground, ['bash', '-c', limited, process.execPath, SERVER]);
  if (!server) throw new Error('The server on a small disk did not begin');
  const { child, url, port } = server;
  const asker = new Asker(url);
  const kinds = new Set<string>();
  const kept: string[] = [];
  // Notes grow until there is no room: each entry is kept whole or refused whole.
  const [{ jobId }] = (await asker.json<[{ jobId: string }]>('/api/v1/find?q=ilse'))!.body;
  for (let i = 0; i < 1000 && kinds.size === 0; i++) {
    const job = await asker.json<JobSnapshot>(`/api/v1/jobs/${jobId}`);
    const notes = `${i} ${'n'.repeat(900)}`;
    const answer = await asker.json<JobSnapshot & { type?: string; detail?: string }>(
      `/api/v1/jobs/${jobId}/commands`,
      {
        method: 'POST',
        body: {
          version: job!.body.job.version,
          command: { name: 'setAnswers', job: { notes } },
        },
      },
    );
    if (answer?.status === 200) kept.push(notes);
    else kinds.add(`${answer?.status} ${String(answer?.body.type).replace(/^.*:/, '')}`);
  }
  // What little a look needs may still have room for a while.
  let told = await toldBy(url);
  for (let i = 0; i < 40 && told.health === 200; i++) told = await toldBy(url);
  const still = await asker.json<JobSnapshot>(`/api/v1/jobs/${jobId}`);
  asker.close();
  await end(child, 'SIGKILL');
  const after = await startServer({ port, db: path, env: ground.env });
  const again = new Asker(after.url);
  const whole = await again.json<JobSnapshot>(`/api/v1/jobs/${jobId}`);
  again.close();
  await end(after.child);
  return {
    refused: [...kinds],
    told,
    kept: kept.length,
    readable: still?.body.job.notes === kept.at(-1),
    wholeAfterwards: whole?.body.job.notes === kept.at(-1),
  };
}

/** Two programs on one file, both written to. */
export async function twoServers(
  ground: Ground,
  { seconds, each }: { seconds: number; each: number },
) {
  const path = copyOf(ground);
  const both = [];
  for (let n = 0; n < 2; n++)
    both.push(await startServer({ port: await ownPort(), db: path, env: ground.env }));
  const askers = both.map(({ url }, n) => new Asker(url, n + 2));
  const [{ jobId }] = (await askers[0]!.json<[{ jobId: string }]>('/api/v1/find?q=ilse'))!.body;
  const writers = askers.map((asker, n) => new Writer(asker, `two${n}`, n, seeded(n + 1), [jobId]));
  const until = Date.now() + seconds * 1000;
  await Promise.all(
    writers.map(async (writer) => {
      // A slow machine writes less in its seconds: each goes on until it has written enough.
      while (Date.now() < until || writer.acknowledged.length < each)
        if (!(await writer.write())) await waiting(20);
    }),
  );
  // Each shows what the other one wrote.
  const seen = await Promise.all(
    askers.map((asker) => asker.json<JobSnapshot>(`/api/v1/jobs/${jobId}`)),
  );
  askers.forEach((asker) => asker.close());
  await Promise.all(both.map(({ child }) => end(child)));
  const entries = writers.flatMap(({ acknowledged }) => acknowledged);
  return {
    entries: entries.length,
    wrong: writers.flatMap(({ wrong }) => wrong),
    agree: seen[0]!.body.job.version === seen[1]!.body.job.version,
    ...lookFor(path, entries),
  };
}

/** Begun in the same instant on a file that is not there yet. */
export async function sideBySide(ground: Ground): Promise<readonly number[]> {
  const own = join(ground.folder, `side-${++copies}`);
  mkdirSync(own);
  const path = join(own, 'shop.sqlite');
  const first = await ownPort();
  const ports = [first, await freePort(first + 1)];
  const both = await Promise.all(
    // One is told to open a new shop; the other finds it there as soon as it is.
    ports.map((port, i) => startServer({ port, db: path, env: ground.env, fresh: i === 0 })),
  );
  const told = await Promise.all(both.map(({ url }) => toldBy(url)));
  await Promise.all(both.map(({ child }) => end(child)));
  return told.map(({ health }) => health);
}

/** Without a file: what it says as it begins, what it answers, and whether it made one. */
export async function noShop(ground: Ground) {
  const path = join(ground.folder, 'nowhere', 'shop.sqlite');
  const port = await ownPort();
  const child = spawn(process.execPath, [SERVER], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      ...ground.env,
      WAFFENRAD_DB: path,
      PORT: String(port),
      NODE_ENV: 'production',
    },
  });
  let said = '';
  for (const out of [child.stdout, child.stderr]) out.on('data', (text) => (said += String(text)));
  const url = `http://127.0.0.1:${port}`;
  const at = (headers: Record<string, string> = {}) =>
    fetch(url, { redirect: 'manual', headers }).then(
      async (answer) => ({ to: answer.headers.get('location'), words: await answer.text() }),
      () => null,
    );
  for (let tries = 0; tries < 100 && !(await at()); tries++) await waiting(100);
  const here = await at();
  // Through a proxy: from somewhere else.
  const elsewhere = await at({ 'x-forwarded-for': '192.0.2.7' });
  const health = await fetch(`${url}/api/v1/health`);
  const kind = ((await health.json()) as { type: string }).type.replace(/^.*:/, '');
  await end(child);
  return { said, made: existsSync(path), here: here?.to, elsewhere: elsewhere?.words ?? '', kind };
}

/** Asked to stop while tablets write: how it ends, and what is left beside the file. */
export async function gracefulEnd(ground: Ground) {
  const path = copyOf(ground);
  const { child, url } = await startServer({
    port: await ownPort(),
    db: path,
    env: ground.env,
  });
  const asker = new Asker(url);
  const writers = [0, 1, 2].map((n) => new Writer(asker, `stop${n}`, n, seeded(n + 7)));
  let over = false;
  const working = writers.map(async (writer) => {
    while (!over) if (!(await writer.write())) await waiting(20);
  });
  while (writers.some(({ acknowledged }) => acknowledged.length === 0)) await waiting(20);
  const began = performance.now();
  // A supervisor tells every process of the shop, and the one that started this one tells it again.
  child.kill('SIGTERM');
  const code = await end(child);
  const ms = performance.now() - began;
  over = true;
  await Promise.all(working);
  asker.close();
  const entries = writers.flatMap(({ acknowledged }) => acknowledged);
  const log = existsSync(`${path}-wal`);
  return { code, ms, log, entries: entries.length, ...lookFor(path, entries) };
}
