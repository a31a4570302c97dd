import type { IncomingMessage } from 'node:http';
import { db, type Db } from '@/data/db';
import { ASKER, signedOut, writeAsker } from '../access/asker';
import { identify, isAtMachine, strangerOf } from '../access/identify';
import { passage } from '../access/pass';
import { needsOf } from '../access/routes';
import { nowIso } from '../clock';
import { isResting, resting } from '../resting';
import { sicknessOf, sickProblem } from '../sick';
import { isShipped } from './addresses';
import type { Admit } from './gate';

/** Files of the application that hold nothing of a shop. */
const OPEN_FILES = new Set(['/icon.svg', '/sw.js', '/favicon.ico']);

const isFetched = (path: string) => path.startsWith('/api/');

const writes = ({ method = 'GET' }: IncomingMessage) => !['GET', 'HEAD'].includes(method);

/** Where to sign in, and where to go on to afterwards. */
const signInAt = (request: IncomingMessage, path: string) =>
  path === '/' ? '/sign-in' : `/sign-in?to=${encodeURIComponent(target(request))}`;

/** What the browser asked for, without the mark of its own quick way of asking. */
const target = ({ url = '/' }: IncomingMessage) =>
  url.replace(/([?&])_rsc=[^&]*(&|$)/, (_, before: string, after: string) =>
    after === '&' ? before : '',
  );

/** Who asks, and whether they may; told to the application by a header it takes from nobody else. */
export function admitBy({
  onLoopback,
  secured,
  dev = false,
  open = db,
}: {
  readonly onLoopback: boolean;
  readonly secured: boolean;
  readonly dev?: boolean;
  readonly open?: () => Db;
}): Admit {
  return (request, { path, route }) => {
    delete request.headers[ASKER];
    if (isShipped(path) || OPEN_FILES.has(path)) return null;
    if (dev && /^\/(_next|__nextjs)/.test(path)) return null;
    const needs = needsOf(route, request.method ?? 'GET');
    // Calculations hold nothing of a shop: they answer whatever becomes of its file.
    const alone = onLoopback && isAtMachine(request);
    if (needs === 'calculate' && alone) return null;
    try {
      const on = open();
      const asker = identify(request, { db: on, at: nowIso(), secured });
      request.headers[ASKER] = writeAsker(asker);
      const passed = passage(asker, { needs, onLoopback: alone, db: on });
      if (passed === 'passes') return isResting() && writes(request) ? resting() : null;
      if (passed !== 'signs-in') return passed;
      return isFetched(path)
        ? signedOut(request.method !== 'GET')
        : { to: signInAt(request, path) };
    } catch (error) {
      const sick = sicknessOf(error);
      if (!sick) throw error;
      const asker = strangerOf(request, secured);
      request.headers[ASKER] = writeAsker(asker);
      if (sick.kind === 'no-shop' && asker.atMachine && !isFetched(path) && path !== '/open')
        return { to: '/open' };
      // The page says what is wrong with the file; it has nothing of the shop to show.
      return isFetched(path) && needs !== 'anybody' ? sickProblem(sick) : null;
    }
  };
}
