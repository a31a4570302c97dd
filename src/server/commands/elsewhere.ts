import { randomUUID } from 'node:crypto';
import { shopTemplates } from '@/core/bench';
import { bowName, type BowRecord } from '@/core/bow';
import { recordOf, type BowTold } from '@/core/elsewhere';
import { ALWAYS_DONE, derive, jobBowCover, lookName, type Elsewhere, type Job } from '@/core/job';
import { NOT_HELD } from '@/core/kit';
import { MM_PER_INCH, N_PER_POUND, read, type QuantityName } from '@/core/units';
import { heldBow, jobById, putHeldBow, updateJob } from '@/data/jobs';
import { bowById, insertBow, updateBow } from '@/data/stock';
import { giveBowUp } from './bow';
import {
  cannot,
  needReason,
  ofStage,
  pick,
  type CommandOf,
  type Handlers,
  type Work,
} from './types';

type Told = Extract<CommandOf<'bringBow'>['bow'], { kind: 'told' }>;

const STEPS = { quarter: MM_PER_INCH / 4, half: MM_PER_INCH / 2, whole: MM_PER_INCH };

/** A bow that was not bought here: taken in, looked over, and what of the work is wanted. */
export const ELSEWHERE = ofStage('bow', {
  bringBow({ came, bow: wanted }, work) {
    const { db, snapshot } = work;
    const { job, archer } = snapshot;
    const bow = wanted.kind === 'listed' ? bowById(db, wanted.bowId) : record(wanted, work);
    if (!bow)
      throw cannot('unknown-bow', 'There is no such bow in the shop’s list.', '/command/bow/bowId');
    if (bow.hand !== archer.hand)
      throw cannot(
        'wrong-hand',
        `${bowName(bow)} is a ${bow.hand}-hand bow; the archer shoots ${archer.hand}-handed.`,
        '/command/bow',
      );
    const before = heldBow(db, job.id);
    if (before?.orderedAt && !before.arrivedAt)
      throw cannot(
        'is-ordered',
        `${bowName(snapshot.bow!)} is on its way for this job: put it back first, and say what becomes of the order.`,
      );
    if (wanted.kind === 'told') insertBow(db, bow);
    const elsewhere: Elsewhere = { came, look: {}, leftOut: [] };
    const fields: Partial<Job> = {
      bowId: bow.id,
      bowReason: '',
      moduleStepMm: null,
      moduleReason: '',
      peakTargetN: null,
      peakReason: '',
      elsewhere,
    };
    // It is there and costs nothing: only what it does not cover of the fit is said.
    const there = { ...bow, priceCents: 0, stock: 1 };
    const cover = jobBowCover(there, snapshot, derive(snapshot));
    const bowReason =
      cover.verdict === 'out' ? `${cover.reasons.join(', ')}: it is the archer’s own` : '';
    updateJob(db, { ...jobById(db, job.id)!, ...fields, bowReason });
    putHeldBow(db, job.id, null);
    if (before) giveBowUp(work, before, undefined);
    putHeldBow(db, job.id, {
      ...{ jobId: job.id, bowId: bow.id, serial: null, condition: 'used', priceCents: 0 },
      ...NOT_HELD,
    });
    return {
      summary: `Their own bow: ${bowName(bow)}`,
      inverse: {
        do: 'restore',
        job: pick(job, Object.keys(fields) as (keyof Job)[]),
        bow: before,
      },
    };
  },

  retellBow({ bow: told }, work) {
    const { db, snapshot } = work;
    const before = snapshot.bow && bowById(db, snapshot.bow.id);
    if (!before?.brought || !snapshot.job.elsewhere) throw notBrought();
    const bow = record(told, work, before.id);
    if (bow.hand !== before.hand)
      throw cannot(
        'wrong-hand',
        'Another hand is another bow: take this one back and write that one down.',
        '/command/bow/hand',
      );
    updateBow(db, bow);
    return {
      summary: `What is told of ${bowName(bow)} was corrected`,
      inverse: { do: 'bowTold', bow: before },
    };
  },

  noteLook({ place, seen, words }, { db, snapshot, who, at }) {
    const { elsewhere } = snapshot.job;
    if (!elsewhere) throw notBrought();
    const said = seen === 'sound' ? words.trim() : needReason(words);
    const look = { ...elsewhere.look, [place]: { seen, words: said, who, at } };
    updateJob(db, { ...jobById(db, snapshot.job.id)!, elsewhere: { ...elsewhere, look } });
    return {
      summary: `${lookName(place)}: ${{ sound: 'sound', unsound: 'not sound', unseen: 'not to be seen' }[seen]}${said ? `, ${said}` : ''}`,
      inverse: { do: 'restore', job: { elsewhere } },
    };
  },

  chooseService({ leftOut }, { db, snapshot }) {
    const { elsewhere } = snapshot.job;
    if (!elsewhere) throw notBrought();
    const { context } = derive(snapshot);
    const known = new Set(shopTemplates(context).map(({ id }) => id));
    leftOut.forEach((id, i) => {
      if (!known.has(id))
        throw cannot('unknown-step', `There is no step “${id}”.`, `/command/leftOut/${i}`);
      if ((ALWAYS_DONE as readonly string[]).includes(id))
        throw cannot(
          'always-done',
          'This step is done on every bow that leaves with a sheet of this shop.',
          `/command/leftOut/${i}`,
        );
    });
    updateJob(db, {
      ...jobById(db, snapshot.job.id)!,
      elsewhere: { ...elsewhere, leftOut: [...leftOut] },
    });
    const count = leftOut.length;
    return {
      summary: count === 0 ? 'All the work is wanted' : `${count} steps are left out`,
      inverse: { do: 'restore', job: { elsewhere } },
    };
  },
} satisfies Partial<Handlers>);

