import { ANSWERS } from './answers';
import { ARROWS } from './arrows';
import { BOW } from './bow';
import { CHOOSE } from './choose';
import { CLOSE } from './close';
import { COMPARE } from './compare';
import { AIM } from './aim';
import { DELIVER } from './deliver';
import { ENTRIES } from './entries';
import { VISIT } from './visit';
import { PHOTO } from './photo';
import { ELSEWHERE } from './elsewhere';
import { MODEL } from './model';
import { STEADY } from './steady';
import { SET_ASIDE } from './set-aside';
import { SIGN } from './sign';
import { UNDO } from './undo';
import { checker } from '@/contracts/ajv';
import { Command, CommandRequest } from '@/contracts/commands';
import { CLOSED_TICKET, type JobPart, type JobSnapshot } from '@/core/job';
import { SLOTS } from '@/core/kit';
import { partKey } from '@/core/setup';
import { db, type Db } from '@/data/db';
import { claimVersion, jobById, partsOf } from '@/data/jobs';
import { addEvent, entryOfKey, eventsSince, hasCommand } from '@/data/events';
import { appendReading } from '@/data/records';
import { type TSchema } from '@sinclair/typebox';
import type { Waited } from '@/contracts/waited';
import { madeAt } from '../access/maker';
import { nowIso } from '../clock';
import { Problem, invalid, notFound } from '../problem';
import { loadSnapshot } from '../load-snapshot';
import { refuseUnlooked } from './unlooked';
import { outboxOf, placeOfLate } from './late';
import { rightOf } from './rights';
import { cannot, type Done, type Handlers, type May, type Work } from './types';

const HANDLERS: Handlers = {
  ...ANSWERS,
  ...ENTRIES,
  ...STEADY,
  ...AIM,
  ...PHOTO,
  ...DELIVER,
  ...CLOSE,
  ...VISIT,
  ...BOW,
  ...ELSEWHERE,
  ...MODEL,
  ...CHOOSE,
  ...ARROWS,
  ...COMPARE,
  ...SET_ASIDE,
  ...SIGN,
  ...UNDO,
};

const checkRequest = checker(CommandRequest);
const checkByName = new Map(
  Command.anyOf.map((schema: TSchema) => [
    (schema.properties as { name: { const: string } }).name.const,
    checker(schema),
  ]),
);

/** Names the faulty field of the one command meant, not of every command there is. */
function parse(body: unknown): CommandRequest {
  const name = (body as { command?: { name?: string } } | null)?.command?.name;
  const one = typeof name === 'string' ? checkByName.get(name) : undefined;
  if (one) {
    const checked = one((body as { command: unknown }).command);
    if (!checked.ok)
      throw invalid(checked.errors.map((e) => ({ ...e, pointer: `/command${e.pointer}` })));
  }
  const checked = checkRequest(body);
  if (!checked.ok) throw invalid(checked.errors);
  return checked.value;
}

/**
 * Runs one command on a job in one transaction. A write that carries an old version is refused
 * with what changed since, and nothing of it is kept.
 */
