import type { QuantityName } from '../units';

/** What is measured on the bow they like; its true draw length is the method `fittingBow`. */
export type OldBowKey =
  | 'oldPeepHeight'
  | 'oldPeepTrueHeight'
  | 'oldPeepToPin'
  | 'oldPeak'
  | 'oldHolding'
  | 'oldBrace'
  | 'oldAxle'
  | 'oldMass';

interface OldBowEntry {
  readonly key: OldBowKey;
  readonly name: string;
  readonly how: string;
  /** What the new bow takes from it. */
  readonly use: string;
  readonly quantity: Extract<QuantityName, 'length' | 'force' | 'mass'>;
  readonly min: number;
  readonly max: number;
}

/** How what both bows are measured for is taken, the old one and the new. */
export const HOW_MEASURED = {
  peak: 'Bow scale, drawn slowly through the peak',
  holding: 'Bow scale at full draw, against the wall',
  peepTrueHeight: 'At full draw: middle of the shaft to the middle of the peep, upright',
  peepHeight: 'Nock to the middle of the peep, along the string at rest',
  brace: 'Throat of the grip to the string, bow at rest',
} as const;

/** In the order they are read: on the draw board first, then at rest, then on the scale. */
export const OLD_BOW: readonly OldBowEntry[] = [
  {
    key: 'oldPeak',
    name: 'Peak weight',
    how: HOW_MEASURED.peak,
    use: 'the weight the new bow is set to',
    quantity: 'force',
    min: 40,
    max: 450,
  },
  {
    key: 'oldHolding',
    name: 'Holding weight',
    how: HOW_MEASURED.holding,
    use: 'held against the new bow’s let-off',
    quantity: 'force',
    min: 5,
    max: 250,
  },
  {
    key: 'oldPeepTrueHeight',
    name: 'Peep above the arrow',
    how: HOW_MEASURED.peepTrueHeight,
    use: 'the peep’s target at full draw',
    quantity: 'length',
    min: 70,
    max: 220,
  },
  {
    key: 'oldPeepToPin',
    name: 'Peep to pin',
    how: 'At full draw: peep to the sight’s pin, along the arrow',
    use: 'where the sight stands',
    quantity: 'length',
    min: 400,
    max: 1200,
  },
  {
    key: 'oldPeepHeight',
    name: 'Peep on the string',
    how: HOW_MEASURED.peepHeight,
    use: 'where the peep is started',
    quantity: 'length',
    min: 80,
    max: 260,
  },
  {
    key: 'oldBrace',
    name: 'Brace height',
    how: HOW_MEASURED.brace,
    use: 'held against the new bow’s own',
    quantity: 'length',
    min: 90,
    max: 300,
  },
  {
    key: 'oldAxle',
    name: 'Axle to axle',
    how: 'Middle of the top axle to the middle of the bottom one, bow at rest',
    use: 'held against the bows drawn beside it',
    quantity: 'length',
    min: 500,
    max: 1300,
  },
  {
    key: 'oldMass',
    name: 'Mass, as it is shot',
    how: 'With sight, rest, quiver and bars as they use it',
    use: 'held against the finished bow',
    quantity: 'mass',
    min: 500,
    max: 6000,
  },
];

export const isOldBowKey = (key: string): key is OldBowKey =>
  OLD_BOW.some((entry) => entry.key === key);

export type OldBowFigures = Partial<Record<OldBowKey, number>>;

/** Let-off of the old bow from its two weights, 0 to 1; null where one is missing or they contradict. */
export function oldLetOff({ oldPeak, oldHolding }: OldBowFigures): number | null {
  if (oldPeak === undefined || oldHolding === undefined || oldHolding >= oldPeak) return null;
  return 1 - oldHolding / oldPeak;
}
