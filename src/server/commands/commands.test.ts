import { aBow, anItem } from '@/core/testing/fixtures';
import { HANDOVER_CAUTIONS, type JobSnapshot } from '@/core/job';
import type { Db } from '@/data/db';
import { insertBow, insertItem, itemById } from '@/data/stock';
import { pretendNow } from '../clock';
import { rememberPlace } from '../remember-place';
import { Problem } from '../problem';
import { loadSheet } from '../sheets';
import { createJob, runCommand } from '.';
import { newDb } from '../testing/new-db';

let db: Db;
let job: JobSnapshot;
beforeEach(() => {
  pretendNow(new Date('2026-11-24T09:00:00Z'));
  db = newDb();
  insertBow(db, aBow());
  insertBow(db, aBow({ id: 'left', hand: 'left' }));
  insertBow(db, aBow({ id: 'short', modules: [{ label: 'A', drawLengthMm: 560 as never }] }));
  insertBow(db, aBow({ id: 'nolimit', maxTurns: null }));
  insertItem(db, anItem('rest', {}, { id: 'rest' }));
  insertItem(db, anItem('rest', { mount: 'dovetail' }, { id: 'dovetail' }));
  insertItem(db, anItem('sight', {}, { id: 'sight', stock: 0, deliveryDays: 3 }));
  insertItem(db, anItem('arrows', {}, { id: 'light', massG: 8 as never }));
  job = createJob({ who: 'T. Okoro', archer: { name: ' Runa ' }, job: {} }, db);
});
afterEach(() => {
  pretendNow(null);
  db.close();
});

type Body = Record<string, unknown> & { name: string };

/** Sends a command with the newest version, as a screen does. */
function send(command: Body): JobSnapshot {
  job = runCommand(job.job.id, { version: job.job.version, who: 'T. Okoro', command }, db);
  return job;
}
const take = (key: string, entered: string, more: object = {}) =>
  send({ name: 'takeReadings', readings: [{ key, entered, ...more }] });

/** What a refused command says; the job must be as it was. */
function refusal(command: Body) {
  const before = JSON.stringify(job);
  try {
    send(command);
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    const { snapshot: _snapshot, ...now } = { ...job, snapshot: null };
    expect(JSON.stringify(now)).toBe(before);
    return {
      status: error.status,
      reason: error.reason,
      message: error.message,
      pointer: error.more.errors?.[0]?.pointer,
    };
  }
  throw new Error('It was taken');
}

describe('opening a job', () => {
  test('needs a name and nothing else', () => {
    expect(job.archer).toMatchObject({
      name: 'Runa',
      hand: 'right',
      dominantEye: 'unsure',
      minor: false,
    });
    expect(job.job).toMatchObject({ number: 1001, version: 1, place: 'meet', bowId: null });
    expect(job.events.map(({ summary }) => summary)).toEqual(['Job opened']);
  });
  test.each([
    [{ who: 'T', archer: {}, job: {} }, '/archer/name'],
    [{ who: 'T', archer: { name: '   ' }, job: {} }, '/archer/name'],
    [{ who: 'T', archer: { name: 'x', hand: 'both' }, job: {} }, '/archer/hand'],
    [{ who: 'T', archer: { name: 'x' }, job: { budgetCents: -1 } }, '/job/budgetCents'],
    [{ who: '', archer: { name: 'x' }, job: {} }, '/who'],
  ])('refuses %j at %s', (body, pointer) => {
    expect(() => createJob(body, db)).toThrow(Problem);
    try {
      createJob(body, db);
    } catch (error) {
      expect((error as Problem).status).toBe(400);
      expect((error as Problem).more.errors!.map((e) => e.pointer)).toContain(pointer);
    }
  });
  test('an archer who was here before keeps their answers', () => {
    send({ name: 'setAnswers', archer: { phone: '0151' } });
    const second = createJob({ who: 'T', archerId: job.archer.id, archer: {}, job: {} }, db);
    expect(second.archer).toEqual(job.archer);
    expect(second.job.number).toBe(1002);
    expect(() => createJob({ who: 'T', archerId: 'nobody', archer: {}, job: {} }, db)).toThrow(
      'no such archer',
    );
  });
});

