import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import type { Logger } from 'pino';
import { Problem } from '../problem';
import { isShipped, pathOf } from './addresses';
import { foreign } from './foreign';
import { secure } from './headers';
import { Limiter, type Allowance } from './limits';

type Handler = (request: IncomingMessage, response: ServerResponse) => Promise<void>;

interface GateOptions {
  /** What answers a request that passes. */
  readonly handler: Handler;
  readonly log: Logger;
  readonly nameOf: (path: string) => string;
  readonly nowMs: () => number;
  /** Names it answers to. */
  readonly names: ReadonlySet<string>;
  /** It is reached by TLS: cookies are sent no other way. */
  readonly secured?: boolean;
  /** The sources are served as they stand: scripts may be put together in the page. */
  readonly dev?: boolean;
  /** Null: nobody is held up, as in tests that send thousands. */
  readonly limits: Limits | null;
  /** Whether who asks may have it, said to the application with the request. */
  readonly admit: Admit;
}

/** What becomes of a request besides being answered: null where it passes. */
export type Admit = (
  request: IncomingMessage,
  asked: { readonly path: string; readonly route: string },
) => Problem | { readonly to: string } | null;

interface Limits {
  readonly tablet: Allowance;
  readonly address: Allowance;
}

/**
 * One tablet opens a page and what it leads to within a second; behind one address stands a whole shop,
 * or all that comes through a proxy. Shop rule.
 */
export const USUAL_LIMITS: Limits = {
  tablet: { burst: 400, perSecond: 30 },
  address: { burst: 1500, perSecond: 120 },
};

const TABLET = 'waffenrad-tablet';
const YEAR_S = 31_536_000;

/** The name this browser was given, which says nothing of who uses it. */
const tabletOf = (request: IncomingMessage): string | null =>
  /(?:^|;\s*)waffenrad-tablet=([0-9a-f-]{36})(?:;|$)/.exec(request.headers.cookie ?? '')?.[1] ??
  null;

const notAnAddress = () =>
  new Problem(400, 'invalid-address', 'This is no address', {
    detail: 'A “%” in it makes no sign, or it takes steps such as “..”. Type the address again.',
    errors: [{ pointer: '', detail: 'is not an address' }],
  });

const tooMany = (seconds: number) =>
  new Problem(429, 'too-many-requests', 'Too many requests', {
    detail: `This screen asked more than a shop’s day needs. The next request is answered in ${seconds} s.`,
    retryAfterS: seconds,
  });

const PLAIN_TEXT = /[&<>"]/g;
const escaped = (text: string) => text.replace(PLAIN_TEXT, (sign) => `&#${sign.charCodeAt(0)};`);

/** What somebody reads who typed the address, or opened one page too many. */
const pageOf = ({ title, message }: Problem): string =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>${escaped(title)}</title>
<body style="margin:12vh auto;max-width:38rem;padding:0 1.5rem;background:#F5F1E8;color:#1E2A2F;font:18px/1.5 sans-serif">
<h1>${escaped(title)}</h1><p>${escaped(message)}</p><p><a href="/" style="color:#0E5A60">Today</a></p></body></html>`;

const wantsPage = (request: IncomingMessage) =>
  String(request.headers.accept).includes('text/html');

function refuse(
  request: IncomingMessage,
  response: ServerResponse,
  problem: Problem,
  headers: Record<string, string> = {},
) {
  const asPage = wantsPage(request);
  response.writeHead(problem.status, {
    'content-type': asPage ? 'text/html; charset=utf-8' : 'application/problem+json',
    'cache-control': 'no-store',
    ...headers,
  });
  response.end(asPage ? pageOf(problem) : JSON.stringify(problem.body()));
}

/** To another page of the shop. */
function sendTo(response: ServerResponse, to: string) {
  response.writeHead(303, { location: to, 'cache-control': 'no-store' });
  response.end();
}

/** Answers on their way: how many, and a word when there are none any more. */
class Underway {
  private count = 0;
  private told: (() => void)[] = [];

  begin(response: ServerResponse): void {
    this.count++;
    let over = false;
    const end = () => {
      if (over) return;
      over = true;
      if (--this.count === 0) for (const tell of this.told.splice(0)) tell();
    };
    response.on('close', end);
    // A device’s lines go on for as long as it is read: nobody waits for their end.
    const write = response.writeHead.bind(response);
    response.writeHead = ((...args: Parameters<typeof write>) => {
      const written = write(...args);
      const given = args.at(-1) as unknown as Readonly<Record<string, unknown>> | undefined;
      const type = response.getHeader('content-type') ?? given?.['content-type'];
      if (String(type).startsWith('text/event-stream')) end();
      return written;
    }) as typeof response.writeHead;
  }

  none(): Promise<void> {
    return this.count === 0 ? Promise.resolve() : new Promise((done) => this.told.push(done));
  }
}

/** What stands before the application: looks at address, name and origin, counts, writes the log. */
export function gate({
  handler,
  log,
  nameOf,
  nowMs,
  limits,
  names,
  admit,
  secured = false,
  dev = false,
}: GateOptions) {
  const tablets = limits && new Limiter(limits.tablet, nowMs);
  const addresses = limits && new Limiter(limits.address, nowMs);
  const underway = new Underway();
  let closing = false;

  const waits = (request: IncomingMessage): number => {
    const tablet = tabletOf(request);
    const one = (tablet && tablets?.take(tablet)) || 0;
    return one || addresses?.take(request.socket.remoteAddress ?? '') || 0;
  };

  async function pass(request: IncomingMessage, response: ServerResponse) {
    const path = pathOf(request.url ?? '');
    if (path === null) return refuse(request, response, notAnAddress());
    secure(request, response, path, dev);
    const stranger = foreign(request, names);
    if (stranger) return refuse(request, response, stranger);
    if (!isShipped(path)) {
      const seconds = waits(request);
      if (seconds > 0)
        return refuse(request, response, tooMany(seconds), { 'retry-after': String(seconds) });
      if (tabletOf(request) === null && wantsPage(request))
        response.appendHeader(
          'set-cookie',
          `${TABLET}=${randomUUID()}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Strict${secured ? '; Secure' : ''}`,
        );
    }
    const kept = admit(request, { path, route: nameOf(path) });
    if (kept instanceof Problem) return refuse(request, response, kept);
    if (kept) return sendTo(response, kept.to);
    // The connection is not kept for another request that nobody would answer.
    if (closing) response.shouldKeepAlive = false;
    await handler(request, response);
  }

  function onRequest(request: IncomingMessage, response: ServerResponse): void {
    const began = nowMs();
    const route = nameOf(pathOf(request.url ?? '') ?? '');
    underway.begin(response);
    response.on('close', () => {
      const entry = {
        method: request.method,
        route,
        status: response.statusCode,
        ms: Math.round((nowMs() - began) * 10) / 10,
        ...(response.writableFinished ? {} : { left: true }),
      };
      if (response.statusCode >= 500) log.error(entry, 'request');
      else if (response.statusCode >= 400) log.warn(entry, 'request');
      else log.info(entry, 'request');
    });
    pass(request, response).catch((error: unknown) => {
      log.error({ route, error: error instanceof Error ? error.stack : String(error) }, 'fault');
      if (response.headersSent) response.destroy();
      else refuse(request, response, new Problem(500, 'fault', 'Something broke here'));
    });
  }

  return {
    onRequest,
    /** From now on connections end with their answer; resolves once every answer has gone. */
    close(): Promise<void> {
      closing = true;
      return underway.none();
    },
  };
}
