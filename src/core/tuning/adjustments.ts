import type { Hand } from '../bow';

/** What can be moved because of a tear. */
export type Adjustment = 'restSideways' | 'restHeight' | 'nockHeight' | 'camShim' | 'cableGuard';
export type TearAxis = 'right' | 'up';
/** What is moved first for a tear to the side. */
export type PaperSchool = 'rest' | 'cams' | 'guard';

interface AdjustmentRule {
  readonly id: Adjustment;
  readonly axis: TearAxis;
  /** Tear in mm for one mm, or one step, seen from the archer; + is right or up, eased for the guard. */
  readonly mean: number;
  readonly sd: number;
  /** `mm`, or steps: a shim or half a yoke twist, a mark of the cable guard. */
  readonly unit: 'mm' | 'step';
  /** The least that can be set, in its unit. */
  readonly step: number;
  /** Never more at once before the next shot. */
  readonly most: number;
  /** Never further from where it stood at the first paper. Shop rule. */
  readonly reach: number;
}

/** Priors of docs/models.md section 7. A guard pulls to the riser’s side, so its sign goes with the hand. */
const RULES: Readonly<Record<Adjustment, AdjustmentRule>> = {
  restSideways: {
    id: 'restSideways',
    axis: 'right',
    mean: 4,
    sd: 2,
    unit: 'mm',
    step: 0.25,
    most: 2,
    reach: 6,
  },
  camShim: {
    id: 'camShim',
    axis: 'right',
    mean: -5,
    sd: 3,
    unit: 'step',
    step: 1,
    most: 2,
    reach: 4,
  },
  cableGuard: {
    id: 'cableGuard',
    axis: 'right',
    mean: 3,
    sd: 2,
    unit: 'step',
    step: 1,
    most: 2,
    reach: 6,
  },
  nockHeight: {
    id: 'nockHeight',
    axis: 'up',
    mean: 3,
    sd: 1.5,
    unit: 'mm',
    step: 0.5,
    most: 2,
    reach: 6,
  },
  restHeight: {
    id: 'restHeight',
    axis: 'up',
    mean: -3,
    sd: 1.5,
    unit: 'mm',
    step: 0.5,
    most: 2,
    reach: 6,
  },
};

export const ADJUSTMENTS = Object.keys(RULES) as readonly Adjustment[];

/** The rule of one adjustment for a bow of this hand. */
export function adjustmentRule(id: Adjustment, hand: Hand): AdjustmentRule {
  const rule = RULES[id];
  return id === 'cableGuard' && hand === 'left' ? { ...rule, mean: -rule.mean } : rule;
}

const SIDEWAYS: Readonly<Record<PaperSchool, readonly Adjustment[]>> = {
  rest: ['restSideways', 'camShim', 'cableGuard'],
  cams: ['camShim', 'restSideways', 'cableGuard'],
  guard: ['cableGuard', 'restSideways', 'camShim'],
};

/** What is tried for a tear along one axis, the school’s own first. */
export const tried = (axis: TearAxis, school: PaperSchool): readonly Adjustment[] =>
  axis === 'right' ? SIDEWAYS[school] : ['nockHeight', 'restHeight'];
