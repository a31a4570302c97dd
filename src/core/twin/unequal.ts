import { CAM_SYSTEMS, drawLengthSteps, launchSpeed, storedEnergyJ } from '../bow';
import { modelNumber, speedInput, type JobDerived, type JobSnapshot } from '../job';
import { MM_PER_TWIST } from '../fit';
import { setupValue } from '../setup';
import { mm, write } from '../units';

/** Something that cannot be made like the model, what the archer notices of it, and how to come closest. */
interface Unequal {
  readonly id: string;
  readonly name: string;
  readonly model: string;
  readonly here: string;
  readonly does: string;
  readonly closest: string;
}

/** Let-offs nearer than this are one. */
const SAME_LET_OFF = 0.006;
/** Axles further apart than this change the string's angle at the face. Shop rule. */
const AXLE_MM = 12;
/** More twists than this nobody puts in for length. */
const MOST_TWISTS = 6;

const percent = (part: number) => `${Math.round(part * 100)} %`;

/** What cannot be made equal on this bow; what the model does not tell is not judged. */
export function unequalParts(snapshot: JobSnapshot, derived: JobDerived): Unequal[] {
  const { bow, job } = snapshot;
  if (!bow || !job.like) return [];
  return [
    lengthOut(snapshot),
    weightOut(snapshot),
    letOff(snapshot, derived),
    brace(snapshot, derived),
    axles(snapshot),
    cams(snapshot),
    ...otherParts(snapshot),
  ].filter((one) => one !== null);
}

type Part = Unequal | null;

function lengthOut({ bow, job, shop }: JobSnapshot): Part {
  const wanted = modelNumber(job.like, 'drawLength');
  const steps = drawLengthSteps(bow!);
  if (wanted === null || steps.length === 0) return null;
  const reach = MOST_TWISTS * MM_PER_TWIST;
  const nearest = steps.reduce((a, b) => (Math.abs(b - wanted) < Math.abs(a - wanted) ? b : a));
  if (Math.abs(nearest - wanted) <= reach) return null;
  const say = (si: number) => write(si, 'length', shop.units);
  return {
    id: 'drawLength',
    name: setupValue('drawLength').name,
    model: say(wanted),
    here: `${say(steps[0]!)} to ${say(steps.at(-1)!)}`,
    does:
      nearest > wanted
        ? 'It stays longer than the model: leaning back, a locked elbow, an anchor behind the mouth’s corner. Too long is the worse fault.'
        : 'It stays shorter than the model: the archer is bunched up and holds with the arm.',
    closest: `The step ${say(nearest)} and ${MOST_TWISTS} twists at most; or a bow, or a module, that reaches ${say(wanted)}.`,
  };
}

function weightOut({ bow, job, shop }: JobSnapshot): Part {
  const wanted = modelNumber(job.like, 'peakWeight');
  if (wanted === null || (wanted >= bow!.minPeakN && wanted <= bow!.maxPeakN)) return null;
  const say = (si: number) => write(si, 'force', shop.units);
  const end = wanted < bow!.minPeakN ? bow!.minPeakN : bow!.maxPeakN;
  return {
    id: 'peakWeight',
    name: setupValue('peakWeight').name,
    model: say(wanted),
    here: `${say(bow!.minPeakN)} to ${say(bow!.maxPeakN)}`,
    does:
      end > wanted
        ? `At least ${say(end - wanted)} heavier: the archer draws it in a trial before it is taken.`
        : `At most ${say(end)}: the arrow is slower, the marks lie further apart.`,
    closest: `Set to ${say(end)}; or other limbs.`,
  };
}

function letOff({ bow, job, shop }: JobSnapshot, { context }: JobDerived): Part {
  const model = job.like!.bow.letOff;
  if (model === null || Math.abs(model - bow!.letOff) < SAME_LET_OFF) return null;
  const peak = modelNumber(job.like, 'peakWeight') ?? context.peakTargetN;
  const say = (si: number) => write(si, 'force', shop.units);
  const holds = (part: number) => (peak === null ? null : peak * (1 - part));
  const [there, here] = [holds(model), holds(bow!.letOff)];
  const nearer = bow!.letOffChoices
    .filter((choice) => Math.abs(choice - model) < Math.abs(bow!.letOff - model))
    .sort((a, b) => Math.abs(a - model) - Math.abs(b - model))[0];
  const asHeavy = there === null ? null : there / (1 - bow!.letOff);
  return {
    id: 'letOff',
    name: 'Let-off',
    model: percent(model),
    here: percent(bow!.letOff),
    does:
      there === null || here === null
        ? 'The archer holds another weight at full draw.'
        : `At the same peak the archer holds ${say(here)} instead of ${say(there)}${here > there ? ': it pulls harder, and lets go sooner when one creeps' : ': it holds lighter, and forgives less at the release'}.`,
    closest:
      nearer !== undefined
        ? `The cams can be set to ${percent(nearer)}: do that before anything is measured.`
        : asHeavy !== null && asHeavy >= bow!.minPeakN && asHeavy <= bow!.maxPeakN
          ? `The same peak and another hold; with the same hold the peak would be ${say(asHeavy)}.`
          : 'The same peak and another hold.',
  };
}

