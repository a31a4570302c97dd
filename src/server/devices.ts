import type { ForceCurve } from '@/core/bow';
import { derive, type JobDerived, type JobSnapshot } from '@/core/job';
import { itemOf } from '@/core/kit';
import { seedOf } from '@/core/numerics';
import { latest } from '@/core/setup';
import { mm, newton } from '@/core/units';
import type { Device } from '@/devices/port';
import { bowScaleStandIn } from '@/devices/stand-ins/bow-scale';
import { chronographStandIn } from '@/devices/stand-ins/chronograph';
import { aimSensorStandIn } from '@/devices/stand-ins/aim-sensor';
import { drawBoardStandIn } from '@/devices/stand-ins/draw-board';
import { grainScaleStandIn } from '@/devices/stand-ins/grain-scale';
import { practiceArcher } from '@/devices/stand-ins/practice-archer';
import { numberOf, wholeOf } from './device-stream';
import { heldBow, practiceGroup, practiceTear, trueSpeed } from './practice';
import { notFound, Problem } from './problem';
import { loadSnapshot } from './load-snapshot';

interface Asked {
  readonly snapshot: JobSnapshot;
  readonly derived: JobDerived;
  readonly options: URLSearchParams;
}

/** ms between two lines, so that a reading is seen coming. */
const PAUSE_MS = { board: 25, scale: 120, shot: 350, pull: 30, arrow: 250, aim: 20 };
/** Arrows shot one after another when nobody says how many. */
const SHOTS = 5;
const MOST_SHOTS = 20;
const MOST_AIMED = 200;
const USUAL_HOLD_S = 4;
const LONGEST_HOLD_S = 20;

const NOTHING = 'There is nothing to shoot';
const nothing = (reason: string, title: string, detail: string) =>
  new Problem(422, reason, title, { detail });

/** A fresh stream each time, the same as long as the job does not change. */
const seed = ({ snapshot: { job, bow }, options }: Asked, what: string) =>
  seedOf(`${what}|${bow?.id}|${job.number}|${job.version}|${options.get('again') ?? ''}`);

const pulled = ({ options }: Asked) => {
  const pulledAfter = wholeOf(options, 'pull');
  return pulledAfter === undefined ? {} : { pulledAfter };
};

/** The bow as it is set; refused where nothing could be drawn. */
function curveOf({ snapshot, derived }: Asked, what: string): ForceCurve {
  const { bow } = snapshot;
  const { context, history } = derived;
  const length = latest(history, 'drawLength')?.si ?? context.moduleStepMm;
  const peak = latest(history, 'peakWeight')?.si ?? context.peakTargetN;
  if (!bow || length === null || peak === null)
    throw nothing(
      'nothing-to-draw',
      `There is nothing on the ${what}`,
      `The ${what} needs a bow with its module and weight set: do that first.`,
    );
  return {
    drawLengthMm: mm(length),
    peakN: newton(peak),
    braceHeightMm: bow.braceHeightMm,
    letOff: bow.letOff,
    character: bow.character,
  };
}

/** Shop rule: the weight falls nearly evenly from the most to the least over the bolts' turns. */
function peakAtBolts({ snapshot: { bow }, options }: Asked): number | null {
  const turns = numberOf(options, 'turns');
  if (!bow || bow.maxTurns === null || turns === null) return null;
  const part = Math.min(1, Math.max(0, turns / bow.maxTurns));
  // A real bow is a little off its figures, and does not lose its weight quite evenly.
  const own = 1 + 0.02 * Math.sin(seedOf(bow.id));
  return own * (bow.maxPeakN - (bow.maxPeakN - bow.minPeakN) * (0.92 * part + 0.08 * part * part));
}

