import { randomUUID } from 'node:crypto';
import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { strict } from '@/contracts/lane-commands';
import type { KnownArcher } from '@/core/erase';
import type { By } from '@/core/people';
import { db, type Db } from '@/data/db';
import {
  eraseArcher,
  erasedAt,
  erasedCount,
  heldOfArcher,
  longGone,
  overwriting,
  type LongGone,
} from '@/data/erase';
import { addEvent } from '@/data/events';
import { archerById, archerLike, claimVersion, jobsOfArcher } from '@/data/jobs';
import { shopSettings } from '@/data/settings';
import { bowById, insertBow } from '@/data/stock';
import { note } from './access/note';
import type { lookAtBundle } from './archer-bundle';
import { now, nowIso } from './clock';
import { openJob, runCommand } from './commands';
import { invalid, notFound, Problem } from './problem';

export function knownArcher(archerId: string, on: Db = db()): KnownArcher {
  const archer = archerById(on, archerId);
  if (!archer) throw notFound('archer');
  return {
    archer,
    held: heldOfArcher(on, archerId),
    jobs: jobsOfArcher(on, archerId).map((job) => {
      const bow = job.bowId === null ? null : bowById(on, job.bowId);
      return {
        id: job.id,
        number: job.number,
        openedAt: job.createdAt,
        handedOverAt: job.deliveredAt,
        bow: bow && `${bow.maker} ${bow.model}`,
        notes: job.notes,
        alreadyOwn: job.alreadyOwn,
      };
    }),
    erasedAt: erasedAt(on, archerId),
  };
}

/** How many people were erased here. */
export const erasedArchers = (on: Db = db()): number => erasedCount(on);

/** Shown at once; whoever has more sees the rest as these are done. */
const MOST_LONG_GONE = 100;

/** Who was not here for longer than the shop keeps people; nobody where it keeps them for good. */
export function longGoneArchers(on: Db = db()): readonly LongGone[] {
  const { keepYears } = shopSettings(on).persons;
  if (keepYears === null) return [];
  const before = new Date(now());
  before.setUTCFullYear(before.getUTCFullYear() - keepYears);
  return longGone(on, before.toISOString(), MOST_LONG_GONE);
}

const checkErase = checker(Type.Object({ name: Type.String({ maxLength: 120 }) }, strict));

/** Takes a person out of the shop for good; their name is said once more, so that it is nobody else. */
export function erase(by: By, archerId: string, body: unknown, on: Db = db()): KnownArcher {
  const checked = checkErase(body);
  if (!checked.ok) throw invalid(checked.errors);
  const archer = archerById(on, archerId);
  if (!archer) throw notFound('archer');
  if (erasedAt(on, archerId) !== null)
    throw new Problem(409, 'erased-already', 'Nobody is known here any more', {
      detail: 'This person was erased already.',
    });
  if (checked.value.name.trim() !== archer.name.trim())
    throw new Problem(422, 'another-name', 'That is another name', {
      detail: 'Write the name as it stands above: then it is nobody else.',
      errors: [{ pointer: '/name', detail: 'Write the name as it stands above.' }],
    });
  const at = nowIso();
  const run = on.transaction(() => {
    const jobs = jobsOfArcher(on, archerId);
    eraseArcher(on, archer, at);
    for (const { id: jobId, version } of jobs) {
      claimVersion(on, jobId, version);
      addEvent(on, {
        ...{ jobId, version: version + 1, at, who: by.name, tablet: by.tablet, stage: '' },
        summary: 'The person was erased; the bow’s record stays',
        inverse: null,
      });
    }
    const tickets = jobs.map(({ number }) => number).join(', ');
    note(by, 'people', `A person was erased, tickets ${tickets}`, { on });
  });
  overwriting(on, () => run.immediate());
  return knownArcher(archerId, on);
}

interface TakenIn {
  readonly jobs: readonly { readonly jobId: string; readonly number: number }[];
}

/**
 * An archer's file of another shop: the person as they answered there, and a job for every bow with a sheet. Each bow is
 * looked over before anybody draws it, like any bow that was not bought here; its sheet is the model.
 */
export function takeInArcher(
  by: By,
  { bundle, bows }: ReturnType<typeof lookAtBundle>,
  on: Db = db(),
): TakenIn {
  const { archer, shop } = bundle;
  const withSheets = bundle.jobs.filter(
    ({ sheets, bow }) => sheets.length > 0 && bow && bows[bow.id]?.hand === archer.hand,
  );
  const run = on.transaction((): TakenIn => {
    const known = archerLike(on, archer);
    const jobs: { jobId: string; number: number }[] = [];
    for (const from of withSheets.length > 0 ? withSheets : [null]) {
      const archerId = jobs[0] ? archerOf(on, jobs[0].jobId) : known;
      const told = from ? `From ${shop.name}, ticket ${from.number}.` : `From ${shop.name}.`;
      const opened = openJob(
        {
          ...(archerId ? { archerId, archer: {} } : { archer }),
          job: { notes: told, ...(from ? purposeOf(from.answers) : {}) },
        },
        by,
        on,
      );
      jobs.push({ jobId: opened.job.id, number: opened.job.number });
      if (from) bringAlong(by, opened.job.id, { from, bow: bows[from.bow!.id]! }, on);
    }
    note(by, 'people', `An archer’s file of ${shop.name} was taken in`, { on });
    return { jobs };
  });
  return run.immediate();
}

const archerOf = (on: Db, jobId: string) =>
  on.prepare('SELECT archer_id FROM job WHERE id = ?').pluck().get(jobId) as string;

const PURPOSES = ['target', 'field', 'threeD', 'hunting'];
const purposeOf = ({ purpose }: { readonly purpose: string }) =>
  PURPOSES.includes(purpose) ? { purpose } : {};

type Bundle = ReturnType<typeof lookAtBundle>['bundle'];
type Bow = ReturnType<typeof lookAtBundle>['bows'][string];

/** The bow as the archer's own, made like its newest sheet. */
function bringAlong(
  by: By,
  jobId: string,
  { from, bow }: { readonly from: Bundle['jobs'][number]; readonly bow: Bow },
  on: Db,
): void {
  const untold = from.bow!.untold.filter((what) => UNTOLD.includes(what)) as NonNullable<
    Bow['untold']
  >;
  const own = {
    ...{ ...bow, id: `brought-${randomUUID().slice(0, 13)}`, brought: true, untold },
    ...{ stock: 0, priceCents: 0, supplier: '' },
  };
  insertBow(on, own);
  const send = (command: object) => {
    const version = on.prepare('SELECT version FROM job WHERE id = ?').pluck().get(jobId);
    runCommand(jobId, { version, who: by.name, tablet: by.tablet, command }, on);
  };
  send({ name: 'bringBow', came: 'used', bow: { kind: 'listed', bowId: own.id } });
  send({ name: 'setModel', from: { kind: 'file', sheet: from.sheets[0]! } });
  if (from.serial !== null)
    send({ name: 'takeReadings', readings: [{ key: 'serialNumber', entered: from.serial }] });
}

const UNTOLD: readonly string[] = ['rating', 'letOff', 'lightest'];
