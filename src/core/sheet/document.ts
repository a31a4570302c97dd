import { bowName, CAM_SYSTEMS } from '../bow';
import { methodEntry } from '../fit';
import {
  HANDOVER_CAUTIONS,
  isMethod,
  isOfHand,
  jobMarks,
  loopCounts,
  markDistances,
  openWork,
  stageStates,
  type JobDerived,
  type MarkInput,
  type JobSnapshot,
} from '../job';
import { balancePart } from './balance-part';
import { fitNotes } from './fit-notes';
import { SLOTS } from '../kit';
import { jobTotal } from '../quote';
import { isOwnKey, readingText, REGISTRY, setupValue, targetText, writeValue } from '../setup';
import { valueState } from '../route';
import { addDays, write } from '../units';
import {
  SHEET_FORMAT,
  SHEET_FORMAT_VERSION,
  type SheetSetting,
  type SheetDocument,
  type SheetStamp,
} from './sheet-document';

/** Days until the archer is asked back. */
export const COME_BACK_DAYS = 14;

/** Builds the sheet from a job as it stands (architecture.md "Sheet"). Pure: same job, same sheet. */
export function sheetDocument(
  snapshot: JobSnapshot,
  derived: JobDerived,
  stamp: SheetStamp,
): SheetDocument {
  const { archer, bow, bowHeld, job, shop } = snapshot;
  const total = jobTotal(snapshot, derived);
  return {
    format: SHEET_FORMAT,
    formatVersion: SHEET_FORMAT_VERSION,
    ...stamp,
    shop: { name: shop.name, address: shop.address },
    job: { number: job.number, purpose: job.purpose, furthestM: job.furthestM },
    archer: {
      name: archer.name,
      hand: archer.hand,
      dominantEye: archer.dominantEye,
      guardianName: archer.minor ? archer.guardianName : null,
    },
    bow: bow && {
      name: bowName(bow),
      hand: bow.hand,
      camSystem: CAM_SYSTEMS[bow.camSystem],
      axleToAxleMm: bow.axleToAxleMm,
      braceHeightMm: bow.braceHeightMm,
      letOff: bow.letOff,
      maxTurns: bow.maxTurns,
      overruled: job.bowReason || null,
      condition: bowHeld?.condition ?? 'new',
      serial: bowHeld?.serial ?? null,
    },
    fit: fitPart(snapshot, derived),
    settings: settings(snapshot, derived),
    parts: SLOTS.flatMap(({ id, name }) => {
      const part = derived.kit[id];
      return part
        ? [
            {
              slot: id,
              name,
              label: part.label,
              owned: part.owned,
              priceCents: part.owned ? 0 : part.priceCents,
            },
          ]
        : [];
    }),
    bowPriceCents: total.bowCents,
    work: { minutes: total.workMinutes, cents: total.workCents },
    totalCents: total.totalCents,
    taxCents: total.taxCents,
    taxPct: total.taxPct,
    marks: marksPart(snapshot, derived),
    ...balancePart(snapshot, derived),
    exceptions: derived.plan.steps.flatMap(({ exception, template }) =>
      exception ? [{ step: template.title, reason: exception.reason, who: exception.who }] : [],
    ),
    open: openWork(stageStates(snapshot, derived), derived),
    cautions: HANDOVER_CAUTIONS.map((caution) => caution.text),
    comeBackDay: addDays(stamp.madeDay, COME_BACK_DAYS),
  };
}

function fitPart(snapshot: JobSnapshot, derived: JobDerived) {
  const { fitReadings, job, shop } = snapshot;
  const { fitLength, fitWeight } = derived;
  const trials = fitReadings.filter(
    (reading) => reading.key === 'weightTrial' && isOfHand(reading, snapshot.archer.hand),
  );
  return {
    drawLengthMm: fitLength?.drawLengthMm ?? null,
    loopCounts: loopCounts({ job, shop }),
    drawLengthText: fitLength ? write(fitLength.drawLengthMm, 'length', shop.units) : null,
    readings: fitReadings.flatMap(({ key, entered, si }) =>
      isMethod(key) && si !== null ? [{ method: methodEntry(key).name, entered, si }] : [],
    ),
    startN: trials.length > 0 ? fitWeight.startN : null,
    startText: trials.length > 0 ? write(fitWeight.startN, 'force', shop.units) : null,
    trials: trials.map(({ entered, outcome }) => ({ entered, outcome: outcome ?? '' })),
    notes: fitNotes(snapshot, derived),
  };
}

function settings({ shop }: JobSnapshot, { context, plan }: JobDerived): SheetSetting[] {
  const stale = new Map(plan.stale.map((entry) => [entry.key, entry]));
  // Ticks of the shop's own steps come after what every shop has.
  const own = [...context.history.keys()].filter(isOwnKey).map((key) => setupValue(key));
  return [...REGISTRY, ...own].flatMap(({ key, name }) => {
    const { reading, target, standing, stale: old } = valueState(key, context, stale);
    if (!reading) return [];
    const turnsText =
      key === 'peakWeight' && reading.si2 !== null
        ? ` at ${writeValue('limbTurnsUpper', reading.si2, shop.units)}`
        : '';
    return [
      {
        key,
        name,
        text: readingText(reading, shop.units) + turnsText,
        entered: reading.entered,
        si: reading.si,
        si2: reading.si2,
        wanted:
          target && setupValue(key).kind !== 'check' ? targetText(key, target, shop.units) : null,
        reason: target?.reason ?? null,
        standing: standing ?? ('noTarget' as const),
        stale: old?.sentence ?? null,
        who: reading.who,
        at: reading.at,
      },
    ];
  });
}

const FROM_WORDS: Readonly<Record<MarkInput['from'], string>> = {
  measured: 'measured',
  shots: 'from the confirmed distances',
  predicted: 'predicted',
  catalogue: 'catalogue',
  shopRule: 'shop rule',
  missing: 'missing',
};

function marksPart({ job, shop }: JobSnapshot, derived: JobDerived): SheetDocument['marks'] {
  const distances = markDistances(job.furthestM, shop.units.distance);
  const { inputs, answer, shots } = jobMarks(derived, distances);
  if (!answer.ok) return null;
  const say = (m: number) => write(m, 'distance', shop.units, { decimals: 0 });
  const confirmed = shots
    .slice(1)
    .map(({ distanceM, dropMm }) => `${say(distanceM)} at ${dropMm.toFixed(1)} mm`);
  const clear = answer.furthestClearM ?? null;
  return {
    rows: answer.marks
      .filter((mark) => clear === null || mark.distanceM <= clear)
      .map(({ distanceM, pinAboveArrowMm }) => ({
        distanceM,
        distanceText: say(distanceM),
        pinAboveArrowMm,
      })),
    furthestClearM: clear,
    basis: [
      ...inputs.map(
        ({ name, si, quantity, from }) =>
          `${name} ${quantity === 'number' ? si!.toFixed(2) : write(si!, quantity, shop.units)}, ${FROM_WORDS[from]}`,
      ),
      ...(confirmed.length > 0
        ? [
            `confirmed below the first distance (${say(shots[0]!.distanceM)}): ${confirmed.join(', ')}`,
          ]
        : []),
    ],
  };
}
