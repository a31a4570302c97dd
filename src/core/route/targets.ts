import { LEAN_IN_MM } from '../bow';
import { itemOf } from '../kit';
import { MM_PER_INCH, spoken, write } from '../units';
import type { BuildContext } from './context';
import { setupValue } from './registry';
import { latest } from './ripple';
import { cableTwistTarget, FELT_MM, leanTarget, stringTwistTarget } from './twist-targets';
import { MOVED_BY_PAPER, type Reading, type SetupKey } from './types';

/** What a reading should be, and why. */
export interface Target {
  readonly si: number;
  readonly low: number;
  readonly high: number;
  readonly reason: string;
  readonly source: 'old bow' | 'bow' | 'part' | 'calculation' | 'shop rule' | 'technician';
}

/** Centre shot where the bow's own figure is not known (13/16 in). */
export const USUAL_CENTRE_SHOT_MM = (13 / 16) * MM_PER_INCH;
/** Peep above the nock to start with, until the archer says otherwise. */
const PEEP_START_MM = 6 * MM_PER_INCH;
/** Found another way, the centre shot may stand this far from the figure before it is doubted. */
const OTHER_SCHOOL_MM = 3.5;
const CORD_RULE = { shortDraw: 635, longDraw: 787, near: 44, far: 64 };

type Maker = (context: BuildContext) => (Omit<Target, 'low' | 'high'> & Partial<Target>) | null;

const moduleTarget: Maker = ({ moduleStepMm, shop }) =>
  moduleStepMm === null
    ? null
    : {
        si: moduleStepMm,
        reason: `${write(moduleStepMm, 'length', shop)} is the step chosen for this archer, the same on every cam`,
        source: 'calculation',
      };

