import { randomUUID } from 'node:crypto';
import type { TSchema } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { Command, CommandRequest, NewJobRequest } from '@/contracts/commands';
import {
  derive,
  HANDOVER_CAUTIONS,
  isFitKey,
  openWork,
  readOptionsFor,
  stageStates,
  type Archer,
  type Job,
  type JobSnapshot,
} from '@/core/job';
import { group, type Hit } from '@/core/flight';
import { objections } from '@/core/kit';
import { latest, setupValue, STAGES, STEP_TEMPLATES, type SetupKey } from '@/core/route';
import { sheetDocument } from '@/core/sheet';
import { metre, mm, read, write } from '@/core/units';
import { bowName, drawLengthSteps } from '@/core/bow';
import { db, type Db } from '@/data/db';
import {
  archerById,
  claimVersion,
  insertArcher,
  insertJob,
  jobById,
  nextJobNumber,
  partsOf,
  putPart,
  setPlace,
  updateArcher,
  updateJob,
  type StoredPart,
} from '@/data/jobs';
import {
  acknowledge,
  addEvent,
  addException,
  appendReading,
  eventsSince,
  insertSheet,
  lastSeq,
  markUndone,
  unacknowledge,
  undoable,
  withdrawException,
} from '@/data/records';
import { bowById, itemById } from '@/data/stock';
import { addDays, nowIso, shopDay } from './clock';
import { invalid, notFound, Problem } from './problem';
import { loadSnapshot } from './snapshot';
import { appendRows, toRows } from './take-readings';

/** What takes an entry back; kept with the entry. */
type Inverse =
  | { readonly do: 'retract'; readonly seqs: readonly number[] }
  | {
      readonly do: 'restore';
      readonly archer?: Archer;
      readonly job?: Partial<Job>;
      readonly part?: { slot: string; row: StoredPart | null };
    }
  | { readonly do: 'withdraw'; readonly exceptionId: number }
  | { readonly do: 'acknowledge'; readonly cautionId: string; readonly yes: boolean };

interface Done {
  readonly summary: string;
  readonly inverse: Inverse | null;
}

interface Work {
  readonly db: Db;
  readonly snapshot: JobSnapshot;
  readonly who: string;
  readonly at: string;
}

const cannot = (reason: string, detail: string, pointer = '/command') =>
  new Problem(422, reason, 'This cannot be done', { detail, errors: [{ pointer, detail }] });

type CommandOf<N extends Command['name']> = Extract<Command, { name: N }>;
type Handlers = { [N in Command['name']]: (command: CommandOf<N>, work: Work) => Done };