describe('versions', () => {
  test('every entry takes one, and says what it was', () => {
    take('armSpan', '68');
    expect(job.job.version).toBe(2);
    expect(job.events[0]).toMatchObject({
      version: 2,
      who: 'T. Okoro',
      summary: 'Arm span: 68 in',
      canUndo: true,
    });
  });
  test('an old one is refused with what changed and the job as it is; nothing of it is kept', () => {
    const old = job.job.version;
    take('armSpan', '68');
    const late = {
      version: old,
      who: 'M. Lindauer',
      command: { name: 'takeReadings', readings: [{ key: 'armSpan', entered: '70' }] },
    };
    try {
      runCommand(job.job.id, late, db);
      throw new Error('It was taken');
    } catch (error) {
      const problem = error as Problem;
      expect(problem.status).toBe(409);
      expect(problem.body()).toMatchObject({
        changed: [{ summary: 'Arm span: 68 in', who: 'T. Okoro' }],
        snapshot: { job: { version: 2 } },
      });
    }
    const { fitReadings } = runCommand(
      job.job.id,
      { version: 2, who: 'T', command: { name: 'setAnswers', job: { notes: 'x' } } },
      db,
    );
    expect(fitReadings.map(({ entered }) => entered)).toEqual(['68 in']);
  });
  test('an unknown job is not found', () => {
    expect(() =>
      runCommand('nobody', { version: 1, who: 'T', command: { name: 'undo' } }, db),
    ).toThrow('no such job');
  });
});

describe('answers', () => {
  test('change only what is sent, and undo brings it back', () => {
    send({
      name: 'setAnswers',
      archer: { minor: true, guardianName: 'Femke' },
      job: { furthestM: 30, lowLight: true },
    });
    expect(job.archer).toMatchObject({ name: 'Runa', minor: true, guardianName: 'Femke' });
    expect(job.job).toMatchObject({ furthestM: 30, lowLight: true, budgetCents: null });
    send({ name: 'undo' });
    expect(job.archer).toMatchObject({ minor: false, guardianName: '' });
    expect(job.job).toMatchObject({ furthestM: null, lowLight: false });
  });
  test.each([
    [{ archer: { name: '' } }, '/command/archer/name'],
    [{ job: { furthestM: 2 } }, '/command/job/furthestM'],
    [{ job: { promisedDay: 'soon' } }, '/command/job/promisedDay'],
    [{ job: { appointmentAt: '2026-13-01T00:00:00Z' } }, '/command/job/appointmentAt'],
    [{ job: { shoeSize: 44 } }, '/command/job/shoeSize'],
  ])('refuses %j', (changes, pointer) => {
    expect(refusal({ name: 'setAnswers', ...changes })).toMatchObject({ status: 400, pointer });
  });
});

