import { moduleLabel, speedSensitivity } from '../bow';
import {
  confirmedShots,
  limbBoltAdvice,
  modelNumber,
  speedInput,
  standingTurns,
  type JobDerived,
  type JobSnapshot,
} from '../job';
import { ripplePreview } from '../ripple';
import {
  latest,
  mendText,
  setupValue,
  sinceLastChange,
  stringResponse,
  targetOf,
  twistPlan,
  writeValue,
  type SetupKey,
} from '../setup';
import { MM_PER_INCH, N_PER_POUND, write } from '../units';
import { twinMarks } from './marks';
import { BARS, rowOfKey, twinRows, unsettled, type TwinRow } from './rows';

/** One piece of making a bow like another, with what it moves besides. */
export interface TwinAction {
  readonly id: 'length' | 'weight' | 'nock' | 'peep' | 'sight' | 'arrow' | 'bars' | 'marks';
  readonly title: string;
  /** What is read once it is done, in the order of the bench; the first one leads to its step. */
  readonly keys: readonly SetupKey[];
  /** Alike; off; or not read on this bow yet. */
  readonly state: 'same' | 'off' | 'open';
  /** What the hands do, with its numbers. */
  readonly say: readonly string[];
  /** What it moves besides, as predicted. */
  readonly moves: readonly string[];
  /** What was read already and has to be read again after it. */
  readonly again: readonly string[];
  /** Done in the press, in one visit with the others that are. */
  readonly press: boolean;
}

interface Ground {
  readonly snapshot: JobSnapshot;
  readonly derived: JobDerived;
  readonly rows: readonly TwinRow[];
}

type Said = Omit<TwinAction, 'state' | 'again'>;

/**
 * What makes this bow like its model, in the order in which one moves the other: draw length, weight, nock
 * and loop, peep, sight, arrow, bars, marks. What is alike already stays in the list as such.
 *
 * @returns nothing where the job has no model, or no bow.
 */
export function twinActions(snapshot: JobSnapshot, derived: JobDerived): TwinAction[] {
  if (!snapshot.job.like || !snapshot.bow) return [];
  const ground = { snapshot, derived, rows: twinRows(snapshot, derived) };
  const said = [
    lengthAction(ground),
    weightAction(ground),
    plainAction(ground, {
      id: 'nock',
      title: 'Rest, nock and loop',
      keys: [
        'restHeight',
        'nockHeight',
        'centreShot',
        'loop',
        'loopPlace',
        'cordLimb',
        'restCord',
        'cableGuard',
        'kisser',
      ],
    }),
    peepAction(ground),
    sightAction(ground),
    arrowAction(ground),
    plainAction(ground, {
      id: 'bars',
      title: 'Bars and mass',
      keys: BARS,
    }),
    marksAction(ground),
  ];
  const told = (keys: readonly SetupKey[]) =>
    ground.rows.some(({ key, model }) => model !== null && keys.includes(key));
  return said.flatMap((action) =>
    action && (action.id === 'marks' || told(action.keys)) ? [finished(action, ground)] : [],
  );
}

function finished(said: Said, { derived, rows }: Ground): TwinAction {
  const { history, plan } = derived;
  const left = unsettled(rows, said.keys);
  const state = left.some(({ standing }) => standing === 'off')
    ? ('off' as const)
    : left.length > 0 || (said.id === 'marks' && said.say.length > 0)
      ? ('open' as const)
      : ('same' as const);
  const own = new Set(said.keys);
  const again =
    state === 'off' ? left.flatMap(({ key }) => ripplePreview(key, history, plan).keys) : [];
  return {
    ...said,
    state,
    ...(state === 'same' ? { say: [], moves: [], press: false } : {}),
    again: [...new Set(again)]
      .filter((key) => !own.has(key) && setupValue(key).backTo !== undefined)
      .map((key) => setupValue(key).name),
  };
}

const fresh = (key: SetupKey, { derived: { history, plan } }: Ground): number | null =>
  plan.stale.some((entry) => entry.key === key) ? null : (latest(history, key)?.si ?? null);

/** What a change does to the speed, in words; nothing where it is too little or cannot be told. */
function speedMove(
  ground: Ground,
  per: 'perPoundMps' | 'perHalfInchMps' | 'perGramMps',
  by: number,
) {
  const { derived, snapshot } = ground;
  const input = speedInput(derived.context);
  const slopes = input && speedSensitivity(input);
  if (!slopes?.ok || Math.abs(slopes[per] * by) < 0.15) return [];
  const change = slopes[per] * by;
  return [
    `speed about ${write(Math.abs(change), 'speed', snapshot.shop.units)} ${change > 0 ? 'more' : 'less'}`,
  ];
}