const HANDLERS: Handlers = {
  setAnswers({ archer, job }, { db, snapshot }) {
    const before = snapshot.archer;
    if (archer && Object.keys(archer).length > 0)
      updateArcher(db, { ...before, ...archer } as Archer);
    if (job && Object.keys(job).length > 0)
      updateJob(db, { ...jobById(db, snapshot.job.id)!, ...job } as Job);
    const changed = [...Object.keys(archer ?? {}), ...Object.keys(job ?? {})];
    return {
      summary: `Answered: ${changed.map(spaced).join(', ')}`,
      inverse: {
        do: 'restore',
        ...(archer ? { archer: before } : {}),
        ...(job ? { job: pick(snapshot.job, Object.keys(job) as (keyof Job)[]) } : {}),
      },
    };
  },

  takeReadings({ readings }, work) {
    const { db, snapshot } = work;
    const rows = readings.flatMap((entry, i) => toRows(entry, i, snapshot));
    const seqs = appendRows(db, rows, { jobId: snapshot.job.id, who: work.who, at: work.at });
    const last = rows.at(-1)!;
    const name = isFitKey(last.key) ? spaced(last.key) : setupValue(last.key as SetupKey).name;
    return {
      summary: `${name}: ${last.entered}${rows.length > 1 ? ` and ${rows.length - 1} more` : ''}`,
      inverse: { do: 'retract', seqs },
    };
  },

  takeGroup({ distance, hits }, { db, snapshot, who, at }) {
    if (!snapshot.bow) throw cannot('no-bow', 'Choose a bow first.');
    const read18 = read(distance, {
      quantity: 'distance',
      shop: snapshot.shop.units,
      min: 3,
      max: 150,
      what: 'distance',
    });
    if (!read18.ok) throw cannot(read18.code, read18.message, '/command/distance');
    const { history } = derive(snapshot);
    const radius = latest(history, 'peepToPin')?.si ?? null;
    if (radius === null)
      throw cannot(
        'inputs-missing',
        'Peep to pin is not measured yet: the pin’s move hangs on it.',
      );
    const answer = group({
      hits: hits as Hit[],
      distanceM: metre(read18.si),
      peepToPinMm: mm(radius),
    });
    if (answer.adjust || answer.pValue === null) {
      throw cannot(
        'not-settled',
        answer.adjust
          ? 'This group is off the aim: move the pin first, then shoot again.'
          : 'At least three arrows confirm a distance.',
      );
    }
    const seq = appendReading(db, {
      jobId: snapshot.job.id,
      bowId: snapshot.bow.id,
      key: 'firstMark',
      si: read18.si,
      si2: answer.pValue,
      choice: null,
      entered: `${distance.trim()}, ${hits.length} arrows`,
      method: 'group',
      who,
      at,
      retracts: null,
    });
    return {
      summary: `First distance confirmed at ${write(read18.si, 'distance', snapshot.shop.units)}`,
      inverse: { do: 'retract', seqs: [seq] },
    };
  },

  chooseBow({ bowId }, { db, snapshot }) {
    const bow = bowId === null ? null : bowById(db, bowId);
    if (bowId !== null && !bow)
      throw cannot('unknown-bow', 'There is no such bow in stock any more.', '/command/bowId');
    if (bow && bow.hand !== snapshot.archer.hand) {
      throw cannot(
        'wrong-hand',
        `${bowName(bow)} is a ${bow.hand}-hand bow; the archer shoots ${snapshot.archer.hand}-handed.`,
        '/command/bowId',
      );
    }
    // Goals set for another bow mean nothing on this one.
    const fresh = {
      bowId,
      moduleStepMm: null,
      moduleReason: '',
      peakTargetN: null,
      peakReason: '',
    };
    updateJob(db, { ...jobById(db, snapshot.job.id)!, ...fresh });
    return {
      summary: bow ? `Bow: ${bowName(bow)}` : 'Bow put back',
      inverse: { do: 'restore', job: pick(snapshot.job, Object.keys(fresh) as (keyof Job)[]) },
    };
  },

  setGoal({ goal, entered, reason }, { db, snapshot }) {
    const fields =
      goal === 'moduleStep'
        ? moduleGoal(entered, reason, snapshot)
        : weightGoal(entered, reason, snapshot);
    updateJob(db, { ...jobById(db, snapshot.job.id)!, ...fields });
    return {
      summary:
        entered === null
          ? `${spaced(goal)}: back to the fit`
          : `${spaced(goal)}: ${entered.trim()}`,
      inverse: { do: 'restore', job: pick(snapshot.job, Object.keys(fields) as (keyof Job)[]) },
    };
  },

  choosePart({ slot, itemId, owned, label }, { db, snapshot }) {
    const before = partsOf(db, snapshot.job.id).find((part) => part.slot === slot);
    const row = partRow({ slot, itemId, owned, label }, db, snapshot);
    putPart(db, snapshot.job.id, slot, row);
    const beforeRow: StoredPart | null = before
      ? {
          jobId: snapshot.job.id,
          slot,
          itemId: before.item?.id ?? null,
          owned: before.owned,
          label: before.label,
          priceCents: before.priceCents,
          arrivesDay: before.arrivesDay,
        }
      : null;
    return {
      summary: row
        ? `Kit: ${row.label}${owned ? ', brought along' : ''}`
        : `Kit: ${spaced(slot)} put back`,
      inverse: { do: 'restore', part: { slot, row: beforeRow } },
    };
  },

  signStep({ stepId, reason }, { db, snapshot, who, at }) {
    const step = STEP_TEMPLATES.find((template) => template.id === stepId);
    if (!step) throw cannot('unknown-step', 'There is no such step.', '/command/stepId');
    const id = addException(db, snapshot.job.id, {
      stepId,
      reason: reason.trim(),
      who,
      at,
      seq: lastSeq(db, snapshot.job.id),
    });
    return {
      summary: `Signed off “${step.title}”: ${reason.trim()}`,
      inverse: { do: 'withdraw', exceptionId: id },
    };
  },

  acknowledge({ cautionId, yes }, { db, snapshot, who, at }) {
    if (!HANDOVER_CAUTIONS.some((caution) => caution.id === cautionId))
      throw cannot('unknown-caution', 'There is no such caution.');
    if (yes) acknowledge(db, snapshot.job.id, cautionId, who, at);
    else unacknowledge(db, snapshot.job.id, cautionId);
    return {
      summary: yes ? 'Caution told and understood' : 'Caution to be told again',
      inverse: { do: 'acknowledge', cautionId, yes: !yes },
    };
  },

  handOver({ openReason }, { db, snapshot, who, at }) {
    const derived = derive(snapshot);
    const untold = HANDOVER_CAUTIONS.filter(({ id }) => !snapshot.acknowledged.includes(id));
    if (untold.length > 0)
      throw cannot('cautions-open', `${untold.length} cautions are not acknowledged yet.`);
    if (!snapshot.bow) throw cannot('no-bow', 'There is no bow to hand over.');
    if (snapshot.archer.minor && snapshot.archer.guardianName.trim() === '')
      throw cannot('no-guardian', 'A minor’s guardian has to be named.');
    const danger = derived.findings.find(
      (f) => f.rule.id === 'arrow-mass' && f.verdict === 'doesNotFit',
    );
    if (danger) throw cannot('arrow-too-light', `The arrows are too light: ${danger.reason}.`);
    const open = openWork(stageStates(snapshot, derived));
    if (open.length > 0 && openReason.trim().length < 3) {
      throw cannot(
        'work-open',
        `Open: ${open.join('; ')}. Finish it, or say why it is handed over all the same.`,
        '/command/openReason',
      );
    }
    const revision = (snapshot.sheets[0]?.revision ?? 0) + 1;
    const stamp = {
      revision,
      madeAt: at,
      madeBy: who,
      openReason: open.length > 0 ? openReason.trim() : null,
    };
    insertSheet(
      db,
      snapshot.job.id,
      { revision, at, who },
      sheetDocument(snapshot, derived, stamp),
    );
    updateJob(db, { ...jobById(db, snapshot.job.id)!, deliveredAt: at });
    return { summary: `Handed over, sheet revision ${revision}`, inverse: null };
  },

  undo(_, work) {
    const entry = undoable(work.db, work.snapshot.job.id);
    if (!entry) throw cannot('nothing-to-undo', 'There is nothing left to take back.');
    takeBack(entry.inverse as Inverse, work);
    markUndone(work.db, entry.id);
    return { summary: `Taken back: ${entry.summary}`, inverse: null };
  },
};

