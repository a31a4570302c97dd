import { group, type Hit } from '../flight';
import {
  confirmedShots,
  derive,
  dropsBelow,
  fitShots,
  flightInputs,
  jobMarks,
  type JobDerived,
  type JobSnapshot,
} from '../job';
import { latest } from '../setup';
import { metre, mm, write } from '../units';
import { cannot } from './refusal';
import { type Makers } from './types';
import { bowOf, number, onLane, type Taken } from './rows';

/** Groups at a distance, and marks made from them or from a scale. */
export const MARKS = {
  takeGroup({ distance, hits, pinDrop, corrected = false }, snapshot) {
    bowOf(snapshot);
    const far = number(distance, 'distance', snapshot, 'distance');
    const derived = derive(snapshot);
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
      return onLane(
        snapshot,
        `First distance confirmed at ${write(far.si, 'distance', snapshot.shop.units)}`,
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
    const stood = number(pinDrop, 'pinDrop', snapshot, 'pinDrop').si;
    // The pin goes towards the hit: hits high, pin up, less below the first.
    const drop = stood - (answer.pinMove?.upMm ?? 0);
    return markDone(snapshot, derived, far.si, drop, said, { hits, scaleM: null });
  },

  takeMark({ distance, drop, scale, tapeSpeed }, snapshot) {
    bowOf(snapshot);
    const far = number(distance, 'distance', snapshot, 'distance');
    const derived = derive(snapshot);
    if (drop !== undefined) {
      const below = number(drop, 'pinDrop', snapshot, 'drop').si;
      return markDone(
        snapshot,
        derived,
        far.si,
        below,
        `${distance.trim()}, ${drop.trim()} below`,
        {
          hits: [],
          scaleM: null,
        },
      );
    }
    if (scale === undefined)
      throw cannot('nothing-read', 'Say where the pin stood, or what the scale read there.');
    const reads = number(scale, 'scaleReading', snapshot, 'scale');
    const { below, speed } = tapeDrop(snapshot, derived, reads.si, tapeSpeed);
    return markDone(
      snapshot,
      derived,
      far.si,
      below,
      `scale ${scale.trim()} at ${distance.trim()}, tape ${speed}`,
      { hits: [], scaleM: reads.si },
    );
  },
} as const satisfies Partial<Makers>;

/** How far below the first distance a tape of a known speed stands where it reads so much. */
function tapeDrop(
  snapshot: JobSnapshot,
  derived: JobDerived,
  scaleM: number,
  tapeSpeed: string | undefined,
) {
  const { flight } = flightInputs(derived);
  if ('ok' in flight) throw cannot(flight.reason, flight.message);
  const first = firstOf(derived);
  const typed = tapeSpeed?.trim()
    ? number(tapeSpeed, 'tapeSpeed', snapshot, 'tapeSpeed').si
    : flight.speedMps;
  const below = dropsBelow(flight, typed, first.distanceM, [metre(scaleM)]);
  if (!below) throw cannot('out-of-reach', 'A tape of that speed does not reach so far.', '/scale');
  return { below: below[0]!, speed: write(typed, 'speed', snapshot.shop.units) };
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
  snapshot: JobSnapshot,
  derived: JobDerived,
  distanceM: number,
  dropMm: number,
  entered: string,
  made: { hits: readonly { rightMm: number; upMm: number }[]; scaleM: number | null },
): Taken {
  const first = firstOf(derived);
  const units = snapshot.shop.units;
  const said = write(distanceM, 'distance', units);
  if (Math.abs(distanceM - first.distanceM) < 0.5)
    throw cannot(
      'same-distance',
      `${said} is the first distance itself: shoot another one, ten metres further or more.`,
      '/distance',
    );
  const marks = jobMarks(derived, [metre(distanceM)]);
  const { flight } = flightInputs(derived);
  if (!('ok' in flight)) {
    const others = marks.shots.filter((shot) => Math.abs(shot.distanceM - distanceM) >= 0.5);
    const fit = fitShots(flight, [...others, { distanceM: metre(distanceM), dropMm: mm(dropMm) }]);
    if (!fit.ok) throw cannot(fit.reason, fit.message, '/distance');
  }
  const now =
    marks.flight &&
    dropsBelow(marks.flight, marks.flight.speedMps, first.distanceM, [metre(distanceM)]);
  return onLane(snapshot, `Confirmed: ${said} at ${dropMm.toFixed(1)} mm below the first`, [
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
