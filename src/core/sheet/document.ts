import { bowName, CAM_SYSTEMS } from '../bow';
import { methodEntry } from '../fit';
import {
  HANDOVER_CAUTIONS,
  isMethod,
  isOfHand,
  loopCounts,
  nextVisitDay,
  openWork,
  stageStates,
  type JobDerived,
  type JobSnapshot,
} from '../job';
import { balancePart } from './balance-part';
import { fitNotes } from './fit-notes';
import { fastenText } from '../bench';
import type { AimShot } from '../hold';
import { SLOTS, type ArrowParts } from '../kit';
import { jobTotal } from '../quote';
import { latest } from '../setup';
import { write, type ShopUnits } from '../units';
import { carePart, growthPart, practicePart } from './archer-part';
import { arrowPart } from './arrow-part';
import { sheetChanges } from './changes';
import { marksPart } from './marks-part';
import { aimPart, papersPart, photosPart, recordPart } from './record-part';
import { settingsPart } from './settings-part';
import {
  SHEET_FORMAT,
  SHEET_FORMAT_VERSION,
  type SheetDocument,
  type SheetStamp,
} from './sheet-document';

/** What a sheet needs beside the job: arrows by their parts, shots of the aim, the sheet before. */
export interface SheetGround {
  readonly arrowParts: ArrowParts | null;
  readonly aims: readonly AimShot[];
  readonly before: SheetDocument | null;
}

const NO_GROUND: SheetGround = { arrowParts: null, aims: [], before: null };

/** Builds the sheet from a job as it stands (architecture.md "Sheet"). Pure: same job, same sheet. */
export function sheetDocument(
  snapshot: JobSnapshot,
  derived: JobDerived,
  stamp: SheetStamp,
  ground: SheetGround = NO_GROUND,
): SheetDocument {
  const sheet = withoutChanges(snapshot, derived, stamp, ground);
  const { before } = ground;
  return {
    ...sheet,
    since: before && { revision: before.revision, changes: sheetChanges(before, sheet) },
  };
}

function withoutChanges(
  snapshot: JobSnapshot,
  derived: JobDerived,
  stamp: SheetStamp,
  { arrowParts, aims }: SheetGround,
): Omit<SheetDocument, 'since'> {
  const { archer, bow, bowHeld, job, shop } = snapshot;
  const total = jobTotal(snapshot, derived);
  return {
    format: SHEET_FORMAT,
    formatVersion: SHEET_FORMAT_VERSION,
    ...stamp,
    signature: stamp.signature ?? null,
    shop: { name: shop.name, address: shop.address, phone: shop.phone },
    units: shop.units,
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
      camCode: bow.camSystem,
      minPeakN: bow.minPeakN,
      maxPeakN: bow.maxPeakN,
      stringLengthMm: bow.stringLengthMm,
      cableLengthsMm: bow.cableLengthsMm,
      axleToAxleMm: bow.axleToAxleMm,
      braceHeightMm: bow.braceHeightMm,
      letOff: bow.letOff,
      maxTurns: bow.maxTurns,
      overruled: job.bowReason || null,
      condition: conditionOf(snapshot),
      ...(job.elsewhere ? { brought: true as const } : {}),
      serial: bowHeld?.serial ?? serialRead(derived),
    },
    fit: fitPart(snapshot, derived),
    settings: settingsPart(snapshot, derived),
    fastening: fasteningPart(derived, shop.units),
    arrow: arrowPart(snapshot, derived, arrowParts),
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
    extras: job.extras.map(({ text, cents }) => ({ text, cents })),
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
    visit: job.visit && { kind: job.visit.kind, words: job.visit.words },
    comeBackDay: nextVisitDay(job.visit, stamp.madeDay),
    record: recordPart(snapshot),
    papers: papersPart(snapshot),
    aim: aimPart(aims),
    photos: photosPart(snapshot),
    care: carePart(stamp.madeDay, job.visit !== null),
    practice: practicePart(snapshot, derived),
    growth: growthPart(snapshot, derived, stamp.madeDay),
  };
}

/** A bow that was brought along is held like a used one; how it came is told by the job. */
const conditionOf = ({ job, bowHeld }: JobSnapshot) =>
  job.elsewhere?.came === 'box' ? 'new' : (bowHeld?.condition ?? 'new');

/** As it was read off the bow, where the shop does not hold it as a single one. */
const serialRead = ({ history }: JobDerived) => {
  const reading = latest(history, 'serialNumber');
  return reading ? (reading.choice ?? reading.entered) : null;
};

/** Keys of what is mounted on this bow, each once: parts held alike stand together. */
function fasteningPart({ plan }: JobDerived, units: ShopUnits): SheetDocument['fastening'] {
  const byText = new Map<string, Set<string>>();
  for (const { template } of plan.steps) {
    if (!template.fasten) continue;
    const text = fastenText(template.fasten, units);
    byText.set(text, (byText.get(text) ?? new Set()).add(template.fasten.what));
  }
  return [...byText].map(([text, what]) => ({ what: [...what].join(', '), text }));
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
