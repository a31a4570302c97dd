import type { Db } from '@/data/db';
import { allItems } from '@/data/stock';
import {
  archerCautions,
  barQuestion,
  conversation,
  derive,
  jobBalance,
  jobBareShaft,
  jobBarStock,
  jobMarks,
  jobPaper,
  jobSpeed,
  levelCosts,
  levelFlight,
  limbBoltAdvice,
  markDistances,
  newestGroup,
  notToClose,
  predictedDropMm,
  stageStates,
  type JobDerived,
  type JobSnapshot,
} from '@/core/job';
import { kitMassG } from '@/core/kit';
import { jobTotal, quoteLines } from '@/core/quote';
import { explainVisits } from '@/core/route';
import { cardFaces, cardPair, sheetDocument, sheetPages, sheetSketch } from '@/core/sheet';
import { barOffers, learned } from '@/core/steady';
import { told } from '@/core/testing/told';
import { metre } from '@/core/units';
import { pretendNow } from '@/server/clock';
import { demoAt, demoJobs } from '@/server/testing/demo-db';

/*
 * What the program says of the demo shop's jobs, kept as it was when somebody last read it. It stands
 * beside the tables of the formulas, not for them: a difference is read before it is kept
 * (`npx jest demo/told -u`, then `git diff`).
 */
let db: Db;
const jobs = new Map<string, readonly [JobSnapshot, JobDerived]>();
beforeAll(() => {
  db = demoAt();
  for (const [name, snapshot] of demoJobs(db)) jobs.set(name, [snapshot, derive(snapshot)]);
});
afterAll(() => {
  pretendNow(null);
  db.close();
});

const STAMP = {
  revision: 4,
  madeAt: '2026-11-24T09:20:00.000Z',
  madeDay: '2026-11-24',
  madeBy: 'T. Okoro',
  openReason: 'kept as a record',
};

/** The plan without what is the same in every job: titles, tools, minutes. */
const planTold = ({ plan }: JobDerived) => {
  const { steps, ...rest } = plan;
  return {
    ...rest,
    steps: steps.map(({ template: _same, ...step }) => step),
  };
};

const NAMES = ['Aino', 'Teodor', 'Noor', 'Casimir', 'Bettina', 'Ilse', 'Ove', 'Jarle'];

test('the shop has these jobs', () => {
  expect([...jobs.keys()].sort()).toEqual([...NAMES].sort());
});

describe.each(NAMES)('of %s', (name) => {
  const job = () => jobs.get(name)!;

  test('the fit', () => {
    const [snapshot, derived] = job();
    const { fitLength, posture, context } = derived;
    const { grid: _long, ...weight } = derived.fitWeight;
    const { peakTargetN, peakReason, moduleStepMm, predictedSpeed } = context;
    const goal = { peakTargetN, peakReason, moduleStepMm, predictedSpeed };
    const cautions = archerCautions(snapshot);
    expect(told({ length: fitLength, weight, posture, goal, cautions })).toMatchSnapshot();
  });
  test('what is asked, and where each stage stands', () => {
    const [snapshot, derived] = job();
    const talk = conversation(snapshot);
    const stages = stageStates(snapshot, derived);
    expect(told({ talk, stages, close: notToClose(snapshot) })).toMatchSnapshot();
  });
  test('the plan of work', () => {
    const [, derived] = job();
    const { visits, steps } = derived.plan;
    const why = explainVisits(visits, steps);
    expect(told({ ...planTold(derived), why })).toMatchSnapshot();
  });
  test('the kit, and what it costs', () => {
    const [snapshot, derived] = job();
    const { findings } = derived;
    const lines = quoteLines(snapshot, derived);
    const total = jobTotal(snapshot, derived);
    expect(told({ findings, mass: kitMassG(derived.kit), lines, total })).toMatchSnapshot();
  });
  test('the lane', () => {
    const [snapshot, derived] = job();
    const marks = jobMarks(
      derived,
      markDistances(snapshot.job.furthestM, snapshot.shop.units.distance),
    );
    const level = levelFlight(derived);
    const costs =
      level && levelCosts(level.flight, metre(18), [metre(18), metre(30), metre(50)], 1.5);
    expect(
      told({
        marks,
        costs,
        speed: jobSpeed(derived),
        paper: snapshot.bow && jobPaper(snapshot, derived),
        bare: snapshot.bow && jobBareShaft(snapshot, derived),
        group: newestGroup(derived),
        drop: predictedDropMm(derived, 27),
      }),
    ).toMatchSnapshot();
  });
  test('the balance', () => {
    const [snapshot, derived] = job();
    const { bow } = snapshot;
    const bolts = limbBoltAdvice(snapshot, derived);
    expect(
      told(
        bow && {
          bolts,
          balance: jobBalance(snapshot, derived, bow),
          learned: learned(derived.history, bow),
          offers: barOffers(
            barQuestion(snapshot, derived, bow, jobBarStock(snapshot, derived, allItems(db))),
          ),
        },
      ),
    ).toMatchSnapshot();
  });
  test('the sheet', () => {
    const [snapshot, derived] = job();
    expect(told(sheetDocument(snapshot, derived, STAMP))).toMatchSnapshot();
  });
});

describe('on paper', () => {
  const sheet = (name: string) => sheetDocument(...jobs.get(name)!, STAMP);

  test('the pages', () => {
    const pages = sheetPages(sheet('Aino'), { prices: true, when: (at) => at.slice(0, 10) });
    expect(told(pages)).toMatchSnapshot();
  });
  test.each(['Aino', 'Teodor'])('the bow of %s', (name) => {
    expect(told(sheetSketch(sheet(name), 104, 92))).toMatchSnapshot();
  });
  test.each(['field', 'case'] as const)('the card, %s', (size) => {
    expect(told(cardPair(cardFaces(sheet('Aino'), size, null)))).toMatchSnapshot();
  });
});
