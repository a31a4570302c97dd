import { NO_BARS } from '@/core/balance';
import { launchSpeed } from '@/core/bow';
import { eyeLever, sightMarks } from '@/core/flight';
import { aimTopic, hiddenArcher } from '@/core/hold';
import {
  flightInputs,
  jobBalance,
  paperHistory,
  speedInput,
  type JobDerived,
  type JobSnapshot,
} from '@/core/job';
import { normal, seeded, seedOf } from '@/core/numerics';
import { latest } from '@/core/setup';
import { simulatedBow, trueTear, type Adjustment } from '@/core/tuning';
import { metre, mps, newtonMm } from '@/core/units';

/** What a practice bow hides from the app: its tear, its speed, its drag, its first pin. */
const HIDDEN = { speedPart: 0.015, drag: 0.2, pinMm: 1.6, leastTearMm: 9, mostTearMm: 15 };
/** A steady archer's scatter on the target for each metre, mm. */
const SCATTER_MM_PER_M = 0.8;

const seedFor = ({ job, bow }: JobSnapshot) => seedOf(`${bow?.id ?? ''}|${job.number}`);

/** What the bow really gives its arrow: the prediction, a little off; null where none can be made. */
export function trueSpeed(snapshot: JobSnapshot, derived: JobDerived): number | null {
  const input = speedInput(derived.context);
  const answer = input && launchSpeed(input);
  if (!answer?.ok) return null;
  return answer.speedMps * (1 + HIDDEN.speedPart * normal(seeded(seedFor(snapshot))));
}

/** Where a tear would be without the archer's scatter, as the bow now stands. */
export function practiceTear(snapshot: JobSnapshot, derived: JobDerived) {
  const hand = snapshot.bow?.hand ?? snapshot.archer.hand;
  const bow = simulatedBow({
    hand,
    seed: seedFor(snapshot),
    leastMm: HIDDEN.leastTearMm,
    mostMm: HIDDEN.mostTearMm,
  });
  const moved: Partial<Record<Adjustment, number>> = {};
  for (const event of paperHistory(derived.history, hand, snapshot.bow?.yokes ?? null))
    if (event.kind === 'move')
      moved[event.adjustment] = (moved[event.adjustment] ?? 0) + event.amount;
  return trueTear(bow, moved);
}

interface PracticeAim {
  readonly distanceM: number;
  /** Where the pin stands below the first distance's place, mm. */
  readonly dropMm: number;
  /** How the pin was moved since the first group of the day, mm. */
  readonly pinRightMm: number;
  readonly pinUpMm: number;
}

/** Middle and scatter of a group at the target, from what is hidden; null where nothing flies yet. */
export function practiceGroup(snapshot: JobSnapshot, derived: JobDerived, aim: PracticeAim) {
  const { flight } = flightInputs(derived);
  const speed = trueSpeed(snapshot, derived);
  if ('ok' in flight || speed === null) return null;
  const random = seeded(seedFor(snapshot) + 1);
  const dragCoefficient = (flight.dragCoefficient ?? 2) + HIDDEN.drag * normal(random);
  const off = { right: HIDDEN.pinMm * normal(random), up: HIDDEN.pinMm * normal(random) };
  const reference = latest(derived.history, 'firstMark')?.si ?? aim.distanceM;
  const answer = sightMarks({
    ...flight,
    clearance: undefined,
    speedMps: mps(speed),
    dragCoefficient,
    distancesM: [metre(reference), metre(aim.distanceM)],
  });
  if (!answer.ok) return null;
  const [first, there] = answer.marks.map((mark) => mark.pinAboveArrowMm);
  const settled = derived.history.has('firstMark');
  // The first pin was moved until it was right; afterwards only its place for the distance counts.
  const right = settled ? 0 : off.right - aim.pinRightMm;
  const up = (settled ? 0 : off.up - aim.pinUpMm) + (there! - (first! - aim.dropMm));
  const scale = eyeLever(metre(aim.distanceM), flight.peepToPinMm);
  return {
    rightMm: right * scale,
    upMm: up * scale,
    sigmaMm: SCATTER_MM_PER_M * aim.distanceM,
  };
}

/** How far the torques an archer’s hand likes lie from those of the bow without bars, N·mm. */
const LIKED_NMM = { roll: 90, pitch: 160 } as const;

/** What the second way of a stance does to this archer’s wander, at most. */
const STANCE_PART = 0.6;

/** Bows are held as they are; a stance has a way this archer is weaker in. */
function stanceFactor(snapshot: JobSnapshot, { topic, way }: { topic: string; way: string }) {
  const ways = aimTopic(topic)?.ways ?? [];
  if (topic === 'setUps' || ways[1]?.[0] !== way) return 1;
  return 1 + STANCE_PART * seeded(seedFor(snapshot) + seedOf(topic))();
}

/** The job’s bow as it is held by the archer it hides, for aiming; null where there is no bow. */
export function heldBow(
  snapshot: JobSnapshot,
  derived: JobDerived,
  stance: { readonly topic: string; readonly way: string },
) {
  const { bow } = snapshot;
  if (!bow) return null;
  const { at, now, quiver } = jobBalance(snapshot, derived, bow);
  const bare = at({ bars: NO_BARS, quiver, sightOut: false }).props;
  const random = seeded(seedFor(snapshot) + 2);
  const roll = 0.3 * bare.rollTorqueNmm + LIKED_NMM.roll * normal(random);
  const pitch = bare.pitchTorqueNmm + LIKED_NMM.pitch * normal(random);
  const archer = hiddenArcher(seedFor(snapshot) + 3);
  const inertia = (of: typeof bare) => of.yawInertiaKgMm2 + of.pitchInertiaKgMm2;
  return {
    archer: { ...archer, restMrad: archer.restMrad * stanceFactor(snapshot, stance) },
    bow: {
      massG: now.props.massG,
      steadiness: inertia(now.props) / inertia(bare),
      awayNmm: newtonMm(
        Math.hypot(now.props.rollTorqueNmm - roll, now.props.pitchTorqueNmm - pitch),
      ),
    },
  };
}
