import { checker } from '@/contracts/ajv';
import { NewJobRequest } from '@/contracts/commands';
import { NO_ARROWS, NO_WISHES, type Archer, type Job, type JobSnapshot } from '@/core/job';
import { db, type Db } from '@/data/db';
import { archerById, insertArcher, insertJob, nextJobNumber } from '@/data/jobs';
import { addEvent, openedWith } from '@/data/events';
import { randomUUID } from 'node:crypto';
import { shopSettings } from '@/data/settings';
import { nowIso, shopDay } from '../clock';
import { invalid, notFound } from '../problem';
import { checkBirthDay, checkPlannedDays, withInjury } from './answers';
import { loadSnapshot } from '../load-snapshot';

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
  birthDay: null,
  injured: 'unknown',
  injury: '',
  eyesight: '',
  release: 'unknown',
  wall: 'unknown',
  eyeHandling: 'open',
};

/** Opens a job, with a new archer or one who has been here before. */
export function createJob(body: unknown, on: Db = db()): JobSnapshot {
  const checked = checkNewJob(body);
  if (!checked.ok) throw invalid(checked.errors);
  const { who, tablet = '', archerId, archer, job, key } = checked.value;
  if (!archerId && !archer.name) throw invalid([{ pointer: '/archer/name', detail: 'is missing' }]);
  const run = on.transaction(() => {
    // Sent a second time since the answer to the first was lost: it is open already.
    const opened = key ? openedWith(on, key) : null;
    if (opened) return loadSnapshot(opened, on)!;
    const id = archerId ?? randomUUID();
    const known = archerById(on, id);
    if (archerId && !known) throw notFound('archer');
    const said = Object.keys(archer);
    // Who is known keeps what is known of them; it is changed in the job, where it can be taken back.
    if (known && said.length > 0)
      throw invalid(
        said.map((field) => ({
          pointer: `/archer/${field}`,
          detail: `is of somebody known already: open the job, then answer it there`,
        })),
      );
    const shop = shopSettings(on);
    checkPlannedDays(job, { job: {}, today: shopDay(shop.timeZone), shop }, '/job');
    checkBirthDay(archer.birthDay, shopDay(shop.timeZone), '/archer');
    if (!known)
      insertArcher(on, {
        ...BLANK_ARCHER,
        ...withInjury(BLANK_ARCHER, archer),
        id,
        name: archer.name!.trim(),
      } as Archer);
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
      bowReason: '',
      loopCounts: null,
      schools: {},
      legalMinimumN: null,
      legalPlace: '',
      asked: [],
      skipped: [],
      drawOff: null,
      kitWishes: NO_WISHES,
      arrows: NO_ARROWS,
      moduleStepMm: null,
      moduleReason: '',
      peakTargetN: null,
      peakReason: '',
      extras: [],
      accepted: null,
      visit: null,
      closed: null,
      comeBackDay: null,
      like: null,
      elsewhere: null,
      place: 'meet',
      createdAt: at,
      deliveredAt: null,
      ...(job as Partial<Job>),
    };
    insertJob(on, record);
    addEvent(on, {
      jobId: record.id,
      version: 1,
      at,
      who,
      tablet,
      stage: 'meet',
      summary: 'Job opened',
      inverse: null,
      ...(key ? { key } : {}),
    });
    return loadSnapshot(record.id, on)!;
  });
  return run.immediate();
}
