import type { IncomingMessage } from 'node:http';
import { Problem } from '../problem';
import { nameOfHost } from './own-names';

/** What only reads. */
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
/** What a browser says of a request that comes from the shop's own pages, or from the address line. */
const OWN_SITE = new Set(['same-origin', 'none']);
/** Bodies that are read here. A form of a foreign page can send none of them unasked. */
const BODIES = /^(application\/json|application\/octet-stream|image\/[a-z0-9.+-]+)\s*(;|$)/i;

const refusal = (status: number, reason: string, title: string, detail: string) =>
  new Problem(status, reason, title, { detail });

const otherName = () =>
  refusal(
    421,
    'other-name',
    'This is not the shop’s name',
    'The shop answers to its own names and addresses only. Use the address the program printed as it began; a name of your own is added with WAFFENRAD_NAMES.',
  );

const foreignPage = () =>
  refusal(
    403,
    'foreign-page',
    'Another site’s page sent this',
    'Entries are taken from the shop’s own pages only. Open the shop itself and enter it there.',
  );

const otherBody = () =>
  refusal(
    415,
    'other-body',
    'This kind of body is not read',
    'Send JSON (content-type: application/json), or the bytes of a photograph.',
  );

const hasBody = ({ headers }: IncomingMessage) =>
  headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;

/** The page that sent it is of the very host and port it is sent to. */
function isOwnOrigin(origin: string, host: string | undefined): boolean {
  try {
    const { host: from, protocol } = new URL(origin);
    return /^https?:$/.test(protocol) && from === host?.toLowerCase();
  } catch {
    // “null”: a sandboxed frame, a file, a redirect across sites.
    return false;
  }
}

/**
 * What must not pass, whoever asks: a request under a name that is not the shop's (its address bound to a
 * foreign name), a writing request that a browser sends from another site's page, a body of a kind a
 * foreign form can send. Programs, which send neither Origin nor Sec-Fetch-Site, pass.
 *
 * @returns null for what may pass.
 */
export function foreign(request: IncomingMessage, names: ReadonlySet<string>): Problem | null {
  const { headers, method = '' } = request;
  const name = nameOfHost(headers.host);
  if (name === null || !names.has(name)) return otherName();
  if (READS.has(method)) return null;
  const site = headers['sec-fetch-site'];
  if (site !== undefined && !OWN_SITE.has(String(site))) return foreignPage();
  if (headers.origin !== undefined && !isOwnOrigin(headers.origin, headers.host))
    return foreignPage();
  return hasBody(request) && !BODIES.test(headers['content-type'] ?? '') ? otherBody() : null;
}
