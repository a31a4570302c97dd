import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { strict } from '@/contracts/lane-commands';
import type { KnownArcher } from '@/core/erase';
import type { By } from '@/core/people';
import { db, type Db } from '@/data/db';
import {
  eraseArcher,
  erasedAt,
  heldOfArcher,
  longGone,
  overwriting,
  type LongGone,
} from '@/data/erase';
import { addEvent } from '@/data/events';
import { archerById, claimVersion, jobsOfArcher } from '@/data/jobs';
import { shopSettings } from '@/data/settings';
import { bowById } from '@/data/stock';
import { note } from './access/note';
import { now, nowIso } from './clock';
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
        closedAt: job.closed?.at ?? null,
        bow: bow && `${bow.maker} ${bow.model}`,
        notes: job.notes,
        alreadyOwn: job.alreadyOwn,
      };
    }),
    erasedAt: erasedAt(on, archerId),
  };
}

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
