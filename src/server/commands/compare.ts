import {
  bowName,
  CURVE_DOUBTS,
  curveDoubts,
  curveFacts,
  drawOffOrder,
  OWN_BOW_ID,
  drawnNow,
  rankDrawOff,
  type DrawOff,
  type LoggedCurve,
} from '@/core/bow';
import { historyOf, latest } from '@/core/setup';
import { mm, newton } from '@/core/units';
import { insertCurve } from '@/data/curves';
import { jobById, updateJob } from '@/data/jobs';
import { bowById } from '@/data/stock';
import { ofStage, cannot, type Done, type Handlers, type Work } from './types';
import { NO_BOW } from '@/core/entries';

/** Bows drawn side by side, and the curves logged of them. */
export const COMPARE = ofStage('bow', {
  startDrawOff({ bowIds }, work) {
    const { db, snapshot } = work;
    const { hand } = snapshot.archer;
    for (const [i, id] of bowIds.entries()) {
      // Their own is of their hand, and set as they shoot it.
      if (id === OWN_BOW_ID) continue;
      const bow = bowById(db, id);
      const at = `/command/bowIds/${i}`;
      if (!bow) throw cannot('unknown-bow', `There is no bow “${id}” in the shop.`, at);
      if (bow.hand !== hand)
        throw cannot('wrong-hand', `${bowName(bow)} is a ${bow.hand}-hand bow.`, at);
    }
    const before = snapshot.job.drawOff;
    const order = drawOffOrder(snapshot.archer.id, bowIds);
    return put(
      { bowIds: order, speedCounts: before?.speedCounts ?? false, marks: before?.marks ?? [] },
      `Draw-off of ${order.length} bows`,
      work,
    );
  },

  markDrawOff({ aspect, first, second, better }, work) {
    const drawOff = standing(work);
    if (first === second)
      throw cannot('same-bow', 'A bow is compared with another one.', '/command/second');
    if (better !== null && better !== first && better !== second)
      throw cannot('unknown-bow', 'The better one is one of the two.', '/command/better');
    const marks = [...drawOff.marks, { aspect, first, second, better }];
    const now = drawnNow(drawOff);
    const ranked = rankDrawOff({ ...now, marks: [...now.marks, marks.at(-1)!] });
    if (!ranked.ok) throw cannot(ranked.reason, ranked.message, '/command/first');
    return put({ ...drawOff, marks }, `Draw-off: ${aspect}`, work);
  },

  setDrawOff({ speedCounts }, work) {
    const words = speedCounts ? 'speed counts' : 'speed does not count';
    return put({ ...standing(work), speedCounts }, `Draw-off: ${words}`, work);
  },

  endDrawOff(_, work) {
    standing(work);
    return put(null, 'Draw-off put away', work);
  },

  keepCurve({ points, source, sure = false }, { db, snapshot, who, at }) {
    const { bow, job } = snapshot;
    if (!bow) throw cannot(...NO_BOW);
    const logged = points.map(({ drawnMm, forceN }) => ({
      drawnMm: mm(drawnMm),
      forceN: newton(forceN),
    }));
    const facts = curveFacts(logged);
    if (!facts.ok) throw cannot(facts.reason, facts.message, `/command/${facts.field ?? 'points'}`);
    const weighed = latest(historyOf(snapshot.readings), 'peakWeight')?.si ?? null;
    const doubts = curveDoubts(logged, facts, weighed === null ? null : newton(weighed));
    if (doubts.length > 0 && !sure)
      throw cannot(
        'curve-doubtful',
        `Asked about before it counts: ${doubts.map((doubt) => CURVE_DOUBTS[doubt]).join(' ')}`,
        '/command/sure',
      );
    const curve: Omit<LoggedCurve, 'id'> = {
      bowId: bow.id,
      points: logged,
      source,
      who,
      at,
    };
    const curveId = insertCurve(db, job.id, curve);
    return {
      summary: `Draw-force curve of ${points.length} points kept`,
      inverse: { do: 'dropCurve', curveId },
    };
  },
} satisfies Partial<Handlers>);

function standing({ snapshot }: Work): DrawOff {
  if (!snapshot.job.drawOff) throw cannot('no-draw-off', 'Choose the bows to draw first.');
  return snapshot.job.drawOff;
}

function put(drawOff: DrawOff | null, summary: string, { db, snapshot }: Work): Done {
  updateJob(db, { ...jobById(db, snapshot.job.id)!, drawOff });
  return { summary, inverse: { do: 'restore', job: { drawOff: snapshot.job.drawOff } } };
}
