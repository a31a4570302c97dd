import {
  createServer,
  request,
  type IncomingMessage,
  type Server,
  type ServerResponse,
} from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { turn, until } from '../testing/until';
import { gate } from './gate';

type Options = Parameters<typeof gate>[0];
interface Entry {
  readonly level: number;
  readonly method?: string;
  readonly route: string;
  readonly status?: number;
  readonly ms?: number;
  readonly left?: boolean;
}

let server: Server;
let entries: Entry[];

/** A server whose application answers as told, with its gate. */
async function open(
  handler: Options['handler'],
  limits: Options['limits'] = null,
  admit: Options['admit'] = () => null,
) {
  entries = [];
  const log = pino(
    { base: undefined },
    { write: (line: string) => entries.push(JSON.parse(line)) },
  );
  const opened = gate({
    handler,
    log,
    limits,
    names: new Set(['127.0.0.1']),
    nameOf: (path) => (path.startsWith('/jobs/') ? '/jobs/[id]' : path),
    nowMs: () => performance.now(),
    admit,
  });
  server = createServer(opened.onRequest);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return opened;
}
afterEach(() => {
  server.closeAllConnections();
  server.close();
});

interface Answer {
  readonly status: number;
  readonly headers: IncomingMessage['headers'];
  readonly body: string;
}

/** The address is sent as it stands: `fetch` would mend it. */
const ask = (path: string, headers: Record<string, string> = {}) =>
  new Promise<Answer>((done, failed) => {
    const { port } = server.address() as AddressInfo;
    request({ host: '127.0.0.1', port, path, headers }, (response) => {
      let body = '';
      response.on('data', (piece) => (body += piece));
      response.on('end', () =>
        done({ status: response.statusCode!, headers: response.headers, body }),
      );
    })
      .on('error', failed)
      .end();
  });

const says = (text: string) => (_: IncomingMessage, response: ServerResponse) => {
  response.end(text);
  return Promise.resolve();
};
const logged = (count: number) => until(() => entries.length === count);

test('half a sign in an address is refused before anything else, with the reason', async () => {
  let asked = 0;
  await open((_, response) => {
    asked++;
    response.end();
    return Promise.resolve();
  });
  for (const path of ['/jobs/%', '/jobs/%e0%a4', '/%00']) {
    const answer = await ask(path);
    expect(answer.status).toBe(400);
    expect(answer.headers['content-type']).toBe('application/problem+json');
    expect(JSON.parse(answer.body)).toMatchObject({
      type: 'urn:waffenrad:problem:invalid-address',
      errors: [{ detail: 'is not an address' }],
    });
  }
  expect(asked).toBe(0);
});

test('somebody at a screen is told in words, not in JSON', async () => {
  await open(says('yes'));
  const answer = await ask('/jobs/%', { accept: 'text/html' });
  expect(answer.status).toBe(400);
  expect(answer.headers['content-type']).toBe('text/html; charset=utf-8');
  expect(answer.body).toContain('<h1>This is no address</h1>');
  expect(answer.body).toContain('Type the address again.');
});

test('every request is logged by its route, with status and duration, and nothing of a person', async () => {
  await open(async (incoming, response) => {
    await new Promise((done) => setTimeout(done, 30));
    if (incoming.url!.includes('broken')) response.statusCode = 500;
    response.end('Nora');
  });
  await ask('/jobs/Nora?q=Beispiel', { cookie: 'name=Nora', 'user-agent': 'Tablet of Nora' });
  await ask('/jobs/broken');
  await ask('/jobs/%');
  await logged(3);
  expect(entries.map(({ level, route, status }) => [level, route, status])).toEqual([
    [30, '/jobs/[id]', 200],
    [50, '/jobs/[id]', 500],
    [40, '', 400],
  ]);
  expect(entries[0]!.ms).toBeGreaterThanOrEqual(29);
  expect(JSON.stringify(entries)).not.toMatch(/Nora|Beispiel|127\.0\.0\.1/);
});

