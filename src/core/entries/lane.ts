import { chronograph } from '../bow';
import { derive, paperMove, readOptionsFor } from '../job';
import { driftWords, latest, MOVED_BY_PAPER, setupValue, tearWords, writeValue } from '../setup';
import { walkBack } from '../tuning';
import { metre, mm, read, write } from '../units';
import { cannot } from './refusal';
import { type Makers } from './types';
import { bowOf, number, onLane } from './rows';

/** The job's own arrow, a little more or less: the scale and the set scatter that much. */
const OWN_ARROW_G = 0.35;

/** What is shot and moved on the lane. */
export const LANE = {
  takeTear({ right, up, distance }, snapshot) {
    bowOf(snapshot);
    const x = number(right, 'tearRight', snapshot, 'right');
    const y = number(up, 'tearUp', snapshot, 'up');
    const far = number(distance, 'paperDistance', snapshot, 'distance');
    return onLane(snapshot, `Paper tear: ${tearWords(x.si, y.si)}`, [
      {
        key: 'paperTear',
        si: x.si,
        si2: y.si,
        entered: `${x.entered} right, ${y.entered} up`,
        data: { kind: 'tear', distanceM: far.si },
      },
    ]);
  },

  movePaper({ adjustment, amount }, snapshot) {
    bowOf(snapshot);
    if (amount === 0) throw cannot('no-move', 'A move of nothing is none.', '/amount');
    const { history } = derive(snapshot);
    const answer = paperMove(snapshot, history, adjustment, amount);
    if (!answer.ok) throw cannot(answer.reason, answer.message, `/${answer.field}`);
    const units = snapshot.shop.units;
    const said = answer.values.map(
      ({ key, to }) => `${setupValue(key).name} to ${writeValue(key, to, units, true)}`,
    );
    return onLane(
      snapshot,
      `Moved: ${said.join(', ')}`,
      answer.values.map(({ key, to }) => ({
        key,
        si: to,
        entered: writeValue(key, to, units, true),
        method: MOVED_BY_PAPER,
      })),
    );
  },

  takeBareShaft({ distance, right, up }, snapshot) {
    bowOf(snapshot);
    const far = number(distance, 'bareShaftDistance', snapshot, 'distance');
    const x = number(right, 'bareRight', snapshot, 'right');
    const y = number(up, 'bareUp', snapshot, 'up');
    return onLane(snapshot, `Bare shafts at ${far.entered}`, [
      {
        key: 'bareShaft',
        si: x.si,
        si2: y.si,
        entered: `${x.entered} right, ${y.entered} up at ${far.entered}`,
        data: { kind: 'bareShaft', distanceM: far.si },
      },
    ]);
  },

  takeWalkBack({ hits }, snapshot) {
    bowOf(snapshot);
    const points = hits.map((hit, i) => ({
      distanceM: metre(number(hit.distance, 'distance', snapshot, `hits/${i}/distance`).si),
      rightMm: number(hit.right, 'besideLine', snapshot, `hits/${i}/right`).si,
    }));
    const length = latest(derive(snapshot).history, 'drawLength')?.si ?? null;
    if (length === null)
      throw cannot('inputs-missing', 'The draw length is not measured yet: the line hangs on it.');
    const answer = walkBack(points, mm(length));
    if (!answer.ok) throw cannot(answer.reason, answer.message, '/hits');
    return onLane(snapshot, `Walk-back: ${driftWords(answer.mmPerM)}`, [
      {
        key: 'walkBack',
        si: answer.mmPerM,
        si2: answer.pValue,
        entered: `${points.length} hits`,
        data: { kind: 'walkBack', hits: points },
      },
    ]);
  },

  takeSpeeds({ arrow, shots }, snapshot) {
    bowOf(snapshot);
    const options = readOptionsFor('arrowSpeed', snapshot.shop.units, null)!;
    const all = shots.map(({ entered, device, discarded }, i) => {
      const answer = read(entered, options);
      if (!answer.ok) throw cannot(answer.code, answer.message, `/shots/${i}/entered`);
      return { mps: answer.si, device, discarded };
    });
    const counted = all.filter(({ discarded }) => discarded === null).map((shot) => shot.mps);
    const result = chronograph(counted);
    if (!result) throw cannot('none-left', 'Every reading was left out: shoot again.', '/shots');
    const own = latest(derive(snapshot).history, 'arrowMass')?.si ?? null;
    const other = arrow === undefined ? null : number(arrow, 'otherArrow', snapshot, 'arrow');
    const isOther = other !== null && (own === null || Math.abs(other.si - own) > OWN_ARROW_G);
    const arrowG = isOther ? other.si : own;
    const said = write(result.speedMps, 'speed', snapshot.shop.units);
    const entered = `${said} of ${counted.length}`;
    return onLane(snapshot, `${isOther ? 'Speed of another arrow' : 'Arrow speed'}: ${entered}`, [
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
} as const satisfies Partial<Makers>;