export function runCommand(
  jobId: string,
  body: unknown,
  on: Db = db(),
  may: May = () => undefined,
): JobSnapshot {
  const { version, who, tablet = '', command: sent, stage: shown, key, waited } = parse(body);
  may(rightOf(sent.name));
  const command = waited ? asAnswered(sent, waited) : sent;
  const run = on.transaction(() => {
    const snapshot = loadSnapshot(jobId, on);
    if (!snapshot) throw notFound('job');
    // Sent a second time since the answer to the first was lost: it stands already.
    if (key && hasCommand(on, jobId, key)) return snapshot;
    const at = waited && waited.asked?.counts !== 'now' ? madeAt(waited.ageS) : nowIso();
    const before = waited
      ? placeOfLate(command, { db: on, snapshot, waited, at, outbox: outboxOf(key) })
      : null;
    const stood = waited ? snapshot.job.version : version;
    if (!claimVersion(on, jobId, stood)) throw conflict(on, jobId, version, snapshot);
    refuseClosed(command, snapshot);
    refuseUnlooked(command, snapshot);
    const handler = HANDLERS[command.name] as (c: Command, w: Work) => Done;
    const {
      stage: of = '',
      summary,
      inverse,
      visit,
      written,
    } = handler(command, { db: on, snapshot, who, at, before, may });
    noteParts(snapshot, { db: on, who, at });
    const stage = shown ?? of;
    const id = addEvent(on, {
      jobId,
      version: stood + 1,
      at,
      who,
      tablet,
      stage,
      summary: waited && isLater(waited) ? `${summary}, sent later` : summary,
      inverse,
      ...(key ? { key } : {}),
      ...(visit ? { visit } : {}),
    });
    written?.(id);
    return loadSnapshot(jobId, on)!;
  });
  return run.immediate();
}

/** All that is done on a closed ticket is opening it again. */
function refuseClosed({ name }: Command, { job }: JobSnapshot): void {
  if (job.closed && name !== 'undo' && name !== 'reopenTicket') throw cannot(...CLOSED_TICKET);
}

/** Kept for a moment it is no news that it came later. */
const LATER_S = 60;
const isLater = ({ ageS = 0, asked }: Waited) => ageS >= LATER_S && asked?.counts !== 'now';

/** Whoever was asked and said that theirs counts has seen what stands there. */
function asAnswered(command: Command, { asked }: Waited): Command {
  if (command.name !== 'setAnswers' || asked?.counts !== 'this') return command;
  const { seen: _seen, ...rest } = command;
  return rest;
}

/** What a place of the kit holds, so that another part is told from the same one chosen again. */
function partIdentity(part: JobPart | undefined): string | null {
  if (!part) return null;
  if (part.build) {
    const { name: _name, count: _count, ...arrow } = part.build;
    return `built:${JSON.stringify(arrow)}`;
  }
  return part.item?.id ?? `own:${part.label}`;
}

/** Parts are causes: a place that holds another part than before is written beside the readings. */
function noteParts({ job, parts: before }: JobSnapshot, { db, who, at }: Stamp): void {
  const after = partsOf(db, job.id);
  for (const { id: slot } of SLOTS) {
    const [was, is] = [before, after].map((parts) => parts.find((part) => part.slot === slot));
    if (partIdentity(was) === partIdentity(is)) continue;
    appendReading(db, {
      jobId: job.id,
      bowId: null,
      key: partKey(slot),
      si: null,
      si2: null,
      choice: partIdentity(is),
      entered: is?.label ?? '',
      method: 'kit',
      who,
      at,
      retracts: null,
    });
  }
}

interface Stamp {
  readonly db: Db;
  readonly who: string;
  readonly at: string;
}

const conflict = (on: Db, jobId: string, version: number, snapshot: JobSnapshot) =>
  new Problem(409, 'version-conflict', 'Somebody was quicker', {
    detail:
      'This job was changed on another screen. What you entered is kept in its field; look at what changed and enter it again.',
    changed: eventsSince(on, jobId, version),
    snapshot,
  });

interface Saved {
  readonly saved: boolean;
  /** The entry, to be taken back by; null where it was not kept. */
  readonly event: number | null;
  /** Of the job as it stands. */
  readonly version: number;
}

/** Whether the command with this key was kept: asked after a break in the connection. */
export function wasSaved(jobId: string, key: string | null, on: Db = db()): Saved {
  const job = jobById(on, jobId);
  if (!job) throw notFound('job');
  if (!key || key.length > 60)
    throw invalid([{ pointer: '/key', detail: 'is the key of a command, 8 to 60 letters' }]);
  const event = entryOfKey(on, jobId, key);
  return { saved: event !== null, event, version: job.version };
}