const TARGETS: Partial<Record<SetupKey, Maker>> = {
  moduleTop: moduleTarget,
  moduleBottom: moduleTarget,
  stringTwists: stringTwistTarget,
  cableTwists: cableTwistTarget,
  drawLength: ({ fitDrawLengthMm, shop }) =>
    fitDrawLengthMm === null
      ? null
      : {
          si: fitDrawLengthMm,
          low: fitDrawLengthMm - FELT_MM,
          high: fitDrawLengthMm + FELT_MM,
          reason: `The archer’s own draw length from the fit; ${spoken(FELT_MM, 'length', shop, 'a quarter inch')} is felt`,
          source: 'calculation',
        },
  peakWeight: ({ peakTargetN, peakReason }) =>
    peakTargetN === null ? null : { si: peakTargetN, reason: peakReason, source: 'calculation' },
  holdingWeight: ({ bow, peakTargetN, history }) => {
    const peak = latest(history, 'peakWeight')?.si ?? peakTargetN;
    if (!bow || peak === null) return null;
    const percent = Math.round(bow.letOff * 100);
    return {
      si: peak * (1 - bow.letOff),
      reason: `Peak less the bow’s let-off of ${percent} %`,
      source: 'bow',
    };
  },
  braceHeight: ({ bow }) =>
    bow && {
      si: bow.braceHeightMm,
      low: bow.braceHeightMm - 5,
      high: bow.braceHeightMm + 5,
      reason: 'The bow’s own figure',
      source: 'bow',
    },
  foundBrace: ({ bow }) => bow && asMade(bow.braceHeightMm, 6),
  foundAxles: ({ bow }) => bow && asMade(bow.axleToAxleMm, 8),
  timing: () => ({ si: 0, reason: 'Both cams reach their stops together', source: 'shop rule' }),
  axleToAxle: ({ bow }) =>
    bow && {
      si: bow.axleToAxleMm,
      low: bow.axleToAxleMm - 8,
      high: bow.axleToAxleMm + 8,
      reason: 'The bow’s own figure; turned-out bolts make it longer',
      source: 'bow',
    },
  camLeanUpper: () => straight,
  camLeanLower: () => straight,
  leanFixUpper: (context) => leanTarget('upper', context),
  leanFixLower: (context) => leanTarget('lower', context),
  stringStop: () => ({
    si: 3,
    low: 2,
    high: 4.5,
    reason: 'Just short of the string: touching costs speed and sound, further off does nothing',
    source: 'shop rule',
  }),
  restHeight: () => ({
    si: 0,
    low: -2,
    high: 3,
    reason: 'The shaft’s middle at the plunger hole’s middle; paper decides later',
    source: 'shop rule',
  }),
  cableGuard: ({ bow }) =>
    bow?.cableGapMm
      ? {
          si: bow.cableGapMm,
          low: bow.cableGapMm - 6,
          high: bow.cableGapMm + 10,
          reason: 'As the guard comes; only as far off as the vanes need, since it leans the cams',
          source: 'bow',
        }
      : null,
  centreShot: centreShotTarget,
  nockHeight: ({ schools }) =>
    schools.nockHeight === 'level'
      ? {
          si: 0,
          low: -1,
          high: 1,
          reason: 'Level to begin with; paper decides later',
          source: 'shop rule',
        }
      : {
          si: 1,
          low: 0,
          high: 3,
          reason: 'A touch high to begin with; paper decides later',
          source: 'shop rule',
        },
  loop: ({ kit, shop }) => {
    const loop = itemOf(kit, 'loop');
    const si = loop?.attrs.lengthMm ?? 12.7;
    return {
      si,
      low: si - 3,
      high: si + 3,
      reason: loop
        ? 'Length of the chosen loop'
        : `Usual length: ${spoken(12.7, 'length', shop, 'half an inch')}`,
      source: loop ? 'part' : 'shop rule',
    };
  },
  restCord: restCordTarget,
  peepHeight: ({ oldBow: { oldPeepHeight }, shop }) => ({
    si: oldPeepHeight ?? PEEP_START_MM,
    low: 110,
    high: 200,
    reason: oldPeepHeight
      ? 'As on the old bow to begin with; the archer’s eye decides'
      : `About ${spoken(PEEP_START_MM, 'length', shop, 'six inches')} to begin with; the archer’s eye decides`,
    source: oldPeepHeight ? 'old bow' : 'shop rule',
  }),
  peepTrueHeight: ({ oldBow: { oldPeepTrueHeight: si } }) =>
    si === undefined
      ? null
      : { si, low: si - 3, high: si + 3, reason: 'As on the old bow they like', source: 'old bow' },
  peepToPin: ({ oldBow: { oldPeepToPin: si } }) =>
    si === undefined
      ? null
      : {
          si,
          low: si - 15,
          high: si + 15,
          reason: 'As on the old bow they like: the pin covers what it did',
          source: 'old bow',
        },
  firstAxis: () => ({ si: 0, reason: 'Rail parallel to the string', source: 'shop rule' }),
  secondAxis: () => ({
    si: 0,
    reason: 'Bubble in the middle with the bow plumb',
    source: 'shop rule',
  }),
  thirdAxis: () => ({
    si: 0,
    reason: 'Bubble stays in the middle uphill and downhill',
    source: 'shop rule',
  }),
  thirdAxisShot: () => ({
    si: 0,
    reason: 'Bubble stays in the middle uphill and downhill',
    source: 'shop rule',
  }),
  arrowMass: ({ kit }) => {
    const arrows = itemOf(kit, 'arrows');
    return (
      arrows && {
        si: arrows.massG,
        low: arrows.massG - 0.6,
        high: arrows.massG + 0.6,
        reason: 'What the set is sold as; the scale is right',
        source: 'part',
      }
    );
  },
  arrowSpeed: ({ predictedSpeed }) =>
    predictedSpeed && {
      si: predictedSpeed.speedMps,
      low: predictedSpeed.speedMps - 3 * predictedSpeed.sigmaMps,
      high: predictedSpeed.speedMps + 3 * predictedSpeed.sigmaMps,
      reason:
        'Predicted from the bow’s rating, the weight and the arrow; further off means something was read wrong',
      source: 'calculation',
    },
  paperTear: () => ({ si: 0, reason: 'A hole under 6 mm from nock to point', source: 'shop rule' }),
};

/** A figure of the maker’s, held against the bow as it came. */
const asMade = (si: number, band: number) => ({
  si,
  low: si - band,
  high: si + band,
  reason:
    'The maker’s figure; further off something is wrong with the bow: it goes back before work is in it',
  source: 'bow' as const,
});

const straight = {
  si: 0,
  low: -LEAN_IN_MM,
  high: LEAN_IN_MM,
  reason: 'The cam stands in line with the string at full draw',
  source: 'shop rule' as const,
};