describe('readings', () => {
  test('of the archer need no bow; what was typed is kept with its unit', () => {
    take('armSpan', '68');
    take('wallToMouth', '69,2 cm');
    take('weightTrial', '40#', { choice: 'smooth' });
    expect(job.fitReadings).toMatchObject([
      { key: 'armSpan', si: 68 * 25.4, entered: '68 in' },
      { key: 'wallToMouth', si: 692, entered: '69,2 cm' },
      { key: 'weightTrial', outcome: 'smooth', entered: '40#' },
    ]);
  });
  test.each([
    ['an unknown value', 'shoeSize', '44', {}, 'unknown-value', '/command/readings/0/key'],
    [
      'a value of the bow without a bow',
      'centreShot',
      '20 mm',
      {},
      'no-bow',
      '/command/readings/0/key',
    ],
    ['text', 'armSpan', 'long', {}, 'notANumber', '/command/readings/0/entered'],
    ['nothing', 'armSpan', ' ', {}, 'empty', '/command/readings/0/entered'],
    ['the wrong unit', 'armSpan', '68 lb', {}, 'wrongUnit', '/command/readings/0/entered'],
    ['too much', 'armSpan', '4 m', {}, 'tooLarge', '/command/readings/0/entered'],
    ['too little', 'armSpan', '0', {}, 'tooSmall', '/command/readings/0/entered'],
    [
      'a trial without how it went',
      'weightTrial',
      '40',
      {},
      'unknown-choice',
      '/command/readings/0/choice',
    ],
  ])('%s is refused at its field', (_, key, entered, more, reason, pointer) => {
    const answer = refusal({ name: 'takeReadings', readings: [{ key, entered, ...more }] });
    expect(answer).toMatchObject({ status: 422, reason, pointer });
  });
  test('several are taken together or not at all', () => {
    const readings = [
      { key: 'armSpan', entered: '68' },
      { key: 'wallToMouth', entered: 'x' },
    ];
    expect(refusal({ name: 'takeReadings', readings })).toMatchObject({
      pointer: '/command/readings/1/entered',
    });
    expect(job.fitReadings).toEqual([]);
  });

  describe('on a bow', () => {
    beforeEach(() => send({ name: 'chooseBow', bowId: 'test-31-r' }));
    const values = () =>
      Object.fromEntries(job.readings.map((r) => [r.key, [r.si, r.si2, r.choice]]));

    test('ticks, choices, tears', () => {
      take('restFitted', '');
      take('steadyTip', '', { choice: 'left' });
      take('paperTear', '-3', { entered2: '5 mm' });
      expect(values()).toEqual({
        restFitted: [1, null, null],
        steadyTip: [null, null, 'left'],
        paperTear: [-3, 5, null],
      });
      expect(
        refusal({
          name: 'takeReadings',
          readings: [{ key: 'steadyTip', entered: '', choice: 'up' }],
        }).reason,
      ).toBe('unknown-choice');
      expect(
        refusal({ name: 'takeReadings', readings: [{ key: 'paperTear', entered: '1' }] }).pointer,
      ).toBe('/command/readings/0/entered2');
    });
    test('a weighing brings the turns of both bolts; without turns it is where they stand', () => {
      take('peakWeight', '60 lb', { entered2: '2 1/2' });
      expect(values()).toMatchObject({
        limbTurnsUpper: [2.5, null, null],
        limbTurnsLower: [2.5, null, null],
      });
      take('peakWeight', '59 lb');
      expect(job.readings.at(-1)).toMatchObject({ key: 'peakWeight', si2: 2.5 });
      take('peakWeight', '58 lb', { entered2: '2 1/2' });
      expect(job.readings.filter(({ key }) => key === 'limbTurnsUpper')).toHaveLength(1);
    });
    test('turns past the bow’s limit are refused', () => {
      const readings = [{ key: 'peakWeight', entered: '40', entered2: '8 1/4' }];
      expect(refusal({ name: 'takeReadings', readings })).toMatchObject({
        reason: 'tooLarge',
        pointer: '/command/readings/0/entered2',
      });
      expect(
        refusal({ name: 'takeReadings', readings: [{ key: 'limbTurnsUpper', entered: '9' }] })
          .reason,
      ).toBe('tooLarge');
    });
    test('undo takes a weighing back whole', () => {
      take('peakWeight', '60 lb', { entered2: '2' });
      send({ name: 'undo' });
      expect(job.readings).toEqual([]);
      expect(
        refusal({ name: 'setGoal', goal: 'moduleStep', entered: '99', reason: 'x' }).status,
      ).toBe(422);
    });
    test('readings of one bow do not follow to another', () => {
      take('centreShot', '20 mm');
      send({ name: 'chooseBow', bowId: 'nolimit' });
      expect(job.readings).toEqual([]);
      send({ name: 'chooseBow', bowId: 'test-31-r' });
      expect(job.readings).toHaveLength(1);
    });
  });

  test('a bow without a known limit is not weighed at turns', () => {
    send({ name: 'chooseBow', bowId: 'nolimit' });
    const readings = [{ key: 'peakWeight', entered: '40', entered2: '1' }];
    expect(refusal({ name: 'takeReadings', readings }).reason).toBe('no-turn-limit');
    take('peakWeight', '45');
    expect(job.readings).toMatchObject([{ key: 'peakWeight', si2: null }]);
  });
});