function takeBack(inverse: Inverse, { db, snapshot, who, at }: Work): void {
  const jobId = snapshot.job.id;
  switch (inverse.do) {
    case 'retract':
      for (const retracts of inverse.seqs) {
        appendReading(db, {
          jobId,
          bowId: null,
          key: 'retraction',
          si: null,
          si2: null,
          choice: null,
          entered: '',
          method: 'undo',
          who,
          at,
          retracts,
        });
      }
      return;
    case 'restore':
      if (inverse.archer) updateArcher(db, inverse.archer);
      if (inverse.job) updateJob(db, { ...jobById(db, jobId)!, ...inverse.job });
      if (inverse.part) putPart(db, jobId, inverse.part.slot, inverse.part.row);
      return;
    case 'withdraw':
      withdrawException(db, jobId, inverse.exceptionId);
      return;
    case 'acknowledge':
      if (inverse.yes) acknowledge(db, jobId, inverse.cautionId, who, at);
      else unacknowledge(db, jobId, inverse.cautionId);
  }
}

const spaced = (name: string) => name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

const pick = <T extends object, K extends keyof T>(from: T, keys: readonly K[]): Pick<T, K> =>
  Object.fromEntries(keys.map((key) => [key, from[key]])) as Pick<T, K>;

function needReason(reason: string): string {
  if (reason.trim().length < 3)
    throw cannot('no-reason', 'Say why, in a few words; it goes on the sheet.', '/command/reason');
  return reason.trim();
}

function moduleGoal(
  entered: string | null,
  reason: string,
  { bow, shop }: JobSnapshot,
): Partial<Job> {
  if (entered === null) return { moduleStepMm: null, moduleReason: '' };
  if (!bow) throw cannot('no-bow', 'Choose a bow first.');
  const result = read(entered, readOptionsFor('moduleTop', shop.units, bow)!);
  if (!result.ok) throw cannot(result.code, result.message, '/command/entered');
  const steps = drawLengthSteps(bow);
  const step = steps.find((length) => Math.abs(length - result.si) < 0.6);
  if (step === undefined) {
    const all = steps.map((length) => write(length, 'length', shop.units)).join(', ');
    throw cannot(
      'no-such-module',
      `This bow has no such setting. It has ${all}.`,
      '/command/entered',
    );
  }
  return { moduleStepMm: step, moduleReason: needReason(reason) };
}