/** The bow's own figure, or the school's way of finding it with the figure only as a check. */
function centreShotTarget({ bow, schools, shop }: BuildContext) {
  const usual = spoken(USUAL_CENTRE_SHOT_MM, 'length', shop, '13/16 in', { decimals: 1 });
  const known = bow?.centreShotMm ?? null;
  const si = known ?? USUAL_CENTRE_SHOT_MM;
  const source = known === null ? ('shop rule' as const) : ('bow' as const);
  if (schools.centreShot === 'figure')
    return {
      si,
      reason:
        known === null
          ? `No figure for this bow: ${usual} to begin with; paper decides later`
          : 'The bow’s own figure; paper decides later',
      source,
    };
  const how = { thread: 'The thread', secondArrow: 'The second arrow', eye: 'The eye' };
  return {
    si,
    low: si - OTHER_SCHOOL_MM,
    high: si + OTHER_SCHOOL_MM,
    reason: `${how[schools.centreShot]} says where; ${known === null ? `the usual ${usual}` : 'the bow’s own figure'} only shows whether it was read right. Paper decides later`,
    source,
  };
}

function restCordTarget({ kit, fitDrawLengthMm, history, shop }: BuildContext) {
  const rest = itemOf(kit, 'rest');
  if (!rest || rest.attrs.drive === 'containment') return null;
  if (rest.attrs.drive === 'cableDriven') {
    return {
      si: 12.5,
      low: 0,
      high: 25,
      reason: `The marks meet in the last ${spoken(25.4, 'length', shop, 'inch')} before full draw; earlier is a cord too tight`,
      source: 'shop rule' as const,
    };
  }
  const draw = latest(history, 'drawLength')?.si ?? fitDrawLengthMm;
  if (draw === null) return null;
  const { shortDraw, longDraw, near, far } = CORD_RULE;
  const part = Math.min(1, Math.max(0, (draw - shortDraw) / (longDraw - shortDraw)));
  const si = near + part * (far - near);
  return {
    si,
    low: si - 6,
    high: si + 6,
    reason: `From the axle along the limb: 44 mm at ${write(shortDraw, 'length', shop)} of draw to 64 mm at ${write(longDraw, 'length', shop)}`,
    source: 'shop rule' as const,
  };
}

/**
 * How far from its first figure paper may put a value before another cause is looked for, mm or
 * turns. Shop rule; the band hangs on the figure, never on where a move ended.
 */
const PAPER_BAND: Partial<Record<SetupKey, number>> = {
  centreShot: 3.5,
  nockHeight: 5,
  restHeight: 4,
  cableGuard: 8,
  leanFixUpper: 2,
  leanFixLower: 2,
};

/** The band a value may be moved in by paper, around the figure it was first set to. */
export function paperBand(key: SetupKey, context: BuildContext): Target | null {
  const figure = firstTarget(key, context);
  const from = figure?.si ?? context.history.get(key)?.find(({ si }) => si !== null)?.si ?? null;
  if (from === null) return null;
  const reach = PAPER_BAND[key] ?? setupValue(key).tolerance;
  return {
    si: from,
    low: Math.min(figure?.low ?? from, from - reach),
    high: Math.max(figure?.high ?? from, from + reach),
    reason: 'The part’s own band; further off another cause is looked for',
    source: figure?.source ?? 'shop rule',
  };
}

/** Where the lane put it: paper decides over the figure a value was first set to, within its band. */
function byPaper(key: SetupKey, context: BuildContext): Target | null {
  const rows = context.history.get(key) ?? [];
  const moved = rows.findLast(({ method }) => method === MOVED_BY_PAPER);
  const band = moved ? paperBand(key, context) : null;
  if (!moved || moved.si === null || !band) return null;
  return {
    ...band,
    si: moved.si,
    reason: `Where the tears on the lane put it. ${band.reason}`,
    source: 'calculation',
  };
}

/** @returns null where nothing is wanted but the reading itself. */
export function targetOf(key: SetupKey, context: BuildContext): Target | null {
  return byPaper(key, context) ?? firstTarget(key, context);
}

function firstTarget(key: SetupKey, context: BuildContext): Target | null {
  const target = TARGETS[key]?.(context);
  if (!target) return null;
  const { tolerance } = setupValue(key);
  return { low: target.si - tolerance, high: target.si + tolerance, ...target };
}

export type Standing = 'in' | 'out' | 'noTarget';

const EDGE = 1e-6;

/** Whether a reading lies in its target's band; a tear by its length. */
export function standing(reading: Reading, target: Target | null): Standing {
  if (!target || reading.si === null) return 'noTarget';
  const value = reading.key === 'paperTear' ? Math.hypot(reading.si, reading.si2 ?? 0) : reading.si;
  return value >= target.low - EDGE && value <= target.high + EDGE ? 'in' : 'out';
}