describe('groups', () => {
  const round = [
    [20, -8],
    [-16, 12],
    [3, 19],
    [-9, -18],
  ].map(([rightMm, upMm]) => ({ rightMm, upMm }));
  const group = (hits: object[], distance = '18 m') => ({ name: 'takeGroup', distance, hits });
  beforeEach(() => send({ name: 'chooseBow', bowId: 'test-31-r' }));

  test('need the pin’s radius', () => expect(refusal(group(round)).reason).toBe('inputs-missing'));
  test('confirm the distance when the middle cannot be told from the aim', () => {
    take('peepToPin', '30');
    send(group(round));
    expect(job.readings.at(-1)).toMatchObject({
      key: 'firstMark',
      si: 18,
      entered: '18 m, 4 arrows',
    });
  });
  test('off the aim, too few, or at an impossible distance: refused', () => {
    take('peepToPin', '30');
    const high = round.map((hit) => ({ ...hit, upMm: hit.upMm! + 120 }));
    expect(refusal(group(high)).message).toContain('move the pin first');
    expect(refusal(group(round.slice(0, 2))).message).toContain('three arrows');
    expect(refusal(group(round, '2 m'))).toMatchObject({
      pointer: '/command/distance',
      reason: 'tooSmall',
    });
    expect(refusal(group([], '18 m')).status).toBe(400);
  });
});

describe('bow and goals', () => {
  test('the other hand, and a bow that is gone, are refused', () => {
    expect(refusal({ name: 'chooseBow', bowId: 'left' }).reason).toBe('wrong-hand');
    expect(refusal({ name: 'chooseBow', bowId: 'gone' }).reason).toBe('unknown-bow');
  });
  test('one that does not cover the fit needs a reason, which is kept', () => {
    take('armSpan', '69');
    expect(refusal({ name: 'chooseBow', bowId: 'short' })).toMatchObject({
      reason: 'not-covered',
      pointer: '/command/reason',
    });
    send({ name: 'chooseBow', bowId: 'short', reason: 'only to try' });
    expect(job.job.bowReason).toMatch(/^longest setting .*: only to try$/);
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    expect(job.job.bowReason).toBe('');
    send({ name: 'undo' });
    expect(job.job).toMatchObject({ bowId: 'short' });
    expect(job.job.bowReason).toContain('only to try');
  });
  test('goals need a setting the bow has, and a reason', () => {
    expect(
      refusal({ name: 'setGoal', goal: 'moduleStep', entered: '28', reason: 'so' }).reason,
    ).toBe('no-bow');
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    expect(
      refusal({ name: 'setGoal', goal: 'moduleStep', entered: '27 1/4', reason: 'because' }),
    ).toMatchObject({ reason: 'no-such-module' });
    expect(
      refusal({ name: 'setGoal', goal: 'moduleStep', entered: '28', reason: ' ' }),
    ).toMatchObject({ reason: 'no-reason', pointer: '/command/reason' });
    expect(
      refusal({ name: 'setGoal', goal: 'peakWeight', entered: '90 lb', reason: 'strong' }).reason,
    ).toBe('tooLarge');
    send({ name: 'setGoal', goal: 'moduleStep', entered: '28', reason: 'likes it long' });
    send({ name: 'setGoal', goal: 'peakWeight', entered: '45', reason: 'draws it well' });
    expect(job.job).toMatchObject({ moduleReason: 'likes it long', peakReason: 'draws it well' });
    expect(job.job.moduleStepMm).toBeCloseTo(711.2, 6);
    send({ name: 'setGoal', goal: 'peakWeight', entered: null, reason: '' });
    expect(job.job).toMatchObject({ peakTargetN: null, peakReason: '' });
  });
  test('goals of one bow do not follow to another', () => {
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    send({ name: 'setGoal', goal: 'moduleStep', entered: '28', reason: 'so it is' });
    send({ name: 'chooseBow', bowId: 'nolimit' });
    expect(job.job.moduleStepMm).toBeNull();
  });
});

