import { aBow, anItem } from '@/core/testing/fixtures';
import type { Command } from '@/contracts/commands';
import { derive, lengthReadings, type JobSnapshot } from '@/core/job';
import type { Db } from '@/data/db';
import { insertSheet } from '@/data/sheets';
import { insertBow, insertItem } from '@/data/stock';
import { pretendNow } from '../clock';
import { historyPage, historyPreview } from '../history';
import { Problem } from '../problem';
import { loadSnapshot } from '../load-snapshot';
import { checkPlannedDays } from './answers';
import { createJob, runCommand } from '.';
import { newDb } from '../testing/new-db';

let db: Db;
let job: JobSnapshot;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = newDb();
  insertBow(db, aBow({ id: 'bow' }));
  job = createJob({ who: 'T. Okoro', archer: { name: 'Runa' }, job: {} }, db);
});

function send(command: Command, who = 'T. Okoro'): JobSnapshot {
  job = runCommand(job.job.id, { version: job.job.version, who, command }, db);
  return job;
}
function refusal(command: Command): Problem {
  try {
    send(command);
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('it was taken');
}
const take = (key: string, entered: string, more: object = {}) =>
  send({ name: 'takeReadings', readings: [{ key, entered, ...more }] });
const tick = (key: string) => take(key, 'done');
const stale = () => derive(job).plan.stale.map(({ key }) => key);
const entries = () => job.fitReadings.map(({ entered }) => entered);
const entry = (summary: string) =>
  job.events.find(
    (event) => event.summary.includes(summary) && !event.summary.startsWith('Taken back'),
  )!;

describe('taking back and bringing again', () => {
  test('step by step there and back again, as often as wanted', () => {
    take('armSpan', '68');
    take('armSpan', '69');
    for (let round = 0; round < 3; round++) {
      send({ name: 'undo' });
      expect(entries()).toEqual(['68 in']);
      expect(job.canRedo).toBe(true);
      send({ name: 'undo' });
      expect(entries()).toEqual([]);
      send({ name: 'redo' });
      send({ name: 'redo' });
      expect(entries()).toEqual(['68 in', '69 in']);
    }
    expect(refusal({ name: 'redo' }).reason).toBe('nothing-to-redo');
  });
  test('after a new entry nothing is brought again by the key', () => {
    take('armSpan', '68');
    send({ name: 'undo' });
    take('wallToMouth', '27 1/2');
    expect(refusal({ name: 'redo' }).reason).toBe('nothing-to-redo');
    expect(job.canRedo).toBe(false);
    // From the history it still is.
    send({ name: 'redo', event: entry('Arm span: 68 in').id });
    expect(entries()).toEqual(['68 in', '27 1/2 in']);
  });
  test('any entry can be taken back, and only its own fields go', () => {
    send({ name: 'setAnswers', archer: { phone: '0151 555 01' }, job: { notes: 'shy' } });
    send({ name: 'setAnswers', archer: { injury: 'left shoulder' } });
    take('armSpan', '68');
    send({ name: 'undo', event: entry('phone').id });
    expect(job.archer).toMatchObject({ phone: '', injury: 'left shoulder' });
    expect(job.job.notes).toBe('');
    send({ name: 'redo', event: entry('phone').id });
    expect(job.archer).toMatchObject({ phone: '0151 555 01', injury: 'left shoulder' });
  });
  test('what a later entry wrote over is not taken back from under it', () => {
    send({ name: 'setAnswers', archer: { phone: '1' } });
    const first = entry('phone').id;
    send({ name: 'setAnswers', archer: { phone: '2' } });
    expect(refusal({ name: 'undo', event: first }).reason).toBe('changed-since');
    expect(job.archer.phone).toBe('2');
  });
  test('two jobs share an archer: an undo in one leaves the other’s answers', () => {
    const one = job;
    send({ name: 'setAnswers', archer: { phone: '0151 555 01' } });
    const first = job;
    const two = createJob({ who: 'J. Brandt', archerId: one.archer.id, archer: {}, job: {} }, db);
    runCommand(
      two.job.id,
      {
        version: two.job.version,
        who: 'J. Brandt',
        command: { name: 'setAnswers', archer: { injury: 'left shoulder' } },
      },
      db,
    );
    job = first;
    send({ name: 'undo' });
    expect(job.archer).toMatchObject({ phone: '', injury: 'left shoulder' });
    // The same field written elsewhere since is left alone, with a word.
    send({ name: 'redo' });
    const again = loadSnapshot(two.job.id, db)!;
    runCommand(
      two.job.id,
      {
        version: again.job.version,
        who: 'J. Brandt',
        command: { name: 'setAnswers', archer: { phone: '0170 555 02' } },
      },
      db,
    );
    expect(refusal({ name: 'undo' }).reason).toBe('changed-since');
  });
  test('work under a signed sheet is not taken back', () => {
    take('armSpan', '68');
    const before = entry('Arm span').id;
    insertSheet(db, job.job.id, { revision: 1, at: '2026-11-24T09:00:01.000Z', who: 'T.' }, {});
    expect(refusal({ name: 'undo' })).toMatchObject({ reason: 'nothing-to-undo' });
    expect(refusal({ name: 'undo', event: before }).reason).toBe('under-sheet');
    pretendNow(new Date('2026-11-24T10:00:00Z'));
    take('armSpan', '69');
    send({ name: 'undo' });
    expect(entries()).toEqual(['68 in']);
    expect(refusal({ name: 'undo' }).message).toContain('since the sheet was signed');
  });
  test('a reading left out, taken in, taken back and brought again', () => {
    take('armSpan', '68');
    const seq = job.fitReadings[0]!.seq;
    send({ name: 'discardReading', seq, reason: 'tape slipped' });
    expect(entries()).toEqual([]);
    send({ name: 'undo' });
    expect(entries()).toEqual(['68 in']);
    send({ name: 'redo' });
    expect(entries()).toEqual([]);
    expect(historyPage(job.job.id, new URLSearchParams(), db).leftOut).toMatchObject([
      { seq, key: 'armSpan', entered: '68 in', reason: 'tape slipped' },
    ]);
    send({ name: 'takeIn', seq });
    expect(entries()).toEqual(['68 in']);
    expect(historyPage(job.job.id, new URLSearchParams(), db).leftOut).toEqual([]);
    send({ name: 'undo' });
    expect(entries()).toEqual([]);
  });
});

describe('a reading read again', () => {
  test('the one before was wrong: left out with the new one, in one entry', () => {
    take('armSpan', '60');
    const wrong = job.fitReadings[0]!.seq;
    send({
      name: 'takeReadings',
      readings: [{ key: 'armSpan', entered: '68' }],
      instead: [wrong],
    });
    expect(entries()).toEqual(['68 in']);
    send({ name: 'undo' });
    expect(entries()).toEqual(['60 in']);
    expect(
      refusal({
        name: 'takeReadings',
        readings: [{ key: 'wallToMouth', entered: '27' }],
        instead: [wrong],
      }).reason,
    ).toBe('no-reading');
  });
  test('of the old bow the newest counts: 29 1/8 after 27 3/8 is 29 1/8', () => {
    take('fittingBow', '27 3/8');
    take('fittingBow', '29 1/8');
    expect(lengthReadings(job.fitReadings)).toHaveLength(1);
    // Groove to plunger hole; 1 3/4 in are added to it.
    expect(derive(job).fitLength!.drawLengthMm).toBeCloseTo((29.125 + 1.75) * 25.4, 6);
  });
});

describe('looked at again and found as it was', () => {
  beforeEach(() => {
    send({ name: 'chooseBow', bowId: 'bow', reason: 'it is the one they want' });
    take('peakWeight', '43');
    take('braceHeight', '6 1/2');
    take('stringStop', '3 mm');
    take('limbTurnsUpper', '2');
    take('limbTurnsUpper', '3');
  });
  test('one tap clears what hangs on it', () => {
    expect(stale()).toEqual(expect.arrayContaining(['braceHeight', 'stringStop']));
    send({ name: 'confirmReadings', keys: ['braceHeight'] });
    expect(stale()).not.toContain('braceHeight');
    expect(stale()).not.toContain('stringStop');
    const last = job.readings.at(-1)!;
    expect(last).toMatchObject({ key: 'braceHeight', method: 'confirmed', entered: '6 1/2 in' });
    expect(job.events[0]!.summary).toBe('Brace height: still 6 1/2 in');
    send({ name: 'undo' });
    expect(stale()).toContain('stringStop');
  });
  test.each([
    ['holdingWeight', 'not-measured'],
    ['part:rest', 'unknown-value'],
    ['wind', 'unknown-value'],
  ])('%s cannot be confirmed', (key, reason) =>
    expect(refusal({ name: 'confirmReadings', keys: [key] }).reason).toBe(reason),
  );
});

describe('parts are causes', () => {
  test('another sight asks for mounting and what rests on it; taken back, for nothing', () => {
    send({ name: 'chooseBow', bowId: 'bow', reason: 'it is the one they want' });
    const sight = anItem('sight');
    insertItem(db, sight);
    insertItem(db, { ...sight, id: 'other-sight', model: 'Other' } as typeof sight);
    const choose = (itemId: string) =>
      send({ name: 'choosePart', slot: 'sight', itemId, owned: false, label: '' });
    choose(sight.id);
    tick('sightFitted');
    take('secondAxis', '0');
    expect(stale()).toEqual([]);
    choose('other-sight');
    expect(stale()).toEqual(expect.arrayContaining(['sightFitted', 'secondAxis']));
    send({ name: 'undo' });
    expect(stale()).toEqual([]);
    send({ name: 'redo' });
    expect(stale()).toContain('sightFitted');
    // Mounted again: what rests on it is still to do.
    tick('sightFitted');
    expect(stale()).toEqual(['secondAxis']);
  });
  test('a part is not read in by hand', () =>
    expect(() => take('part:sight', 'x')).toThrow('There is no value called'));
});

describe('the history of a job', () => {
  test('pages, words, and who', () => {
    for (let i = 0; i < 60; i++) take('armSpan', `${60 + (i % 10)}`);
    const first = historyPage(job.job.id, new URLSearchParams(), db);
    expect(first.events).toHaveLength(40);
    expect(first.more).toBe(true);
    const next = historyPage(
      job.job.id,
      new URLSearchParams({ before: String(first.events.at(-1)!.id) }),
      db,
    );
    expect(next.events).toHaveLength(21);
    expect(next.more).toBe(false);
    const found = historyPage(job.job.id, new URLSearchParams({ words: 'SPAN: 63' }), db).events;
    expect(found).toHaveLength(6);
    expect(found[0]).toMatchObject({ stage: 'fit', who: 'T. Okoro', canUndo: true });
    expect(() => historyPage(job.job.id, new URLSearchParams({ before: 'x' }), db)).toThrow(
      Problem,
    );
  });
  test('the preview is what then comes, and leaves nothing behind', () => {
    send({ name: 'chooseBow', bowId: 'bow', reason: 'it is the one they want' });
    take('limbTurnsUpper', '2');
    take('peakWeight', '43');
    take('limbTurnsUpper', '3');
    take('peakWeight', '41');
    const event = job.events.find(({ summary }) => summary.endsWith('3 turns'))!.id;
    const version = job.job.version;
    const preview = historyPreview(job.job.id, { event }, db);
    expect(loadSnapshot(job.job.id, db)!.job.version).toBe(version);
    expect(preview.why).toBeNull();
    send({ name: 'undo', event });
    const names = derive(job).plan.stale.map(({ key }) => key);
    expect(preview.again.length).toBe(names.length);
  });
  test('a preview says why it cannot be', () => {
    send({ name: 'setAnswers', archer: { phone: '1' } });
    const event = entry('phone').id;
    send({ name: 'setAnswers', archer: { phone: '2' } });
    expect(historyPreview(job.job.id, { event }, db).why).toContain('take that back first');
  });
});

describe('a promise', () => {
  test('in the past is refused at its field, today is taken', () => {
    expect(refusal({ name: 'setAnswers', job: { promisedDay: '2026-11-23' } })).toMatchObject({
      reason: 'promise-past',
      more: { errors: [{ pointer: '/command/job/promisedDay' }] },
    });
    send({ name: 'setAnswers', job: { promisedDay: '2026-11-24' } });
    expect(job.job.promisedDay).toBe('2026-11-24');
  });
  test('that stands already may be past: saying it again refuses nothing', () => {
    const day = (promisedDay: string | null, stands: string | null) => () =>
      checkPlannedDays(
        { promisedDay },
        { job: { promisedDay: stands }, today: '2026-11-24', shop: { timeZone: 'Europe/Berlin' } },
        '/job',
      );
    expect(day('2026-11-20', '2026-11-20')).not.toThrow();
    expect(day(null, '2026-11-20')).not.toThrow();
    expect(day('2026-11-20', '2026-11-21')).toThrow();
    expect(day('2026-11-20', null)).toThrow();
  });
});