describe('limits', () => {
  const limits = {
    tablet: { burst: 3, perSecond: 0.5 },
    address: { burst: 8, perSecond: 1 },
  };
  const tablet = (n: number) => ({
    cookie: `waffenrad-tablet=0000000${n}-0000-4000-8000-000000000000`,
  });

  test('a tablet that asks too much is told when to go on; another one is not held up', async () => {
    await open(says('yes'), limits);
    const answers = [];
    for (let i = 0; i < 4; i++) answers.push(await ask('/', tablet(1)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 429]);
    expect(answers[3]!.headers['retry-after']).toBe('2');
    expect(JSON.parse(answers[3]!.body)).toMatchObject({ status: 429, retryAfterS: 2 });
    expect((await ask('/', tablet(2))).status).toBe(200);
  });

  test('an address is counted too, whatever names it gives', async () => {
    await open(says('yes'), limits);
    const answers = [];
    for (let i = 0; i < 9; i++) answers.push((await ask('/', tablet(i))).status);
    expect(answers).toEqual([...Array<number>(8).fill(200), 429]);
  });

  test('what the build ships is not counted', async () => {
    await open(says('yes'), limits);
    for (let i = 0; i < 20; i++)
      expect((await ask('/_next/static/chunks/a.js', tablet(1))).status).toBe(200);
  });

  test('a page gives its browser a name once, that scripts cannot read', async () => {
    await open(says('yes'), limits);
    const page = await ask('/', { accept: 'text/html' });
    const [cookie] = page.headers['set-cookie']!;
    expect(cookie).toMatch(/^waffenrad-tablet=[0-9a-f-]{36}; .*HttpOnly; SameSite=Strict$/);
    const again = await ask('/', { accept: 'text/html', cookie: cookie!.split(';')[0]! });
    expect(again.headers['set-cookie']).toBeUndefined();
    expect((await ask('/api/v1/shop')).headers['set-cookie']).toBeUndefined();
  });
});

describe('the end', () => {
  test('answers on their way are waited for', async () => {
    let finish: (() => void) | null = null;
    const { close } = await open(
      (_, response) =>
        new Promise((done) => {
          finish = () => {
            response.end('kept');
            done();
          };
        }),
    );
    const answer = ask('/');
    await until(() => finish !== null);
    let closed = false;
    const closing = close().then(() => (closed = true));
    await turn();
    expect(closed).toBe(false);
    finish!();
    expect((await answer).body).toBe('kept');
    await closing;
    expect(closed).toBe(true);
  });

  test('a device’s lines are not', async () => {
    let asked = false;
    const { close } = await open((_, response) => {
      response.writeHead(200, { 'content-type': 'text/event-stream' });
      response.write('data: 1\n\n');
      asked = true;
      return Promise.resolve();
    });
    ask('/').catch(() => undefined);
    await until(() => asked);
    await close();
  });

  test('a connection is not kept for more', async () => {
    const { close } = await open(says('yes'));
    await close();
    expect((await ask('/')).headers.connection).toBe('close');
  });
});

test('a fault of the application is a 500 with nothing of its inside, and stands in the log', async () => {
  await open(() => Promise.reject(new Error('inside')));
  const answer = await ask('/');
  expect(answer.status).toBe(500);
  expect(answer.body).not.toContain('inside');
  await logged(2);
  expect(JSON.stringify(entries)).toContain('inside');
});

test('who leaves before the answer stands in the log as gone', async () => {
  let asked = false;
  await open(() => {
    asked = true;
    return new Promise(() => undefined);
  });
  const { port } = server.address() as AddressInfo;
  const leaving = request({ host: '127.0.0.1', port, path: '/' });
  leaving.on('error', () => undefined).end();
  await until(() => asked);
  leaving.destroy();
  await logged(1);
  expect(entries).toMatchObject([{ route: '/', left: true }]);
});
