import type { Right } from '@/core/people';

/**
 * What an address asks for: a right; `anybody` may ask (to sign in, to see whether the program lives);
 * `calculate` is for everybody while the server listens on this machine alone, else like `look`.
 */
export type Needs = Right | 'anybody' | 'calculate';

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
type Rule = Readonly<Partial<Record<Method, Needs>>>;

const LOOK: Rule = { GET: 'look' };
const ENTER: Rule = { POST: 'enter' };

/** Every address of the application and what it asks for. A test holds it against the files of `src/app`. */
export const ROUTES: Readonly<Record<string, Rule>> = {
  '/': LOOK,
  '/calendar': LOOK,
  '/code': LOOK,
  '/delivered': LOOK,
  '/orders': LOOK,
  '/jobs/[id]': LOOK,
  '/jobs/[id]/meet': LOOK,
  '/jobs/[id]/fit': LOOK,
  '/jobs/[id]/bow': LOOK,
  '/jobs/[id]/kit': LOOK,
  '/jobs/[id]/bench': LOOK,
  '/jobs/[id]/lane': LOOK,
  '/jobs/[id]/steady': LOOK,
  '/jobs/[id]/handover': LOOK,
  '/jobs/[id]/like': LOOK,
  '/jobs/[id]/at-home': LOOK,
  '/jobs/[id]/quote/[revision]': LOOK,
  '/jobs/[id]/sheet/compare': LOOK,
  '/jobs/[id]/sheet/[revision]': LOOK,
  '/jobs/[id]/sheet/[revision]/cards': LOOK,
  '/shop': LOOK,
  '/shop/bows': LOOK,
  '/shop/parts': LOOK,
  '/shop/steps': LOOK,
  '/shop/first': { GET: 'settings' },
  '/shop/people': { GET: 'people' },
  '/shop/done': { GET: 'people' },
  '/archers': { GET: 'erase' },
  '/archers/[archer]': { GET: 'erase' },
  '/sign-in': { GET: 'anybody' },
  '/open': { GET: 'anybody' },

  '/api/[...rest]': { GET: 'look', POST: 'look', PUT: 'look', PATCH: 'look', DELETE: 'look' },
  '/api/v1/health': { GET: 'anybody' },
  '/api/v1/openapi.json': { GET: 'calculate' },
  '/api/v1/compute/[name]': { POST: 'calculate' },

  '/api/v1/opening': { POST: 'anybody' },
  '/api/v1/session': { GET: 'anybody', POST: 'anybody', PUT: 'look', DELETE: 'anybody' },
  '/api/v1/session/pairing': { POST: 'anybody' },
  '/api/v1/session/owner': { POST: 'anybody' },
  '/api/v1/session/secret': { POST: 'look' },
  '/api/v1/archers': { POST: 'enter' },
  '/api/v1/archers/[archer]': { GET: 'erase', DELETE: 'erase' },
  '/api/v1/archers/[archer]/bundle': { GET: 'erase' },
  '/api/v1/people': { POST: 'people' },
  '/api/v1/people/[person]': { PATCH: 'people' },
  '/api/v1/tablets': { POST: 'people' },
  '/api/v1/tablets/[tablet]': { PATCH: 'people', DELETE: 'people' },
  '/api/v1/programs': { POST: 'people' },
  '/api/v1/programs/[program]': { DELETE: 'people' },
  '/api/v1/audit': { GET: 'people' },
  '/api/v1/audit/file': { GET: 'people' },

  '/api/v1/find': LOOK,
  '/api/v1/codes': { POST: 'look' },
  '/api/v1/calendar': LOOK,
  '/api/v1/calendar/appointments': LOOK,
  '/api/v1/calendar/visits': { PUT: 'enter' },
  '/api/v1/delivered': LOOK,
  '/api/v1/whole': { GET: 'export' },
  '/api/v1/backups': { GET: 'look', POST: 'export' },
  '/api/v1/backups/[backup]': { GET: 'restore', POST: 'restore' },

  '/api/v1/jobs': ENTER,
  '/api/v1/jobs/[id]': LOOK,
  // An entry asks for what its own command asks for besides (`commands.ts`).
  '/api/v1/jobs/[id]/commands': { GET: 'look', POST: 'enter' },
  '/api/v1/jobs/[id]/photos': ENTER,
  '/api/v1/jobs/[id]/photos/[photo]': LOOK,
  '/api/v1/jobs/[id]/place': { PUT: 'look' },
  '/api/v1/jobs/[id]/times': ENTER,
  '/api/v1/jobs/[id]/packages': { POST: 'look' },
  '/api/v1/jobs/[id]/packages/frontier': { POST: 'look' },
  '/api/v1/jobs/[id]/history': { GET: 'look', POST: 'look' },
  '/api/v1/jobs/[id]/aims': LOOK,
  '/api/v1/jobs/[id]/aims/[shot]': LOOK,
  '/api/v1/jobs/[id]/at-home': LOOK,
  '/api/v1/jobs/[id]/come-back': LOOK,
  '/api/v1/jobs/[id]/delivery-note': LOOK,
  '/api/v1/jobs/[id]/devices/[device]': LOOK,
  '/api/v1/jobs/[id]/like': LOOK,
  '/api/v1/jobs/[id]/quotes/[revision]': LOOK,
  '/api/v1/jobs/[id]/sheets/[revision]': LOOK,
  '/api/v1/jobs/[id]/sheets/[revision]/card': LOOK,
  '/api/v1/jobs/[id]/sheets/[revision]/code': LOOK,
  '/api/v1/jobs/[id]/sheets/[revision]/pdf': LOOK,
  '/api/v1/jobs/[id]/tape': LOOK,

  '/api/v1/shop': { PATCH: 'settings' },
  '/api/v1/shop/opening': { POST: 'settings' },
  '/api/v1/shop/samples': { POST: 'stock', DELETE: 'stock' },
  '/api/v1/shop/closed': { POST: 'settings' },
  '/api/v1/shop/orders/file': LOOK,
  '/api/v1/shop/orders/[order]': { POST: 'stock' },
  '/api/v1/shop/bow-pieces/[serial]': { PUT: 'stock', POST: 'stock', DELETE: 'stock' },
  '/api/v1/shop/bows/file': { GET: 'look', POST: 'stock' },
  '/api/v1/shop/bows/[bow]': { PUT: 'stock' },
  '/api/v1/shop/parts': LOOK,
  '/api/v1/shop/parts/file': LOOK,
  '/api/v1/shop/parts/supplier': { POST: 'stock' },
  '/api/v1/shop/parts/imports': { POST: 'stock' },
  '/api/v1/shop/parts/imports/[id]': { GET: 'look', POST: 'stock', DELETE: 'stock' },
  '/api/v1/shop/parts/[part]': { PUT: 'stock' },
};

/**
 * What a request asks for. An address nobody knows, or does not do that, is the application's to refuse, to
 * whoever may look.
 */
export function needsOf(route: string, method: string): Needs {
  const rule = ROUTES[route];
  if (!rule) return 'look';
  return rule[(method === 'HEAD' ? 'GET' : method) as Method] ?? 'look';
}
