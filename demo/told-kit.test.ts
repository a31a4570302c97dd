import type { Db } from '@/data/db';
import { allItems } from '@/data/stock';
import { derive, type JobSnapshot } from '@/core/job';
import { checkKit, KIT_LINES, objections, type KitContext } from '@/core/kit';
import { told } from '@/core/testing/told';
import { gram, metre, newton } from '@/core/units';
import { pretendNow } from '@/server/clock';
import { frontierFor, packagesFor } from '@/server/packages';
import { stopSolver } from '@/server/solver';
import { demoAt, demoJobs } from '@/server/testing/demo-db';

/* What the rules say of every part on the shelves, and the packages for other purses, kept as in told.test.ts. */
let db: Db;
let jobs: ReadonlyMap<string, JobSnapshot>;
beforeAll(() => {
  db = demoAt();
  jobs = demoJobs(db);
});
afterAll(async () => {
  pretendNow(null);
  db.close();
  await stopSolver();
});

const CONTEXTS: readonly [string, Partial<KitContext>][] = [
  ['as it is', {}],
  [
    'a learner who wants to shoot far in the dusk, without electronics',
    { learner: true, furthestM: metre(70), lowLight: true, electronicsForbidden: true },
  ],
  ['a strong archer, weighed lighter', { peakN: newton(290), weighedN: newton(230) }],
  [
    'a light bow for hunting at short range',
    { massLimitG: gram(600), furthestM: metre(25), purpose: 'hunting', release: 'thumb' },
  ],
  ['nothing known of the archer', { drawLengthMm: null, peakN: null, furthestM: null }],
  ['other lines drawn by the shop', { lines: { ...KIT_LINES, thirdAxisPastM: metre(10) } }],
];

describe.each(['Bettina', 'Teodor', 'Ove', 'Casimir'])('parts for %s', (name) => {
  test.each(CONTEXTS)('%s', (_, changes) => {
    const context = { ...derive(jobs.get(name)!).kitContext, ...changes };
    const against = allItems(db).flatMap((item) =>
      objections(item, context).map(
        ({ rule, reason, by }) =>
          `${item.id}, ${rule.id}: ${reason}${by === undefined ? '' : ` (${by.toPrecision(4)})`}`,
      ),
    );
    const kit = checkKit(context).map(({ rule, verdict, reason }) =>
      `${rule.id} ${verdict} ${reason}`.trim(),
    );
    expect(told({ kit, against })).toMatchSnapshot();
  });
});

const short = async (id: string) => {
  const { packages, ...rest } = await packagesFor(id, db);
  const lean = packages.map(({ parts, ...one }) => ({
    ...one,
    parts: parts.map(({ item, runnerUp, ...part }) => ({
      ...part,
      item: item.id,
      runnerUp: runnerUp && { ...runnerUp, item: runnerUp.item?.id ?? null },
    })),
  }));
  return { ...rest, packages: lean, frontier: await frontierFor(id, db) };
};

describe.each(['Bettina', 'Ove', 'Casimir'])('packages for %s', (name) => {
  const set = (column: string, value: number | string | null) =>
    db.prepare(`UPDATE job SET ${column} = ? WHERE id = ?`).run(value, jobs.get(name)!.job.id);
  const weigh = (massLimitG: number | null) =>
    db
      .prepare(
        "UPDATE job SET kit_wishes_json = json_set(kit_wishes_json, '$.massLimitG', ?) WHERE id = ?",
      )
      .run(massLimitG, jobs.get(name)!.job.id);
  afterEach(() => {
    const { budgetCents, furthestM, promisedDay, kitWishes } = jobs.get(name)!.job;
    set('budget_cents', budgetCents);
    set('furthest_m', furthestM);
    set('promised_day', promisedDay);
    weigh(kitWishes.massLimitG);
  });

  test.each([null, 30_000, 90_000, 160_000, 400_000])('with %p cents', async (cents) => {
    set('budget_cents', cents);
    expect(told(await short(jobs.get(name)!.job.id))).toMatchSnapshot();
  });
  test.each<[string, () => void]>([
    ['light, whatever it costs', () => [set('budget_cents', null), weigh(450)]],
    ['light, for little money', () => [set('budget_cents', 130_000), weigh(420)]],
    ['far, tomorrow', () => [set('furthest_m', 90), set('promised_day', '2026-11-25')]],
    [
      'tomorrow, for little money',
      () => [set('budget_cents', 110_000), set('promised_day', '2026-11-25')],
    ],
  ])('%s', async (_, wish) => {
    wish();
    expect(told(await short(jobs.get(name)!.job.id))).toMatchSnapshot();
  });
});
