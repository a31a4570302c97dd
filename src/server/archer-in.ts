import { randomUUID } from 'node:crypto';
import type { By } from '@/core/people';
import { db, type Db } from '@/data/db';
import { archerLike } from '@/data/jobs';
import { insertBow } from '@/data/stock';
import { note } from './access/note';
// Its schemas are compiled in the thread that looks at the file, not here.
import type { lookAtBundle } from './archer-bundle';
import { openJob, runCommand } from './commands';

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