const notBrought = () =>
  cannot('not-brought', 'This bow is the shop’s: it was looked over when it came.');

/** Limits of what can be told of a bow, SI. */
const LIMITS = {
  shortest: ['length', 500, 900, 'shortest draw length'],
  longest: ['length', 500, 900, 'longest draw length'],
  heaviest: ['force', 10 * N_PER_POUND, 100 * N_PER_POUND, 'heaviest weight'],
  lightest: ['force', 4 * N_PER_POUND, 100 * N_PER_POUND, 'lightest weight'],
  maxTurns: ['turns', 1, 20, 'limit of turns'],
  brace: ['length', 90, 300, 'brace height'],
  axles: ['length', 500, 1200, 'axle to axle'],
  mass: ['mass', 500, 4000, 'mass'],
  ratedSpeed: ['speed', 40, 120, 'rated speed'],
} as const satisfies Record<string, readonly [QuantityName, number, number, string]>;

const NEEDED: readonly string[] = ['heaviest', 'brace', 'axles', 'mass'];

/** The record of what was told, every number as typed; refused at the field that is wrong or missing. */
function record(
  told: Told,
  { snapshot }: Work,
  id = `brought-${randomUUID().slice(0, 13)}`,
): BowRecord {
  const { units } = snapshot.shop;
  const wrong = (field: string, detail: string) =>
    cannot('not-told', detail, `/command/bow/${field}`);
  const number = (field: keyof typeof LIMITS): number | null => {
    const [quantity, min, max, what] = LIMITS[field];
    const text = told[field].trim();
    if (text === '') {
      if (NEEDED.includes(field))
        throw wrong(field, `Its ${what} is read off or measured at rest: it cannot be left out.`);
      return null;
    }
    // A bow is weighed in grams whatever the shop's arrows are weighed in.
    const bare = field === 'mass' && /^[\d.,]+$/.test(text) ? `${text} g` : text;
    const answer = read(bare, { quantity, shop: units, min, max, what });
    if (!answer.ok) throw wrong(field, answer.message);
    return answer.si;
  };
  const answer = recordOf(
    {
      ...pick(told, ['hand', 'camSystem', 'bothCams', 'restMounts', 'sightMounts', 'quiverMounts']),
      maker: told.maker.trim(),
      model: told.model.trim(),
      shortestMm: number('shortest'),
      longestMm: number('longest'),
      stepMm: STEPS[told.step],
      heaviestN: number('heaviest')!,
      lightestN: number('lightest'),
      maxTurns: number('maxTurns'),
      letOff: letOff(told, wrong),
      braceHeightMm: number('brace')!,
      axleToAxleMm: number('axles')!,
      massG: number('mass')!,
      ratedSpeedMps: number('ratedSpeed'),
    } satisfies BowTold,
    id,
  );
  if ('ok' in answer) throw cannot(answer.reason, answer.message, `/command/bow/${answer.field}`);
  return answer;
}

/** "80", "80 %": percent; null where it is not told. */
function letOff(
  { letOff: typed }: Told,
  wrong: (field: string, detail: string) => Error,
): number | null {
  const text = typed.trim().replace(/\s*%$/, '').replace(',', '.');
  if (text === '') return null;
  const percent = Number(text);
  if (!/^\d{1,2}(\.\d)?$/.test(text) || percent < 30 || percent > 95)
    throw wrong('letOff', 'Let-off in percent, 30 to 95, for example 80; or leave it out.');
  return percent / 100;
}
