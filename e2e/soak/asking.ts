import { Agent, request } from 'node:http';
import { cookieHeader, enterShop } from '../../scripts/sign-in.cjs';

interface Answer {
  readonly status: number;
  readonly ms: number;
  readonly text: string;
}

interface Asked {
  readonly method?: string;
  /** Sent as it stands where it is text or bytes, else as JSON. */
  readonly body?: unknown;
  readonly headers?: Readonly<Record<string, string>>;
}

/** Who is not answered within this goes away. */
const GIVES_UP_MS = 60_000;

/** What all askers of a server keep: they are one tablet, somebody is signed in at it. */
const known = new Map<string, Promise<string>>();

/** The connection was shut in that very moment, or another program was writing in the file. */
const passes = (error: unknown) =>
  error instanceof TypeError
    ? (error.cause as { code?: string } | undefined)?.code !== 'ECONNREFUSED'
    : String(error).includes('problem:file-locked');
const MOST_TRIES = 50;

async function entered(url: string) {
  for (let tries = 1; ; tries++)
    try {
      return await enterShop(url);
    } catch (error) {
      if (tries === MOST_TRIES || !passes(error)) throw error;
      await waiting(100);
    }
}

/** Signed in, and again where that was lost; nobody where the shop’s file lets nobody in. */
function cookieOf(url: string): Promise<string> {
  const kept = known.get(url) ?? entered(url).then(cookieHeader);
  known.set(url, kept);
  return kept.catch(() => {
    known.delete(url);
    return '';
  });
}

/** One that asks a server: an address of this machine, a connection kept. */
export class Asker {
  private readonly agent: Agent;

  /** @param n from 1 to 200: asks from 127.0.0.n, as a tablet of its own would. */
  constructor(
    private readonly url: string,
    n = 1,
  ) {
    this.agent = new Agent({ keepAlive: true, maxSockets: 4, localAddress: `127.0.0.${n}` });
  }

  close(): void {
    this.agent.destroy();
  }

  /** Null where nobody answered. The path is sent as it stands; `fetch` would mend it. */
  async ask(path: string, asked: Asked = {}): Promise<Answer | null> {
    const cookie = await cookieOf(this.url);
    const answer = await this.send(path, { ...asked, headers: { cookie, ...asked.headers } });
    // A page sends who is not signed in to the door.
    if (!answer || ![401, 303].includes(answer.status)) return answer;
    // Another server stands at this address now, or the tablet was locked: signed in anew.
    if ((await cookieOf(this.url)) === cookie) known.delete(this.url);
    return this.send(path, {
      ...asked,
      headers: { cookie: await cookieOf(this.url), ...asked.headers },
    });
  }

  private send(
    path: string,
    { method = 'GET', body, headers = {} }: Asked,
  ): Promise<Answer | null> {
    const { hostname, port } = new URL(this.url);
    const sent =
      body === undefined || typeof body === 'string' || body instanceof Uint8Array
        ? body
        : JSON.stringify(body);
    const began = performance.now();
    return new Promise((done) => {
      const asked = request(
        {
          host: hostname,
          port,
          path,
          method,
          agent: this.agent,
          headers: {
            // Said for every method: of some it would be left out, and the body be read as a request.
            ...(sent === undefined
              ? {}
              : {
                  'content-type': 'application/json',
                  'content-length': String(Buffer.byteLength(sent)),
                }),
            ...headers,
          },
        },
        (response) => {
          const pieces: Buffer[] = [];
          response.on('data', (piece: Buffer) => pieces.push(piece));
          response.on('error', () => done(null));
          response.on('close', () => {
            if (!response.complete) return done(null);
            const text = Buffer.concat(pieces).toString('utf8');
            done({ status: response.statusCode!, ms: performance.now() - began, text });
          });
        },
      );
      asked.setTimeout(GIVES_UP_MS, () => asked.destroy());
      asked.on('error', () => done(null));
      asked.end(sent);
    });
  }

  async json<T>(path: string, asked?: Asked): Promise<{ status: number; body: T } | null> {
    const answer = await this.ask(path, asked);
    if (!answer) return null;
    try {
      return { status: answer.status, body: JSON.parse(answer.text) as T };
    } catch {
      return null;
    }
  }
}

export const waiting = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

/** What of a hundred took at most so long. */
export function quantile(values: readonly number[], part: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? 0;
}
