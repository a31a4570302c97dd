import { chronograph } from '@/core/bow';
import { group, type Hit } from '@/core/flight';
import {
  confirmedShots,
  derive,
  dropsBelow,
  fitShots,
  fitKeyName,
  flightInputs,
  isFitKey,
  jobMarks,
  paperMove,
  readOptionsFor,
  type JobDerived,
  type JobSnapshot,
} from '@/core/job';
import {
  driftWords,
  latest,
  MOVED_BY_PAPER,
  readingText,
  setupValue,
  tearWords,
  writeValue,
  type Reading,
} from '@/core/setup';
import { walkBack } from '@/core/tuning';
import { metre, mm, read, write, type QuantityName, type ReadOptions } from '@/core/units';
import { leftOutReadings, readingBySeq } from '@/data/records';
import { appendRows, retractionOf, type PlainRow } from '../take-readings';
import { cannot, type Done, type Handlers, type Work } from './types';

/** The job's own arrow, a little more or less: the scale and the set scatter that much. */
const OWN_ARROW_G = 0.35;

/** Everything on the lane is done with a bow. */
function bowOf({ snapshot }: Work) {
  if (!snapshot.bow) throw cannot('no-bow', 'Choose a bow first.');
  return snapshot.bow;
}

type Limits = Partial<Pick<ReadOptions, 'min' | 'max' | 'bareUnit'>>;

/** Reads one typed number, or refuses with its field. */
function number(
  text: string,
  quantity: QuantityName,
  what: string,
  pointer: string,
  work: Work,
  limits: Limits,
) {
  const answer = read(text, { quantity, shop: work.snapshot.shop.units, what, ...limits });
  if (!answer.ok) throw cannot(answer.code, answer.message, `/command/${pointer}`);
  const entered = answer.unitAssumed ? `${answer.entered} ${answer.unit}` : answer.entered;
  return { si: answer.si, entered };
}

const distanceOf = (text: string, work: Work, min = 3, pointer = 'distance') =>
  number(text, 'distance', 'distance', pointer, work, { min, max: 150 });
const sideways = (text: string, what: string, pointer: string, work: Work, most: number) =>
  number(text, 'length', what, pointer, work, { min: -most, max: most, bareUnit: 'mm' });

/** Writes rows of this bow, and says how they are taken back. */
function keep(
  work: Work,
  summary: string,
  rows: readonly (Pick<PlainRow, 'key' | 'si' | 'entered'> & Partial<PlainRow>)[],
): Done {
  const { db, snapshot, who, at } = work;
  const whole = rows.map((row): PlainRow => ({
    bowId: snapshot.bow!.id,
    si2: null,
    choice: null,
    method: 'typed',
    retracts: null,
    ...row,
  }));
  const seqs = appendRows(db, whole, { jobId: snapshot.job.id, who, at });
  return { summary, inverse: { do: 'retract', seqs } };
}

