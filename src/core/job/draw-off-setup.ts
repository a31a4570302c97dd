import {
  bowName,
  drawLengthSteps,
  launchSpeed,
  moduleLabel,
  OWN_BOW_ID,
  type BowRecord,
} from '../bow';
import { chooseModule, limbBolts, oldLetOff, toQuarterTurns, type OldBowFigures } from '../fit';
import { itemOf } from '../kit';
import {
  G_PER_GRAIN,
  N_PER_POUND,
  gram,
  newton,
  type Gram,
  type Mm,
  type Mps,
  type Newton,
  type Turns,
} from '../units';
import { weighings } from './limb-bolt-advice';
import { type JobDerived } from './derive';

/** How one bow of a draw-off is set, so that all are drawn alike. */
interface DrawOffSetup {
  readonly stepMm: Mm | null;
  readonly label: string | null;
  /** Where the cams' modules are marked differently. */
  readonly topLabel: string | null;
  readonly targetN: Newton | null;
  /** Turns out from fully in, by the catalogue; null without a limit of turns or a target. */
  readonly turns: Turns | null;
  readonly predictedN: Newton | null;
  readonly sigmaN: Newton | null;
  /** With the arrow of the kit, or one of 7 gr a pound; null where the model refuses. */
  readonly speedMps: Mps | null;
}

/** 7 grains for each pound, in g for each N: a middling arrow where none is chosen yet. */
const MIDDLING_ARROW_G_PER_N = (7 * G_PER_GRAIN) / N_PER_POUND;

/** Module, turns and speed of a bow set for this archer; a null where the fit does not say yet. */
export function drawOffSetup(bow: BowRecord, derived: JobDerived): DrawOffSetup {
  const { fitLength, context } = derived;
  const step = fitLength
    ? (chooseModule(fitLength.drawLengthMm, drawLengthSteps(bow))?.stepMm ?? null)
    : null;
  const start = context.peakTargetN;
  const targetN =
    start === null ? null : newton(Math.min(bow.maxPeakN, Math.max(bow.minPeakN, start)));
  const bolts =
    targetN === null || bow.maxTurns === null
      ? null
      : limbBolts({
          maxPeakN: bow.maxPeakN,
          minPeakN: bow.minPeakN,
          maxTurns: bow.maxTurns,
          readings: bow.id === context.bow?.id ? weighings(context.history) : [],
          targetN,
        });
  const top = step === null ? null : moduleLabel(bow, step, 'top');
  const label = step === null ? null : moduleLabel(bow, step);
  return {
    stepMm: step,
    label,
    topLabel: top === label ? null : top,
    targetN,
    turns: bolts?.ok ? toQuarterTurns(bolts.turns) : null,
    predictedN: bolts?.ok ? bolts.predictedN : null,
    sigmaN: bolts?.ok ? bolts.sigmaN : null,
    speedMps:
      step === null || targetN === null
        ? null
        : speedOf(bow, step, targetN, arrowG(derived, targetN)),
  };
}

/** A bow of a draw-off as it stands in the line. */
export interface DrawnBow {
  readonly id: string;
  readonly name: string;
  readonly short: string;
  /** Null for the bow the archer brought. */
  readonly bow: BowRecord | null;
  readonly axleToAxleMm: number | null;
  /** 0 to 1; null where not known. */
  readonly letOff: number | null;
}

const OWN_BOW_NAME = 'their own bow';

const ownBow = (old: OldBowFigures): DrawnBow => ({
  id: OWN_BOW_ID,
  name: OWN_BOW_NAME,
  short: OWN_BOW_NAME,
  bow: null,
  axleToAxleMm: old.oldAxle ?? null,
  letOff: oldLetOff(old),
});

/** The bows of a draw-off in their order; null where one of them is no longer in the shop. */
export function drawnBows(
  ids: readonly string[],
  bows: readonly BowRecord[],
  old: OldBowFigures,
): DrawnBow[] | null {
  const list = ids.map((id): DrawnBow | null => {
    if (id === OWN_BOW_ID) return ownBow(old);
    const bow = bows.find((one) => one.id === id);
    if (!bow) return null;
    const { model, axleToAxleMm, letOff } = bow;
    return { id, name: bowName(bow), short: model, bow, axleToAxleMm, letOff };
  });
  return list.every((drawn) => drawn !== null) ? list : null;
}

const arrowG = ({ kit }: JobDerived, peakN: Newton): Gram =>
  itemOf(kit, 'arrows')?.massG ?? gram(MIDDLING_ARROW_G_PER_N * peakN);

function speedOf(bow: BowRecord, drawLengthMm: Mm, peakN: Newton, mass: Gram): Mps | null {
  const answer = launchSpeed({ bow, setting: { drawLengthMm, peakN }, arrowG: mass });
  return answer.ok ? answer.speedMps : null;
}
