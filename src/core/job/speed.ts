import {
  arrowFigures,
  chronograph,
  launchSpeed,
  modelSpeed,
  onStringG,
  speedModel,
  type ArrowFigures,
  type ChronographResult,
  type SpeedModel,
} from '../bow';
import type { Outcome } from '../outcome';
import { latest, type Reading } from '../setup';
import { gram, mps, newton, type Gram, type Mps } from '../units';
import { speedInput } from './speed-input';
import { type JobDerived } from './derive';

interface JobSpeed {
  /** What the chronograph said of the job’s own arrow; null before. */
  readonly own: ChronographResult | null;
  readonly figures: ArrowFigures | null;
  readonly model: Outcome<SpeedModel> | null;
  /** What the rating alone would say of its efficiency. */
  readonly ratedEfficiency: number | null;
  /** Speeds this bow gives other arrows, by the corrected model. */
  readonly others: readonly {
    readonly arrowG: Gram;
    readonly speedMps: Mps;
    readonly grPerLb: number;
  }[];
}

/** Arrow masses the corrected model is shown for, as parts of the job’s own. */
const OTHER_ARROWS = [0.85, 0.93, 1.07, 1.15];

/** Readings of one speed entry that count. */
const countedShots = ({ data, si }: Reading): number[] => {
  if (data?.kind === 'speeds')
    return data.shots.filter(({ discarded }) => discarded === null).map((shot) => shot.mps);
  return si === null ? [] : [si];
};

/** Readings taken after the last change of what a speed rests on. */
const stale = (derived: JobDerived, key: Reading['key']) =>
  derived.plan.stale.some((entry) => entry.key === key);

/** Speed of the job’s arrow, the bow’s model corrected by it, and what the arrow carries. */
export function jobSpeed(derived: JobDerived): JobSpeed {
  const { history, context } = derived;
  const reading = latest(history, 'arrowSpeed');
  const input = speedInput(context);
  const rated = input && launchSpeed(input);
  const own = reading && !stale(derived, 'arrowSpeed') ? chronograph(countedShots(reading)) : null;
  const figures =
    input && own ? arrowFigures(input.arrowG, own.speedMps, input.setting.peakN) : null;
  const other = (history.get('speedOther') ?? []).flatMap((row) =>
    row.si === null || row.si2 === null || stale(derived, 'speedOther')
      ? []
      : [{ arrowG: gram(row.si2), speedMps: mps(row.si) }],
  );
  const energyJ = rated?.ok ? rated.storedEnergyJ : null;
  const string = input ? onStringG(input) : 0;
  const model =
    input && own && energyJ !== null
      ? speedModel([{ arrowG: input.arrowG, speedMps: own.speedMps }, ...other], energyJ, string)
      : null;
  const others =
    input && energyJ !== null && model?.ok
      ? OTHER_ARROWS.map((part) => gram(input.arrowG * part)).map((arrowG) => {
          const speedMps = modelSpeed(model, arrowG, energyJ, string);
          const { grainsPerPound } = arrowFigures(arrowG, speedMps, newton(input.setting.peakN));
          return { arrowG, speedMps, grPerLb: grainsPerPound };
        })
      : [];
  return { own, figures, model, ratedEfficiency: rated?.ok ? rated.efficiency : null, others };
}