/** What is shot and moved on the lane. */
export const LANE = {
  takeTear({ right, up, distance }, work) {
    bowOf(work);
    const most = setupValue('paperTear').max!;
    const x = sideways(right, 'nock right (+) or left (−)', 'right', work, most);
    const y = sideways(up, 'nock high (+) or low (−)', 'up', work, most);
    const far = distanceOf(distance, work, 1);
    return keep(work, `Paper tear: ${tearWords(x.si, y.si)}`, [
      {
        key: 'paperTear',
        si: x.si,
        si2: y.si,
        entered: `${x.entered} right, ${y.entered} up`,
        data: { kind: 'tear', distanceM: far.si },
      },
    ]);
  },

  movePaper({ adjustment, amount }, work) {
    bowOf(work);
    if (amount === 0) throw cannot('no-move', 'A move of nothing is none.', '/command/amount');
    const { history } = derive(work.snapshot);
    const answer = paperMove(work.snapshot, history, adjustment, amount);
    if (!answer.ok) throw cannot(answer.reason, answer.message, `/command/${answer.field}`);
    const units = work.snapshot.shop.units;
    const said = answer.values.map(
      ({ key, to }) => `${setupValue(key).name} to ${writeValue(key, to, units, true)}`,
    );
    return keep(
      work,
      `Moved: ${said.join(', ')}`,
      answer.values.map(({ key, to }) => ({
        key,
        si: to,
        entered: writeValue(key, to, units, true),
        method: MOVED_BY_PAPER,
      })),
    );
  },

  takeBareShaft({ distance, right, up }, work) {
    bowOf(work);
    const far = number(distance, 'distance', 'distance', 'distance', work, { min: 8, max: 40 });
    const most = setupValue('bareShaft').max!;
    const x = sideways(right, 'bare shafts right (+) or left (−)', 'right', work, most);
    const y = sideways(up, 'bare shafts high (+) or low (−)', 'up', work, most);
    return keep(work, `Bare shafts at ${far.entered}`, [
      {
        key: 'bareShaft',
        si: x.si,
        si2: y.si,
        entered: `${x.entered} right, ${y.entered} up at ${far.entered}`,
        data: { kind: 'bareShaft', distanceM: far.si },
      },
    ]);
  },

  takeWalkBack({ hits }, work) {
    bowOf(work);
    const points = hits.map((hit, i) => ({
      distanceM: metre(distanceOf(hit.distance, work, 3, `hits/${i}/distance`).si),
      rightMm: sideways(hit.right, 'right (+) or left (−)', `hits/${i}/right`, work, 3000).si,
    }));
    const length = latest(derive(work.snapshot).history, 'drawLength')?.si ?? null;
    if (length === null)
      throw cannot('inputs-missing', 'The draw length is not measured yet: the line hangs on it.');
    const answer = walkBack(points, mm(length));
    if (!answer.ok) throw cannot(answer.reason, answer.message, '/command/hits');
    return keep(work, `Walk-back: ${driftWords(answer.mmPerM)}`, [
      {
        key: 'walkBack',
        si: answer.mmPerM,
        si2: answer.pValue,
        entered: `${points.length} hits`,
        data: { kind: 'walkBack', hits: points },
      },
    ]);
  },

  takeSpeeds({ arrow, shots }, work) {
    bowOf(work);
    const options = readOptionsFor('arrowSpeed', work.snapshot.shop.units, null)!;
    const all = shots.map(({ entered, device, discarded }, i) => {
      const answer = read(entered, options);
      if (!answer.ok) throw cannot(answer.code, answer.message, `/command/shots/${i}/entered`);
      return { mps: answer.si, device, discarded };
    });
    const counted = all.filter(({ discarded }) => discarded === null).map((shot) => shot.mps);
    const result = chronograph(counted);
    if (!result)
      throw cannot('none-left', 'Every reading was left out: shoot again.', '/command/shots');
    const own = latest(derive(work.snapshot).history, 'arrowMass')?.si ?? null;
    const other =
      arrow === undefined
        ? null
        : number(arrow, 'mass', 'arrow’s mass', 'arrow', work, { min: 10, max: 60 });
    const isOther = other !== null && (own === null || Math.abs(other.si - own) > OWN_ARROW_G);
    const arrowG = isOther ? other.si : own;
    const said = write(result.speedMps, 'speed', work.snapshot.shop.units);
    const entered = `${said} of ${counted.length}`;
    return keep(work, `${isOther ? 'Speed of another arrow' : 'Arrow speed'}: ${entered}`, [
      {
        key: isOther ? 'speedOther' : 'arrowSpeed',
        si: result.speedMps,
        si2: isOther ? arrowG : null,
        entered,
        method: all.some(({ device }) => device !== null) ? 'device' : 'typed',
        data: { kind: 'speeds', shots: all, arrowG },
      },
    ]);
  },

  takeGroup({ distance, hits, pinDrop, corrected = false }, work) {
    bowOf(work);
    const far = distanceOf(distance, work);
    const derived = derive(work.snapshot);
    const radius = latest(derived.history, 'peepToPin')?.si ?? null;
    if (radius === null)
      throw cannot(
        'inputs-missing',
        'Peep to pin is not measured yet: the pin’s move hangs on it.',
      );
    const answer = group({
      hits: hits as Hit[],
      distanceM: metre(far.si),
      peepToPinMm: mm(radius),
    });
    if (answer.pValue === null)
      throw cannot('not-settled', 'At least three arrows confirm a distance.');
    if (answer.adjust && !corrected)
      throw cannot(
        'not-settled',
        'This group is off the aim: move the pin first, then shoot again.',
      );
    const said = `${distance.trim()}, ${hits.length} arrows`;
    if (pinDrop === undefined) {
      if (answer.adjust)
        throw cannot(
          'not-settled',
          'The first distance everything is counted from has to be shot in: move the pin first, then shoot again.',
        );
      return keep(
        work,
        `First distance confirmed at ${write(far.si, 'distance', work.snapshot.shop.units)}`,
        [
          {
            key: 'firstMark',
            si: far.si,
            si2: answer.pValue,
            entered: said,
            method: 'group',
            data: { kind: 'group', hits, dropMm: 0 },
          },
        ],
      );
    }
    const stood = dropOf(pinDrop, 'pinDrop', work);
    // The pin goes towards the hit: hits high, pin up, less below the first.
    const drop = stood - (answer.pinMove?.upMm ?? 0);
    return markDone(work, derived, far.si, drop, said, { hits, scaleM: null });
  },

  takeMark({ distance, drop, scale, tapeSpeed }, work) {
    bowOf(work);
    const far = distanceOf(distance, work);
    const derived = derive(work.snapshot);
    if (drop !== undefined) {
      const below = dropOf(drop, 'drop', work);
      return markDone(work, derived, far.si, below, `${distance.trim()}, ${drop.trim()} below`, {
        hits: [],
        scaleM: null,
      });
    }
    if (scale === undefined)
      throw cannot('nothing-read', 'Say where the pin stood, or what the scale read there.');
    const reads = distanceOf(scale, work, 3, 'scale');
    const { below, speed } = tapeDrop(work, derived, reads.si, tapeSpeed);
    return markDone(
      work,
      derived,
      far.si,
      below,
      `scale ${scale.trim()} at ${distance.trim()}, tape ${speed}`,
      { hits: [], scaleM: reads.si },
    );
  },

  discardReading({ seq, reason }, { db, snapshot, who, at }) {
    const row = readingBySeq(db, snapshot.job.id, seq);
    if (!row) throw cannot('no-reading', 'This reading is not there any more.', '/command/seq');
    const seqs = appendRows(db, [retractionOf(seq, 'discarded', reason.trim())], {
      jobId: snapshot.job.id,
      who,
      at,
    });
    const said = isFitKey(row.key)
      ? `${fitKeyName(row.key)}: ${row.entered}`
      : textOf({ ...row, seq, key: row.key as Reading['key'] }, snapshot);
    return {
      summary: `Left out “${said}”: ${reason.trim()}`,
      inverse: { do: 'retract', seqs },
    };
  },

  takeIn({ seq }, { db, snapshot, who, at }) {
    const out = leftOutReadings(db, snapshot.job.id).find((row) => row.seq === seq);
    if (!out) throw cannot('no-reading', 'This reading is not left out.', '/command/seq');
    const seqs = appendRows(db, [retractionOf(out.by, 'takenIn')], {
      jobId: snapshot.job.id,
      who,
      at,
    });
    const name = isFitKey(out.key)
      ? fitKeyName(out.key)
      : setupValue(out.key as Reading['key']).name;
    return {
      summary: `Counts again: ${name}: ${out.entered}`,
      inverse: { do: 'retract', seqs },
    };
  },
} satisfies Partial<Handlers>;

