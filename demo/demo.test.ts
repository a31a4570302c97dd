import type { Db } from '@/data/db';
import { allJobs } from '@/data/jobs';
import { allBows, allItems } from '@/data/stock';
import { assertSheet } from '@/contracts/sheet';
import { derive, stageStates, type JobSnapshot } from '@/core/job';
import { SLOTS } from '@/core/kit';
import { launchSpeed } from '@/core/bow';
import { pretendNow } from '@/server/clock';
import { loadSheet } from '@/server/sheets';
import { loadSnapshot } from '@/server/load-snapshot';
import { todayView } from '@/server/today-view';
import { demoDb } from '@/server/testing/demo-db';

let db: Db;
let jobs: JobSnapshot[];
beforeAll(() => {
  db = demoDb();
  jobs = allJobs(db).map(({ id }) => loadSnapshot(id, db)!);
});
afterAll(() => {
  pretendNow(null);
  db.close();
});
const jobOf = (name: string) => jobs.find(({ archer }) => archer.name.startsWith(name))!;

describe('the demo shop', () => {
  test('has people, jobs, bows and parts enough', () => {
    expect(new Set(jobs.map(({ archer }) => archer.id)).size).toBeGreaterThanOrEqual(6);
    expect(jobs.length).toBeGreaterThanOrEqual(8);
    expect(allBows(db)).toHaveLength(12);
    expect(allItems(db).length).toBeGreaterThanOrEqual(80);
    for (const { id } of SLOTS) expect(allItems(db).some(({ slot }) => slot === id)).toBe(true);
  });
  test('has jobs at different stages', () => {
    expect(new Set(jobs.map(({ job }) => job.place)).size).toBeGreaterThanOrEqual(6);
  });
  test('one is finished, with a sheet by the schema and nothing open', () => {
    const { job, sheets } = jobOf('Aino');
    expect(sheets).toHaveLength(1);
    const sheet = loadSheet(job.id, '1', db);
    expect(() => assertSheet(sheet)).not.toThrow();
    expect(sheet.open).toEqual([]);
    expect(sheet.openReason).toBeNull();
  });
  test('one has stale values, one waits for a part', async () => {
    expect(derive(jobOf('Ilse')).plan.stale.length).toBeGreaterThan(3);
    const waiting = jobOf('Bettina');
    expect(
      waiting.parts.some(({ arrivesDay }) => arrivesDay !== null && arrivesDay > waiting.today),
    ).toBe(true);
    const tickets = (await todayView(db)).tickets;
    expect(tickets.find(({ name }) => name.startsWith('Bettina'))!.state).toBe('waits');
    expect(tickets.find(({ name }) => name.startsWith('Ilse'))!.state).toBe('again');
  });
  test('one is left-handed, one a minor with a guardian', () => {
    expect(jobOf('Teodor').archer.hand).toBe('left');
    expect(jobOf('Noor').archer).toMatchObject({ minor: true, guardianName: 'Femke Abeling' });
  });
  test('no kit holds a part that is refused', () => {
    for (const snapshot of jobs) {
      const hard = derive(snapshot).findings.filter(
        (f) => f.verdict === 'doesNotFit' && f.rule.hard,
      );
      expect([snapshot.archer.name, hard.map((f) => f.reason)]).toEqual([snapshot.archer.name, []]);
    }
  });
  test('every bow’s rating agrees with its cam: the model takes it', () => {
    for (const bow of allBows(db)) {
      const answer = launchSpeed({
        bow,
        setting: { drawLengthMm: bow.ratedDrawLengthMm, peakN: bow.ratedPeakN },
        arrowG: bow.ratedArrowG,
      });
      expect([bow.id, answer.ok && answer.warnings]).toEqual([bow.id, []]);
      expect(bow.moduleCams.length).toBeGreaterThan(0);
    }
  });
  test('every stage of every job can be told', () => {
    for (const snapshot of jobs)
      for (const stage of stageStates(snapshot, derive(snapshot)))
        expect(stage.note).not.toMatch(/NaN|undefined/);
  });
});