const DEVICES: Readonly<Record<string, (asked: Asked) => Device>> = {
  'draw-board': (asked) =>
    drawBoardStandIn({
      curve: curveOf(asked, 'draw board'),
      seed: seedOf(`${asked.snapshot.bow?.id}|${asked.snapshot.job.version}`),
      pauseMs: PAUSE_MS.board,
      ...pulled(asked),
    }),
  'grain-scale': (asked) => {
    const arrows = itemOf(asked.derived.kit, 'arrows');
    if (!arrows)
      throw nothing(
        'nothing-to-weigh',
        'There is nothing on the scale',
        'The scale needs arrows: choose a set or take a build first.',
      );
    return grainScaleStandIn({
      massG: arrows.massG,
      count: arrows.attrs.count,
      seed: seedOf(`${arrows.id}|${arrows.massG}|${asked.snapshot.job.number}`),
      pauseMs: PAUSE_MS.scale,
      ...pulled(asked),
    });
  },
  'bow-scale': (asked) => {
    const curve = curveOf(asked, 'bow scale');
    return bowScaleStandIn({
      curve: { ...curve, peakN: newton(peakAtBolts(asked) ?? curve.peakN) },
      seed: seed(asked, 'scale'),
      pauseMs: PAUSE_MS.pull,
      ...pulled(asked),
    });
  },
  chronograph: (asked) => {
    const speedMps = trueSpeed(asked.snapshot, asked.derived);
    if (speedMps === null)
      throw nothing(
        'nothing-to-shoot',
        NOTHING,
        'The chronograph needs a bow with its weight set and an arrow: do that first.',
      );
    return chronographStandIn({
      speedMps,
      shots: Math.min(MOST_SHOTS, wholeOf(asked.options, 'shots') ?? SHOTS),
      seed: seed(asked, 'chronograph'),
      pauseMs: PAUSE_MS.shot,
      ...pulled(asked),
    });
  },
  'aim-sensor': (asked) => {
    const held = heldBow(asked.snapshot, asked.derived, {
      topic: asked.options.get('topic') ?? '',
      way: asked.options.get('way') ?? '',
    });
    if (!held)
      throw nothing(
        'nothing-to-aim',
        'There is nothing to aim',
        'The aim sensor needs a bow to sit on: choose one first.',
      );
    return aimSensorStandIn({
      ...held,
      shot: Math.min(MOST_AIMED, wholeOf(asked.options, 'shot') ?? 0),
      holdS: Math.min(LONGEST_HOLD_S, Math.max(1, numberOf(asked.options, 'hold') ?? USUAL_HOLD_S)),
      seed: seed(asked, `aim ${asked.options.toString()}`),
      pauseMs: PAUSE_MS.aim,
      ...pulled(asked),
    });
  },
  'practice-archer': (asked) => {
    const { snapshot, derived, options } = asked;
    const paper = options.get('what') !== 'target';
    const number = (name: string) => numberOf(options, name) ?? 0;
    const place = paper
      ? snapshot.bow && { ...practiceTear(snapshot, derived), sigmaMm: 2 }
      : practiceGroup(snapshot, derived, {
          distanceM: Math.min(150, Math.max(3, numberOf(options, 'distance') ?? 18)),
          dropMm: number('drop'),
          pinRightMm: number('pinRight'),
          pinUpMm: number('pinUp'),
        });
    if (!place)
      throw nothing(
        'nothing-to-shoot',
        NOTHING,
        'The practice archer needs a bow with peep, pin and speed: do that first.',
      );
    return practiceArcher({
      what: paper ? 'tear' : 'hit',
      ...place,
      count: Math.min(MOST_SHOTS, wholeOf(options, 'shots') ?? 1),
      seed: seed(asked, `archer ${options.toString()}`),
      pauseMs: PAUSE_MS.arrow,
      ...pulled(asked),
    });
  },
};

/** Every device that can be connected, by its name in the URL. */
export const DEVICE_NAMES = Object.keys(DEVICES);

/** A device with this job's bow on or before it. */
export function deviceOf(jobId: string, name: string, options: URLSearchParams): Device {
  const make = Object.hasOwn(DEVICES, name) ? DEVICES[name] : undefined;
  if (!make) throw notFound('device');
  const snapshot = loadSnapshot(jobId);
  if (!snapshot) throw notFound('job');
  return make({ snapshot, derived: derive(snapshot), options });
}
