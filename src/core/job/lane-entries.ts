import { setupValue } from '../setup';
import type { ReadOptions, ShopUnits } from '../units';

type Entry = Omit<ReadOptions, 'shop'>;

const distance = (min: number, max: number, what = 'distance'): Entry => ({
  quantity: 'distance',
  min,
  max,
  what,
});
const sideways = (most: number, what: string): Entry => ({
  quantity: 'length',
  min: -most,
  max: most,
  bareUnit: 'mm',
  what,
});
/** One side of a value that has two: named and limited as the value. */
const ofValue = (key: 'paperTear' | 'bareShaft', side: string): Entry => {
  const { name, max } = setupValue(key);
  return sideways(max!, `${name.toLowerCase()} ${side}`);
};
const FURTHEST_M = 150;

/** Every number that is typed on the lane besides the values themselves: field and server read it alike. */
const ENTRIES = {
  distance: distance(3, FURTHEST_M),
  /** From the archer to the paper, which can be hung at their feet. */
  paperDistance: distance(1, FURTHEST_M),
  /** Nearer the fletching has not steered, further a bare shaft flies anywhere. */
  bareShaftDistance: distance(8, 40),
  pinDistance: distance(5, FURTHEST_M),
  slopeDistance: distance(10, 100),
  trueDistance: distance(3, FURTHEST_M, 'true distance'),
  scaleReading: distance(3, FURTHEST_M, 'reading of the scale'),
  tapeSpeed: { quantity: 'speed', min: 25, max: 140, what: 'speed printed on the tape' },
  pinDrop: {
    quantity: 'length',
    min: -30,
    max: 250,
    bareUnit: 'mm',
    what: 'pin below the first distance',
  },
  pinPlace: { quantity: 'length', min: 0, max: 120, bareUnit: 'mm', what: 'place of a pin' },
  otherArrow: { quantity: 'mass', min: 10, max: 60, what: 'arrow’s mass' },
  tearRight: ofValue('paperTear', 'to the side'),
  tearUp: ofValue('paperTear', 'up or down'),
  bareRight: ofValue('bareShaft', 'to the side'),
  bareUp: ofValue('bareShaft', 'up or down'),
  besideLine: sideways(3000, 'distance beside the line'),
  hitRight: sideways(3000, 'hit to the side'),
  hitUp: sideways(3000, 'hit up or down'),
  groupRight: sideways(2000, 'middle of the group to the side'),
  slope: { quantity: 'angle', min: -60, max: 60, what: 'slope' },
} as const satisfies Readonly<Record<string, Entry>>;

export type LaneEntry = keyof typeof ENTRIES;

/** How a number typed on the lane is read. */
export const laneEntry = (name: LaneEntry, shop: ShopUnits): ReadOptions => ({
  ...ENTRIES[name],
  shop,
});
