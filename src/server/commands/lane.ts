import { chronograph } from '@/core/bow';
import { derive, paperMove, readOptionsFor } from '@/core/job';
import {
  driftWords,
  latest,
  MOVED_BY_PAPER,
  setupValue,
  tearWords,
  writeValue,
} from '@/core/setup';
import { walkBack } from '@/core/tuning';
import { metre, mm, read, write } from '@/core/units';
import { ofStage, cannot, type Handlers } from './types';
import { bowOf, keep, number } from './lane-entries';

/** The job's own arrow, a little more or less: the scale and the set scatter that much. */
const OWN_ARROW_G = 0.35;

/** What is shot and moved on the lane. */
export const LANE = ofStage('lane', {
  takeTear({ right, up, distance }, work) {
    bowOf(work);
    const x = number(right, 'tearRight', work, 'right');
    const y = number(up, 'tearUp', work, 'up');
    const far = number(distance, 'paperDistance', work, 'distance');
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
    const far = number(distance, 'bareShaftDistance', work, 'distance');
    const x = number(right, 'bareRight', work, 'right');
    const y = number(up, 'bareUp', work, 'up');
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
      distanceM: metre(number(hit.distance, 'distance', work, `hits/${i}/distance`).si),
      rightMm: number(hit.right, 'besideLine', work, `hits/${i}/right`).si,
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
    const other = arrow === undefined ? null : number(arrow, 'otherArrow', work, 'arrow');
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
} satisfies Partial<Handlers>);
