import Papa from 'papaparse';
import { FORMULA } from '@/contracts/csv';
import { bowName } from '@/core/bow';
import { CHECK_SHOTS, type RegisterRow, type RegisterView } from '@/core/job';
import { partName } from '@/core/kit';
import { db, type Db } from '@/data/db';
import { findJobs } from '@/data/job-find';
import { searchParts } from '@/data/part-search';
import {
  onBows,
  registerCount,
  registerPage,
  type RegisterHead,
  type RegisterWish,
} from '@/data/register';
import { shopSettings } from '@/data/settings';
import { bowById, partById } from '@/data/stock';
import { shopDay } from './clock';
import { Problem } from './problem';

const ON_A_PAGE = 50;
/** Of a search: more is asked for with another word. */
const MOST_FOUND = 40;
const LONGEST = 100;
const MOST_PARTS = 6;
/** Rows of a file: more bows than a shop hands over in its life. */
const MOST_ROWS = 20_000;

type Asked = Readonly<Record<string, string | undefined>>;

interface Wished {
  readonly wish: RegisterWish;
  readonly show: RegisterView['asked']['show'];
  readonly what: string;
  readonly query: string;
}

/** What an address asks for; an unknown part or bow is told, anything else is the whole register. */
function wished({ show, part, bow, q }: Asked, from: Db, day: string): Wished {
  if (part) {
    const found = partById(from, part);
    if (!found) throw unknown(`part “${part.slice(0, 60)}”`);
    const query = new URLSearchParams({ part }).toString();
    return { wish: { of: 'part', itemId: part }, show: 'part', what: partName(found), query };
  }
  if (bow) {
    const found = bowById(from, bow);
    if (!found) throw unknown(`bow “${bow.slice(0, 60)}”`);
    const query = new URLSearchParams({ bow }).toString();
    return { wish: { of: 'bow', bowId: bow }, show: 'bow', what: bowName(found), query };
  }
  if (show === 'due') return { wish: { of: 'due', day }, show: 'due', what: '', query: 'show=due' };
  const text = (q ?? '').trim().slice(0, LONGEST);
  if (text === '') return { wish: { of: 'all' }, show: 'all', what: '', query: '' };
  const jobIds = findJobs(from, text, MOST_FOUND).map(({ jobId }) => jobId);
  const query = new URLSearchParams({ q: text }).toString();
  return { wish: { of: 'jobs', jobIds }, show: 'found', what: text, query };
}

const unknown = (what: string) =>
  new Problem(404, 'not-found', 'There is no such thing in the shop', {
    detail: `There is no ${what} in the shop’s lists.`,
  });

/** @param asked as it stands in the address; what is no page is the first, past the last the last. */
export function registerView(asked: Asked, from: Db = db()): RegisterView {
  const { timeZone } = shopSettings(from);
  const day = shopDay(timeZone);
  const { wish, show, what, query } = wished(asked, from, day);
  const count = registerCount(from, wish);
  const pages = Math.max(1, Math.ceil(count / ON_A_PAGE));
  const page = /^[1-9]\d{0,6}$/.test(asked.page ?? '') ? Math.min(pages, Number(asked.page)) : 1;
  const heads = registerPage(from, wish, { limit: ON_A_PAGE, offset: (page - 1) * ON_A_PAGE });
  return {
    rows: heads.map((head) => rowOf(head, day, timeZone)),
    page,
    pages,
    count,
    day,
    asked: { show, text: show === 'found' ? what : '', what, query },
    parts: show === 'found' ? partsFound(what, from) : [],
  };
}

function partsFound(text: string, from: Db): RegisterView['parts'] {
  const { parts } = searchParts(from, { text, kind: null, limit: 40, offset: 0 });
  const counts = onBows(
    from,
    parts.map(({ id }) => id),
  );
  return parts
    .flatMap((part) => {
      const count = counts.get(part.id) ?? 0;
      return count === 0 ? [] : [{ id: part.id, name: partName(part), count }];
    })
    .slice(0, MOST_PARTS);
}

function rowOf(head: RegisterHead, day: string, timeZone: string): RegisterRow {
  const { jobId, number, name, serial, sheets, visits, shotsBefore, shotsSince } = head;
  const strungAt = head.stringAt ?? (head.condition === 'new' ? head.firstLeftAt : null);
  return {
    jobId,
    number,
    name,
    guardian: head.minor === 1 ? head.guardianName : '',
    bow: head.maker === null || head.model === null ? '' : `${head.maker} ${head.model}`,
    serial,
    leftDay: shopDay(timeZone, head.leftAt),
    inShop: head.deliveredAt === null,
    sheets,
    visits: Math.max(0, visits),
    stringDay: strungAt === null ? null : shopDay(timeZone, strungAt),
    shots: shotsBefore + shotsSince,
    checkDay: head.comeBackDay,
    due:
      head.deliveredAt !== null &&
      ((head.comeBackDay !== null && head.comeBackDay <= day) || shotsSince >= CHECK_SHOTS),
  };
}

/** What the page shows, all of it, as a file to call or write to the archers by. */
export function registerFile(asked: Asked, from: Db = db()): string {
  const { timeZone } = shopSettings(from);
  const day = shopDay(timeZone);
  const { wish } = wished(asked, from, day);
  const heads = registerPage(from, wish, { limit: MOST_ROWS, offset: 0 });
  return `${Papa.unparse(
    {
      fields: [
        'ticket',
        'archer',
        'guardian',
        'telephone',
        'email',
        'bow',
        'serial_number',
        'left',
        'in_the_shop',
        'sheets',
        'visits',
        'string_since',
        'shots',
        'next_check',
      ],
      data: heads.map((head) => {
        const row = rowOf(head, day, timeZone);
        return [
          row.number,
          row.name,
          row.guardian,
          (head.minor === 1 && head.guardianPhone) || head.phone,
          head.email,
          row.bow,
          row.serial ?? '',
          row.leftDay,
          row.inShop ? 'yes' : 'no',
          row.sheets,
          row.visits,
          row.stringDay ?? '',
          row.shots,
          row.checkDay ?? '',
        ];
      }),
    },
    // A name that begins with = is a name in a table program too.
    { newline: '\n', escapeFormulae: FORMULA },
  )}\n`;
}