describe('parts', () => {
  const choose = (slot: string, itemId: string | null, owned = false, label = '') => ({
    name: 'choosePart',
    slot,
    itemId,
    owned,
    label,
  });
  beforeEach(() => send({ name: 'chooseBow', bowId: 'test-31-r' }));

  test('from stock, to be ordered with its day, brought along for nothing', () => {
    send(choose('rest', 'rest'));
    send(choose('sight', 'sight'));
    send(choose('release', null, true, ' her own '));
    expect(job.parts).toMatchObject([
      { slot: 'release', owned: true, label: 'her own', priceCents: 0, item: null },
      { slot: 'rest', priceCents: 10000, arrivesDay: null },
      { slot: 'sight', arrivesDay: '2026-11-27' },
    ]);
    send(choose('rest', 'rest', true));
    expect(job.parts.find(({ slot }) => slot === 'rest')).toMatchObject({
      owned: true,
      priceCents: 0,
    });
    send({ name: 'undo' });
    expect(job.parts.find(({ slot }) => slot === 'rest')).toMatchObject({
      owned: false,
      priceCents: 10000,
    });
    send(choose('rest', null));
    expect(job.parts.map(({ slot }) => slot)).toEqual(['release', 'sight']);
  });
  test('a mount that does not fit is refused with the reason', () => {
    expect(refusal(choose('rest', 'dovetail'))).toMatchObject({
      status: 422,
      reason: 'rest-mount',
      pointer: '/command/itemId',
    });
    expect(refusal(choose('rest', 'dovetail')).message).toContain(
      'this riser takes a bolt through the plunger hole',
    );
  });
  test('an item of another slot, an unknown one, an own one without a name', () => {
    expect(refusal(choose('sight', 'rest')).reason).toBe('unknown-part');
    expect(refusal(choose('rest', 'nothing')).reason).toBe('unknown-part');
    expect(refusal(choose('rest', null, true, '  ')).pointer).toBe('/command/label');
    expect(refusal(choose('hat', 'rest')).status).toBe(400);
  });
});

