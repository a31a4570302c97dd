import { shopDay } from '../clock';
import { assertSheet } from '@/contracts/sheet';
import {
  HANDOVER_CAUTIONS,
  derive,
  openWork,
  stageStates,
  type JobSnapshot,
  cautionsAgain,
  openVisitOf,
} from '@/core/job';
import type { Drawn } from '@/contracts/delivery-commands';
import { makeQuote, quoteChanges } from '@/core/quote';
import { STEP_TEMPLATES } from '@/core/bench';
import { sheetDocument, type SheetStamp } from '@/core/sheet';
import { spokenDay, writeMoney } from '@/core/units';
import { updateJob, jobById } from '@/data/jobs';
import { insertQuote, quoteById } from '@/data/quotes';
import { acknowledge, addException, lastSeq, unacknowledge } from '@/data/records';
import { printPhotos } from '@/data/photos';
import { insertSheet } from '@/data/sheets';
import { sheetGround } from '../sheets';
import { layBackUses, useUp } from '../used-up';
import { comeBack, leaveTheShop } from './leave';
import { ofStage, cannot, needReason, type Handlers } from './types';

/** Of a signature, x and y together: a name has a twentieth of it. */
const MOST_COORDINATES = 20_000;

/** Signatures, cautions, the handover. */
export const SIGN = ofStage('handover', {
  signStep({ stepId, reason }, { db, snapshot, who, at, before }) {
    const step = STEP_TEMPLATES.find((template) => template.id === stepId);
    if (!step) throw cannot('unknown-step', 'There is no such step.', '/command/stepId');
    const id = addException(db, snapshot.job.id, {
      stepId,
      reason: reason.trim(),
      who,
      at,
      seq: before === null ? lastSeq(db, snapshot.job.id) : Math.ceil(before) - 1,
    });
    return {
      stage: step.stage,
      summary: `Signed off “${step.title}”: ${reason.trim()}`,
      inverse: { do: 'withdraw', exceptionId: id },
    };
  },

  acknowledge({ cautionId, yes }, { db, snapshot, who, at }) {
    if (!HANDOVER_CAUTIONS.some((caution) => caution.id === cautionId))
      throw cannot('unknown-caution', 'There is no such caution.');
    if (yes) acknowledge(db, snapshot.job.id, cautionId, who, at);
    else unacknowledge(db, snapshot.job.id, cautionId);
    return {
      summary: yes ? 'Caution told and understood' : 'Caution to be told again',
      inverse: { do: 'acknowledge', cautionId, yes: !yes },
    };
  },

  handOver({ openReason, signature = null, toldAgain = [] }, { db, snapshot, who, at }) {
    const derived = derive(snapshot);
    const untold = HANDOVER_CAUTIONS.filter(({ id }) => !snapshot.acknowledged.includes(id));
    if (untold.length > 0)
      throw cannot('cautions-open', `${untold.length} cautions are not acknowledged yet.`);
    const visit = openVisitOf(snapshot.job);
    const again = visit ? cautionsAgain(visit, derived.history) : [];
    if (again.some((id) => !toldAgain.includes(id)))
      throw cannot(
        'cautions-again',
        'Something is new on this visit: tell the cautions that speak of it again.',
        '/command/toldAgain',
      );
    if (!snapshot.bow) throw cannot('no-bow', 'There is no bow to hand over.');
    if (snapshot.archer.minor && snapshot.archer.guardianName.trim() === '')
      throw cannot('no-guardian', 'A minor’s guardian has to be named.');
    const danger = derived.findings.find(
      ({ rule, verdict }) =>
        ['arrow-mass', 'arrow-mass-now'].includes(rule.id) && verdict === 'doesNotFit',
    );
    if (danger) throw cannot('arrow-too-light', `The arrows are too light: ${danger.reason}.`);
    const open = openWork(stageStates(snapshot, derived), derived);
    if (open.length > 0 && openReason.trim().length < 3) {
      throw cannot(
        'work-open',
        `Open: ${open.join('; ')}. Finish it, or say why it is handed over all the same.`,
        '/command/openReason',
      );
    }
    const revision = (snapshot.sheets[0]?.revision ?? 0) + 1;
    const stamp = {
      revision,
      madeAt: at,
      madeDay: shopDay(snapshot.shop.timeZone, at),
      madeBy: who,
      openReason: open.length > 0 ? openReason.trim() : null,
      signature: signature && signed(signature, snapshot),
    };
    const sheet = assertSheet(sheetDocument(snapshot, derived, stamp, sheetGround(db, snapshot)));
    insertSheet(db, snapshot.job.id, { revision, at, who }, sheet);
    printPhotos(
      db,
      sheet.photos.map(({ id }) => id),
    );
    leaveTheShop(snapshot, derived, db);
    useUp(snapshot, derived, at, db);
    updateJob(db, {
      ...jobById(db, snapshot.job.id)!,
      deliveredAt: at,
      comeBackDay: sheet.comeBackDay,
    });
    return { summary: `Handed over, sheet revision ${revision}`, inverse: null, visit: 'ends' };
  },

  takeBackHandover({ reason }, { db, snapshot }) {
    if (!snapshot.job.deliveredAt) throw cannot('not-delivered', 'This job is not handed over.');
    const why = needReason(reason);
    comeBack(snapshot, db);
    layBackUses(snapshot, db);
    updateJob(db, { ...jobById(db, snapshot.job.id)!, deliveredAt: null, comeBackDay: null });
    return { summary: `Handover taken back: ${why}`, inverse: null, visit: 'reopens' };
  },

  giveQuote(_command, { db, snapshot, who, at }) {
    const { bow, parts, quotes, shop, job } = snapshot;
    if (!bow && parts.length === 0)
      throw cannot('nothing-to-quote', 'There is neither a bow nor a part to quote yet.');
    const quote = makeQuote(snapshot, derive(snapshot), {
      revision: (quotes[0]?.revision ?? 0) + 1,
      madeAt: at,
      madeDay: shopDay(shop.timeZone, at),
      madeBy: who,
    });
    const newest = quotes[0] && quoteById(db, job.id, quotes[0].revision);
    if (newest && newest.validUntil >= snapshot.today && quoteChanges(newest, quote).length === 0)
      throw cannot(
        'same-quote',
        `Quote ${newest.revision} says the same and holds until ${spokenDay(newest.validUntil)}. Print that one.`,
      );
    insertQuote(db, job.id, quote);
    return {
      stage: 'kit',
      summary: `Quote ${quote.revision}: ${writeMoney(quote.totalCents)}`,
      inverse: null,
    };
  },
} satisfies Partial<Handlers>);

/** A signature as the sheet keeps it: of the archer, or of who decides for a minor. */
function signed(
  { width, height, strokes }: Drawn,
  { archer }: JobSnapshot,
): NonNullable<SheetStamp['signature']> {
  if (strokes.reduce((sum, points) => sum + points.length, 0) > MOST_COORDINATES)
    throw cannot(
      'signature-too-long',
      'There are more strokes in it than in any signature: sign anew.',
      '/command/signature',
    );
  const path = strokes
    .map((points) => {
      if (points.length % 2 === 1)
        throw cannot('half-a-point', 'A stroke ends in half a point.', '/command/signature');
      const pairs = Array.from({ length: points.length / 2 }, (_, i) =>
        points.slice(2 * i, 2 * i + 2),
      );
      return pairs.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('');
    })
    .join('');
  return {
    by: archer.minor ? 'guardian' : 'archer',
    name: archer.minor ? archer.guardianName : archer.name,
    width,
    height,
    path,
  };
}