function lengthAction(ground: Ground): Said {
  const { snapshot, derived } = ground;
  const { bow, shop } = snapshot;
  const { context, history } = derived;
  const { units } = shop;
  const say: string[] = [];
  const moves: string[] = [];
  const cams = bow!.moduleCams.map((cam) =>
    cam === 'top' ? ('moduleTop' as const) : ('moduleBottom' as const),
  );
  const step = bow!.modules.length > 0 ? context.moduleStepMm : null;
  const stands = cams.map((key) => latest(history, key)?.si ?? null);
  const length = fresh('drawLength', ground);
  if (step !== null && stands.some((at) => at === null || Math.abs(at - step) > 0.5)) {
    const label = moduleLabel(bow!, step);
    say.push(
      `Module to ${label === null ? '' : `${label} = `}${write(step, 'length', units)}${cams.length > 1 ? ', the same on both cams' : ''}`,
    );
    const from = stands[0] ?? null;
    if (from !== null && length !== null) {
      moves.push(`draw length by about ${write(step - from, 'length', units, { signed: true })}`);
      moves.push(...speedMove(ground, 'perHalfInchMps', (step - from) / (MM_PER_INCH / 2)));
    }
  }
  const twists = targetOf('stringTwists', context);
  const plan = twistPlan(context, (of, others) =>
    sinceLastChange(history, of as SetupKey, others as readonly SetupKey[]),
  );
  const tooFar = plan?.tooFar === true;
  const more =
    twists === null || tooFar ? 0 : twists.si - (latest(history, 'stringTwists')?.si ?? 0);
  const { perTwistMm, sigmaMm } = stringResponse(history);
  // What nobody twists is said as it is, and nothing is put in for it.
  if (twists !== null && tooFar && say.length === 0) say.push(twists.reason);
  if (twists !== null && Math.abs(more) >= 0.5) {
    const count = writeValue('stringTwists', Math.abs(more), units).replace(/^\+/, '');
    say.push(`${more > 0 ? 'Put in' : 'Take out'} ${count} of the string. ${twists.reason}`);
    const by = write(Math.abs(more * perTwistMm), 'length', { ...units, length: 'mm' });
    const sure = write(Math.abs(more) * sigmaMm, 'length', { ...units, length: 'mm' });
    moves.push(
      length === null
        ? `draw length about ${by} ${more > 0 ? 'shorter' : 'longer'} (± ${sure})`
        : `draw length to about ${write(length + more * perTwistMm, 'length', units)} (± ${sure})`,
    );
    moves.push('weight, timing and brace height a little; the peep with the string');
  }
  return {
    id: 'length',
    title: 'Draw length',
    keys: [...(step === null ? [] : cams), 'stringTwists', 'drawLength'],
    say,
    moves,
    press: say.length > 0 && Math.abs(more) >= 0.5,
  };
}

function weightAction(ground: Ground): Said {
  const { snapshot, derived } = ground;
  const { bow, shop, job } = snapshot;
  const { units } = shop;
  const { history, context } = derived;
  const base = {
    id: 'weight' as const,
    title: 'Peak weight',
    keys: ['limbTurnsUpper', 'limbTurnsLower', 'peakWeight'] as const,
    press: false,
  };
  const advice = limbBoltAdvice(snapshot, derived);
  const stood = standingTurns(history);
  if (bow!.maxTurns === null)
    return {
      ...base,
      say: [
        'No limit of turns is known of this bow: weigh it, and turn nothing until its manual is found.',
      ],
      moves: [],
    };
  if (!advice?.ok) return { ...base, say: advice ? [advice.message] : [], moves: [] };
  const more = advice.turns - (stood ?? 0);
  const began = modelNumber(job.like, 'limbTurnsUpper');
  const peak = fresh('peakWeight', ground);
  const say = [
    Math.abs(more) < 0.13
      ? 'The bolts stand where they should: weigh'
      : `${write(Math.abs(more), 'turns', units)} ${more > 0 ? 'out' : 'in'}, both bolts alike, two at most at a time; then weigh`,
    ...(peak === null && context.like?.sameBow && began !== null
      ? [`On the model they stood ${write(began, 'turns', units)} out; this bow’s scale decides`]
      : []),
  ];
  const change = peak === null ? null : advice.predictedN - peak;
  return {
    ...base,
    say,
    moves: [
      `peak weight to about ${write(advice.predictedN, 'force', units)} (± ${write(advice.sigmaN, 'force', units)})`,
      `holding weight to about ${write(advice.predictedN * (1 - bow!.letOff), 'force', units)}`,
      ...(change === null ? [] : speedMove(ground, 'perPoundMps', change / N_PER_POUND)),
    ],
  };
}