describe('signing and handing over', () => {
  const tellAll = () =>
    HANDOVER_CAUTIONS.forEach(({ id }) => send({ name: 'acknowledge', cautionId: id, yes: true }));

  test('a step is signed with a reason, and undo withdraws it', () => {
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    send({ name: 'signStep', stepId: 'weights', reason: 'scale is away' });
    expect(job.exceptions).toMatchObject([
      { stepId: 'weights', reason: 'scale is away', who: 'T. Okoro' },
    ]);
    send({ name: 'undo' });
    expect(job.exceptions).toEqual([]);
    expect(refusal({ name: 'signStep', stepId: 'dance', reason: 'for joy' }).reason).toBe(
      'unknown-step',
    );
    expect(refusal({ name: 'signStep', stepId: 'weights', reason: ' ' }).status).toBe(400);
  });
  test('a sheet needs a bow, every caution told, a guardian for a minor, a reason for what is open', () => {
    expect(refusal({ name: 'handOver', openReason: '' }).reason).toBe('cautions-open');
    tellAll();
    expect(refusal({ name: 'handOver', openReason: 'x y z' }).reason).toBe('no-bow');
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    send({ name: 'setAnswers', archer: { minor: true } });
    expect(refusal({ name: 'handOver', openReason: 'x y z' }).reason).toBe('no-guardian');
    send({ name: 'setAnswers', archer: { guardianName: 'Femke' } });
    expect(refusal({ name: 'handOver', openReason: ' ' })).toMatchObject({
      reason: 'work-open',
      pointer: '/command/openReason',
    });
    send({ name: 'handOver', openReason: 'taken home to try' });
    expect(job.sheets).toMatchObject([{ revision: 1, who: 'T. Okoro' }]);
    expect(job.job.deliveredAt).toBe('2026-11-24T09:00:00.000Z');
    const sheet = loadSheet(job.job.id, '1', db);
    expect(sheet).toMatchObject({
      revision: 1,
      openReason: 'taken home to try',
      archer: { guardianName: 'Femke' },
    });
    expect(() => loadSheet(job.job.id, '2', db)).toThrow('no such build sheet');
    expect(() => loadSheet(job.job.id, 'one', db)).toThrow('no such build sheet');
  });
  test('arrows that would be like a dry fire are never handed over', () => {
    send({ name: 'choosePart', slot: 'arrows', itemId: 'light', owned: false, label: '' });
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    take('weightTrial', '45', { choice: 'smooth' });
    tellAll();
    expect(refusal({ name: 'handOver', openReason: 'he wants it' }).reason).toBe('arrow-too-light');
  });
  test('what changes afterwards makes the next revision; the first stays as it was', () => {
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    tellAll();
    send({ name: 'handOver', openReason: 'first try' });
    const first = JSON.stringify(loadSheet(job.job.id, '1', db));
    take('bowMass', '2500');
    send({ name: 'handOver', openReason: 'second try' });
    expect(job.sheets.map(({ revision }) => revision)).toEqual([2, 1]);
    expect(JSON.stringify(loadSheet(job.job.id, '1', db))).toBe(first);
    expect(loadSheet(job.job.id, '2', db).settings.map(({ key }) => key)).toEqual(['bowMass']);
  });
  test('what lay on the shelf leaves it at the first handover, and only once', () => {
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    send({ name: 'choosePart', slot: 'rest', itemId: 'rest', owned: false, label: '' });
    send({ name: 'choosePart', slot: 'sight', itemId: 'sight', owned: false, label: '' });
    tellAll();
    const stock = () => ['rest', 'sight'].map((id) => itemById(db, id)!.stock);
    expect(stock()).toEqual([1, 0]);
    send({ name: 'handOver', openReason: 'first try' });
    // The sight was ordered for this archer: it never lay there.
    expect(stock()).toEqual([0, 0]);
    take('bowMass', '2500');
    send({ name: 'handOver', openReason: 'second try' });
    expect(stock()).toEqual([0, 0]);
  });
  test('a caution can be told again', () => {
    send({ name: 'acknowledge', cautionId: 'dryFire', yes: true });
    send({ name: 'acknowledge', cautionId: 'dryFire', yes: false });
    expect(job.acknowledged).toEqual([]);
    send({ name: 'undo' });
    expect(job.acknowledged).toEqual(['dryFire']);
    expect(refusal({ name: 'acknowledge', cautionId: 'be nice', yes: true }).reason).toBe(
      'unknown-caution',
    );
  });
});

describe('undo', () => {
  test('goes back entry by entry, then says there is nothing left', () => {
    take('armSpan', '68');
    take('armSpan', '69');
    send({ name: 'undo' });
    expect(job.fitReadings.map(({ entered }) => entered)).toEqual(['68 in']);
    expect(job.events[0]!.summary).toBe('Taken back: Arm span: 69 in');
    send({ name: 'undo' });
    expect(job.fitReadings).toEqual([]);
    expect(refusal({ name: 'undo' }).reason).toBe('nothing-to-undo');
  });
});

describe('commands nobody knows', () => {
  test.each([
    [{}],
    [{ name: 'explode' }],
    [{ name: 'undo', now: true }],
    [{ name: 'takeReadings', readings: [] }],
  ])('%j is a malformed body', (command) => {
    expect(refusal(command as Body).status).toBe(400);
  });
  test('a body that is no object', () => {
    for (const body of [null, 5, 'x', []])
      expect(() => runCommand(job.job.id, body, db)).toThrow(Problem);
  });
});

describe('where a job was left', () => {
  test('is kept without a version', () => {
    rememberPlace(job.job.id, { place: 'lane' }, db);
    expect(send({ name: 'setAnswers', job: { notes: 'x' } }).job).toMatchObject({
      place: 'lane',
      version: 2,
    });
  });
  test('an unknown place or job is refused', () => {
    expect(() => rememberPlace(job.job.id, { place: 'attic' }, db)).toThrow(Problem);
    expect(() => rememberPlace('nobody', { place: 'lane' }, db)).toThrow('no such job');
  });
});