const textOf = (reading: Reading, { shop }: JobSnapshot) =>
  `${setupValue(reading.key).name}: ${readingText(reading, shop.units)}`;

const dropOf = (text: string, pointer: string, work: Work) =>
  number(text, 'length', 'pin below the first distance', pointer, work, {
    min: -30,
    max: 250,
    bareUnit: 'mm',
  }).si;

/** How far below the first distance a tape of a known speed stands where it reads so much. */
function tapeDrop(work: Work, derived: JobDerived, scaleM: number, tapeSpeed: string | undefined) {
  const { flight } = flightInputs(derived);
  if ('ok' in flight) throw cannot(flight.reason, flight.message);
  const first = firstOf(derived);
  const typed = tapeSpeed?.trim()
    ? number(tapeSpeed, 'speed', 'speed printed on the tape', 'tapeSpeed', work, {
        min: 25,
        max: 140,
      }).si
    : flight.speedMps;
  const below = dropsBelow(flight, typed, first.distanceM, [metre(scaleM)]);
  if (!below)
    throw cannot('out-of-reach', 'A tape of that speed does not reach so far.', '/command/scale');
  return { below: below[0]!, speed: write(typed, 'speed', work.snapshot.shop.units) };
}

function firstOf(derived: JobDerived) {
  const first = confirmedShots(derived)[0];
  if (!first)
    throw cannot(
      'no-first',
      'Confirm the first distance before: every other one is counted from it.',
    );
  return first;
}

/** A further distance confirmed, after it was seen that the marks can be so. */
function markDone(
  work: Work,
  derived: JobDerived,
  distanceM: number,
  dropMm: number,
  entered: string,
  made: { hits: readonly { rightMm: number; upMm: number }[]; scaleM: number | null },
): Done {
  const first = firstOf(derived);
  const units = work.snapshot.shop.units;
  const said = write(distanceM, 'distance', units);
  if (Math.abs(distanceM - first.distanceM) < 0.5)
    throw cannot(
      'same-distance',
      `${said} is the first distance itself: shoot another one, ten metres further or more.`,
      '/command/distance',
    );
  const marks = jobMarks(derived, [metre(distanceM)]);
  const { flight } = flightInputs(derived);
  if (!('ok' in flight)) {
    const others = marks.shots.filter((shot) => Math.abs(shot.distanceM - distanceM) >= 0.5);
    const fit = fitShots(flight, [...others, { distanceM: metre(distanceM), dropMm: mm(dropMm) }]);
    if (!fit.ok) throw cannot(fit.reason, fit.message, '/command/distance');
  }
  const now =
    marks.flight &&
    dropsBelow(marks.flight, marks.flight.speedMps, first.distanceM, [metre(distanceM)]);
  return keep(work, `Confirmed: ${said} at ${dropMm.toFixed(1)} mm below the first`, [
    {
      key: 'markShot',
      si: distanceM,
      si2: dropMm,
      entered,
      method: made.hits.length > 0 ? 'group' : 'typed',
      data: {
        kind: 'mark',
        hits: made.hits,
        scaleM: made.scaleM,
        offMm: now ? dropMm - now[0]! : null,
      },
    },
  ]);
}