function peepAction(ground: Ground): Said {
  const { snapshot, derived, rows } = ground;
  const { job, shop } = snapshot;
  const { units } = shop;
  const base = {
    id: 'peep' as const,
    title: 'Peep',
    keys: ['peepHeight', 'peepTrueHeight', 'tubeSide', 'tubeLength'] as const,
  };
  const wanted = modelNumber(job.like, 'peepTrueHeight');
  const here = fresh('peepTrueHeight', ground);
  const along = fresh('peepHeight', ground);
  if (here === null) {
    const start = targetOf('peepHeight', derived.context);
    return {
      ...base,
      say:
        start === null || along !== null
          ? []
          : [
              `In the string at ${writeValue('peepHeight', start.si, units)} above the nock to begin with. ${start.reason}`,
            ],
      moves: along === null ? [] : ['read at full draw, it says how far it is off'],
      press: along === null,
    };
  }
  const row = rowOfKey(rows, 'peepTrueHeight');
  if (wanted === null || row?.standing !== 'off')
    return { ...base, say: [], moves: [], press: false };
  const short = wanted - here;
  const ratio = peepRatio(ground, along, here);
  const size = (si: number) => writeValue('peepTrueHeight', Math.abs(si), units);
  return {
    ...base,
    say: [
      ratio === null
        ? `${short > 0 ? 'Up' : 'Down'} by ${size(short)} as measured at full draw; along the string that is a little more`
        : `${short > 0 ? 'Up' : 'Down'} by ${size(short / ratio)} along the string: that is ${size(short)} at full draw`,
    ],
    moves: [
      `every pin about ${size(short)} ${short > 0 ? 'higher' : 'lower'} on the sight; the gaps stay`,
      'the peep’s turn: look at it square again',
    ],
    press: true,
  };
}

/** Peep above the arrow for each millimetre along the string, of this bow where both were read, else of the model. */
function peepRatio({ snapshot }: Ground, along: number | null, here: number): number | null {
  if (along !== null && along > 0) return here / along;
  const [height, string] = (['peepTrueHeight', 'peepHeight'] as const).map((key) =>
    modelNumber(snapshot.job.like, key),
  );
  return height && string ? height / string : null;
}

function sightAction(ground: Ground): Said {
  const { snapshot } = ground;
  const { units } = snapshot.shop;
  const said = plainAction(ground, {
    id: 'sight',
    title: 'Sight',
    keys: ['peepToPin'],
  });
  const [wanted, here] = [modelNumber(snapshot.job.like, 'peepToPin'), fresh('peepToPin', ground)];
  if (wanted === null || here === null || said.say.length === 0) return said;
  const part = Math.abs(wanted / here - 1) * 100;
  return {
    ...said,
    say: [
      `Pins ${write(Math.abs(wanted - here), 'length', units)} ${wanted > here ? 'further from' : 'nearer to'} the peep, by the sight’s bar`,
    ],
    moves: [`gaps between the pins ${part.toFixed(1)} % ${wanted > here ? 'wider' : 'narrower'}`],
  };
}

function arrowAction(ground: Ground): Said {
  const { snapshot, rows } = ground;
  const { like } = snapshot.job;
  const row = rowOfKey(rows, 'arrowMass');
  const label = snapshot.parts.find(({ slot }) => slot === 'arrows')?.label ?? null;
  const model = like!.parts.find(({ slot }) => slot === 'arrows')?.label ?? null;
  const base = { id: 'arrow' as const, title: 'Arrow', keys: ['arrowMass'] as const, press: false };
  if (row === null || (row.standing !== 'off' && row.standing !== 'open'))
    return { ...base, say: [], moves: [] };
  return {
    ...base,
    say: [
      like!.arrow ?? `An arrow of ${row.modelText}`,
      ...(model !== null && label !== null && model !== label
        ? [`Here: ${label}; there: ${model}`]
        : []),
      ...(row.differsText === null ? [] : [`Its mass is ${row.differsText} beside the model’s`]),
    ],
    moves: row.differs === null ? [] : speedMove(ground, 'perGramMps', -row.differs),
  };
}

/** Values that are set each by itself: what is off by how much, what was not read as the model has it. */
function plainAction(
  { snapshot, derived, rows }: Ground,
  { id, title, keys }: Pick<Said, 'id' | 'title' | 'keys'>,
): Said {
  const { units } = snapshot.shop;
  const say = unsettled(rows, keys).map(({ key, name, now, modelText, differsText, standing }) => {
    if (standing === 'open') return `${name}: ${modelText}`;
    const target = targetOf(key, derived.context);
    return now && target && now.si !== null
      ? `${name}: ${mendText(key, now, target, units)}, to ${modelText}`
      : `${name}: ${modelText}${differsText === null ? '' : ` (here ${differsText})`}`;
  });
  return { id, title, keys, say, moves: [], press: false };
}

/** Marks stand at the end: everything above moves them. */
function marksAction({ snapshot, derived }: Ground): Said | null {
  const { like } = snapshot.job;
  if (!like?.marks) return null;
  const marks = twinMarks(snapshot, derived);
  const { units } = snapshot.shop;
  const base = {
    id: 'marks' as const,
    title: 'Marks',
    keys: ['firstMark'] as const,
    press: false,
  };
  const first = write(like.marks.firstM, 'distance', units, { decimals: 0 });
  // Shot at the first distance and at another, or pins and tape set by what was shot.
  const settled =
    latest(derived.history, 'firstMark') !== null &&
    (confirmedShots(derived).length > 1 ||
      latest(derived.history, 'tape') !== null ||
      latest(derived.history, 'pins') !== null);
  if (settled) return { ...base, say: [], moves: [] };
  return {
    ...base,
    say: [
      marks === null
        ? `The model does not say what its marks were made from: shoot ${first} in, then the far one`
        : `Carried over by the flight model and predictions until shot: settle ${first} first, then the far one`,
    ],
    moves: [],
  };
}