function brace({ bow, job, shop }: JobSnapshot, { context }: JobDerived): Part {
  const model = job.like!.bow.braceHeightMm;
  const { tolerance } = setupValue('braceHeight');
  if (model === null || Math.abs(model - bow!.braceHeightMm) <= tolerance) return null;
  const say = (si: number) => write(si, 'length', shop.units);
  const more = bow!.braceHeightMm - model;
  const slower = speedOfStroke(context, model);
  const speed =
    slower === null
      ? ''
      : ` By itself it makes about ${write(Math.abs(slower), 'speed', shop.units)} ${slower > 0 ? 'less' : 'more'} speed (predicted).`;
  return {
    id: 'braceHeight',
    name: setupValue('braceHeight').name,
    model: say(model),
    here: say(bow!.braceHeightMm),
    does: `${
      more > 0
        ? 'The string leaves the arrow sooner and stands further from the arm: it forgives more.'
        : 'The arrow stays on the string longer, and the string comes nearer to the arm: it forgives less.'
    }${speed}`,
    closest:
      'It is the bow’s own: twists move it by a few millimetres, and are not put in for that.',
  };
}

/**
 * What the stroke lost to another brace height costs in speed at the same efficiency, m/s: v goes with the
 * root of the stored energy (docs/models.md section 4); null where the speed cannot be predicted.
 */
function speedOfStroke(context: JobDerived['context'], modelBraceMm: number): number | null {
  const input = speedInput(context);
  const here = input && launchSpeed(input);
  if (!input || !here?.ok) return null;
  const energy = (braceHeightMm: number) =>
    storedEnergyJ({ ...input.bow, ...input.setting, braceHeightMm: mm(braceHeightMm) });
  const ratio = Math.sqrt(energy(modelBraceMm) / energy(input.bow.braceHeightMm));
  return here.speedMps * (ratio - 1);
}

function axles({ bow, job, shop }: JobSnapshot): Part {
  const model = job.like!.bow.axleToAxleMm;
  if (model === null || Math.abs(model - bow!.axleToAxleMm) <= AXLE_MM) return null;
  const say = (si: number) => write(si, 'length', shop.units);
  const shorter = bow!.axleToAxleMm < model;
  return {
    id: 'axleToAxle',
    name: setupValue('axleToAxle').name,
    model: say(model),
    here: say(bow!.axleToAxleMm),
    does: shorter
      ? 'The string stands at a sharper angle before the face: it meets the nose elsewhere, and the head goes forward to reach it.'
      : 'The string stands flatter before the face and meets the nose lower.',
    closest:
      'The peep’s height above the arrow stays the archer’s; let them anchor with eyes shut and look again.',
  };
}

function cams({ bow, job }: JobSnapshot): Part {
  const model = job.like!.bow.camSystem;
  if (model === null || model === bow!.camSystem) return null;
  return {
    id: 'cams',
    name: 'Cams',
    model: CAM_SYSTEMS[model],
    here: CAM_SYSTEMS[bow!.camSystem],
    does: 'It draws otherwise, and the wall feels otherwise; timing is looked at in another way.',
    closest: 'Length and weight alike; the archer draws both and says so.',
  };
}

/** Parts whose place is set anew where they are others. */
const MATTERS: Readonly<Record<string, string>> = {
  rest: 'Its height, centre shot and cord are found anew; paper decides.',
  sight: 'Its base, axes and pins are set anew; marks are predictions until shot.',
  peep: 'Another hole: the ring before the eye is another size.',
  arrows: 'Spine, mass and marks are another arrow’s.',
  release: 'Anchor and loop are looked at again.',
};

function otherParts({ job, parts }: JobSnapshot): Unequal[] {
  return job.like!.parts.flatMap(({ slot, name, label }) => {
    const here = parts.find((part) => part.slot === slot);
    const does = MATTERS[slot];
    return does === undefined || !here || here.label === label
      ? []
      : [
          {
            id: `part:${slot}`,
            name,
            model: label,
            here: here.label,
            does,
            closest: `The same ${name.toLowerCase()}, or set by these numbers and looked at again.`,
          },
        ];
  });
}
