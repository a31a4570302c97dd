/** Where else a tear comes from, in the order they are looked at (docs/models.md section 7). */
export const CAUSES = ['clearance', 'grip', 'timing', 'spine', 'camLean'] as const;
export type Cause = (typeof CAUSES)[number];

interface CauseLook {
  readonly id: Cause;
  readonly name: string;
  /** How it is looked for, in one line. */
  readonly look: string;
}

export const CAUSE_LOOKS: Readonly<Record<Cause, CauseLook>> = {
  clearance: {
    id: 'clearance',
    name: 'Clearance',
    look: 'Powder on the vanes, one shot: any smear on launcher, cage, cable or guard is a vane that touches.',
  },
  grip: {
    id: 'grip',
    name: 'Grip and release',
    look: 'Two shots with the hand quite loose, two by somebody else: a tear that changes with the hand is not the bow’s.',
  },
  timing: {
    id: 'timing',
    name: 'Cam timing and cord',
    look: 'Draw board: both cams meet their stops together; the rest’s cord comes tight where it should.',
  },
  spine: {
    id: 'spine',
    name: 'Arrow spine',
    look: 'One arrow clearly stiffer or weaker, or one with a clearly heavier point: a tear that follows the arrow is the arrow’s.',
  },
  camLean: {
    id: 'camLean',
    name: 'Cam lean',
    look: 'At full draw with an arrow flat on the cam: yoke leg or shim before the rest goes further from its figure.',
  },
};