function weightGoal(
  entered: string | null,
  reason: string,
  { bow, shop }: JobSnapshot,
): Partial<Job> {
  if (entered === null) return { peakTargetN: null, peakReason: '' };
  const result = read(entered, {
    quantity: 'force',
    shop: shop.units,
    min: bow?.minPeakN ?? 40,
    max: bow?.maxPeakN ?? 450,
    what: 'peak weight',
  });
  if (!result.ok) throw cannot(result.code, result.message, '/command/entered');
  return { peakTargetN: result.si, peakReason: needReason(reason) };
}

function partRow(
  command: Pick<CommandOf<'choosePart'>, 'slot' | 'itemId' | 'owned' | 'label'>,
  db: Db,
  snapshot: JobSnapshot,
): StoredPart | null {
  const { slot, itemId, owned, label } = command;
  const base = { jobId: snapshot.job.id, slot, owned, arrivesDay: null };
  if (itemId === null) {
    if (!owned) return null;
    if (label.trim() === '')
      throw cannot('no-label', 'Say what the archer brings along.', '/command/label');
    return { ...base, itemId: null, label: label.trim(), priceCents: 0 };
  }
  const item = itemById(db, itemId);
  if (!item || item.slot !== slot)
    throw cannot(
      'unknown-part',
      `There is no part “${itemId}” in the catalogue.`,
      '/command/itemId',
    );
  const against = objections(item, derive(snapshot).kitContext).find(
    (finding) => finding.rule.hard,
  );
  if (against)
    throw cannot(
      against.rule.id,
      `${item.maker} ${item.model} does not fit: ${against.reason}.`,
      '/command/itemId',
    );
  const arrives =
    owned || item.stock > 0 ? null : addDays(shopDay(snapshot.shop.timeZone), item.deliveryDays);
  return {
    ...base,
    itemId,
    label: `${item.maker} ${item.model}`,
    priceCents: owned ? 0 : item.priceCents,
    arrivesDay: arrives,
  };
}

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

const checkNewJob = checker(NewJobRequest);

const BLANK_ARCHER: Omit<Archer, 'id' | 'name'> = {
  phone: '',
  email: '',
  minor: false,
  guardianName: '',
  guardianPhone: '',
  hand: 'right',
  dominantEye: 'unsure',
  ageBand: '16to59',
  build: 'medium',
  experience: 'none',
  injury: '',
  eyesight: '',
};

/** Opens a job, with a new archer or one who has been here before. */
export function createJob(body: unknown, on: Db = db()): JobSnapshot {
  const checked = checkNewJob(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { who, archerId, archer, job } = checked.value;
  if (!archerId && !archer.name) throw invalid([{ pointer: '/archer/name', detail: 'is missing' }]);
  const run = on.transaction(() => {
    const id = archerId ?? randomUUID();
    const known = archerById(on, id);
    if (archerId && !known) throw notFound('archer');
    if (!known)
      insertArcher(on, { ...BLANK_ARCHER, ...archer, id, name: archer.name!.trim() } as Archer);
    const at = nowIso();
    const record: Job = {
      id: randomUUID(),
      number: nextJobNumber(on),
      archerId: id,
      version: 1,
      purpose: 'target',
      furthestM: null,
      lowLight: false,
      electronicsForbidden: false,
      budgetCents: null,
      promisedDay: null,
      appointmentAt: null,
      alreadyOwn: '',
      notes: '',
      bowId: null,
      moduleStepMm: null,
      moduleReason: '',
      peakTargetN: null,
      peakReason: '',
      place: 'meet',
      createdAt: at,
      deliveredAt: null,
      ...(job as Partial<Job>),
    };
    insertJob(on, record);
    addEvent(on, { jobId: record.id, version: 1, at, who, summary: 'Job opened', inverse: null });
    return loadSnapshot(record.id, on)!;
  });
  return run.immediate();
}

/** Remembers where a job was left; not a change of the job, so it takes no version. */
export function leaveAt(jobId: string, place: string, on: Db = db()): void {
  if (STAGES.some((stage) => stage.id === place)) setPlace(on, jobId, place);
}
