import { ANSWERS } from './answers';
import { ARROWS } from './arrows';
import { CHOOSE } from './choose';
import { COMPARE } from './compare';
import { LANE } from './lane';
import { MEASURE } from './measure';
import { SIGN } from './sign';
import { UNDO } from './undo';
import { checker } from '@/contracts/ajv';
import { Command, CommandRequest } from '@/contracts/commands';
import { type JobSnapshot } from '@/core/job';
import { db, type Db } from '@/data/db';
import { claimVersion } from '@/data/jobs';
import { addEvent, eventsSince } from '@/data/records';
import { type TSchema } from '@sinclair/typebox';
import { nowIso } from '../clock';
import { Problem, invalid, notFound } from '../problem';
import { loadSnapshot } from '../snapshot';
import { type Done, type Handlers, type Work } from './types';

const HANDLERS: Handlers = {
  ...ANSWERS,
  ...MEASURE,
  ...LANE,
  ...CHOOSE,
  ...ARROWS,
  ...COMPARE,
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
export function runCommand(jobId: string, body: unknown, on: Db = db()): JobSnapshot {
  const { version, who, command } = parse(body);
  const run = on.transaction(() => {
    const snapshot = loadSnapshot(jobId, on);
    if (!snapshot) throw notFound('job');
    if (!claimVersion(on, jobId, version)) throw conflict(on, jobId, version, snapshot);
    const at = nowIso();
    const handler = HANDLERS[command.name] as (c: Command, w: Work) => Done;
    const { summary, inverse } = handler(command, { db: on, snapshot, who, at });
    addEvent(on, { jobId, version: version + 1, at, who, summary, inverse });
    return loadSnapshot(jobId, on)!;
  });
  return run.immediate();
}

const conflict = (on: Db, jobId: string, version: number, snapshot: JobSnapshot) =>
  new Problem(409, 'version-conflict', 'Somebody was quicker', {
    detail:
      'This job was changed on another screen. What you entered is kept in its field; look at what changed and enter it again.',
    changed: eventsSince(on, jobId, version),
    snapshot,
  });
