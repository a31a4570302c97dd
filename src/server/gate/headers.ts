import type { IncomingMessage, ServerResponse } from 'node:http';
import { randomBytes } from 'node:crypto';

/** What every answer says. Nothing of the shop is shown in another site's frame, or guessed to be a script. */
const ALWAYS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'x-frame-options': 'DENY',
  'permissions-policy': 'camera=(self), microphone=(), geolocation=(), payment=(), usb=()',
};

/**
 * Only the shop's own scripts run in its pages, those written into the page only with this answer's own
 * word. Styles are set by attribute everywhere (drawings, charts), so they are not held to it.
 */
const pagePolicy = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** Files are looked at by themselves; a PDF's own viewer wants no more of a policy than this. */
const FILE_POLICY = "frame-ancestors 'none'";

/**
 * Sets what an answer says of itself. The policy of a page is told to the application by the same header,
 * which takes the word of it for the scripts it writes; a request brings none of its own.
 */
export function secure(
  request: IncomingMessage,
  response: ServerResponse,
  path: string,
  dev = false,
): void {
  for (const [name, value] of Object.entries(ALWAYS)) response.setHeader(name, value);
  delete request.headers['content-security-policy'];
  delete request.headers['content-security-policy-report-only'];
  delete request.headers['x-nonce'];
  if (path.startsWith('/api/') || path.startsWith('/_next/'))
    return void response.setHeader('content-security-policy', FILE_POLICY);
  const nonce = randomBytes(18).toString('base64');
  const policy = pagePolicy(dev ? `${nonce}' 'unsafe-eval` : nonce);
  request.headers['content-security-policy'] = policy;
  request.headers['x-nonce'] = nonce;
  response.setHeader('content-security-policy', policy);
}
