import {
  G_PER_GRAIN,
  G_PER_OUNCE,
  M_PER_YARD,
  MM_PER_FOOT,
  MM_PER_INCH,
  MPS_PER_FPS,
  N_PER_POUND,
  STANDARD_GRAVITY,
  type QuantityName,
  type ShopUnits,
  type UnitName,
} from './types';

interface UnitEntry {
  readonly name: UnitName;
  /** Spellings people type, lower case, without blanks. */
  readonly spellings: readonly string[];
  /** SI value of one of it, per quantity it can measure. */
  readonly perUnit: Partial<Record<QuantityName, number>>;
}

/** Every unit that can be typed. `m` and `ft` measure both a length (mm) and a distance (m). */
const UNITS: readonly UnitEntry[] = [
  { name: 'mm', spellings: ['mm', 'millimetre', 'millimetres'], perUnit: { length: 1 } },
  { name: 'cm', spellings: ['cm'], perUnit: { length: 10 } },
  {
    name: 'm',
    spellings: ['m', 'metre', 'metres', 'meter', 'meters'],
    perUnit: { length: 1000, distance: 1 },
  },
  {
    name: 'in',
    spellings: ['in', 'in.', 'inch', 'inches', '"', '″', '”'],
    perUnit: { length: MM_PER_INCH },
  },
  {
    name: 'ft',
    spellings: ['ft', 'foot', 'feet', "'", '′', '’'],
    perUnit: { length: MM_PER_FOOT, distance: MM_PER_FOOT / 1000 },
  },
  {
    name: 'yd',
    spellings: ['yd', 'yds', 'yard', 'yards'],
    perUnit: { distance: M_PER_YARD, length: M_PER_YARD * 1000 },
  },
  { name: 'N', spellings: ['n', 'newton', 'newtons'], perUnit: { force: 1 } },
  {
    name: 'lb',
    spellings: ['lb', 'lbs', 'lb.', '#', 'lbf', 'pound', 'pounds'],
    perUnit: { force: N_PER_POUND, mass: 453.59237 },
  },
  { name: 'kgf', spellings: ['kgf', 'kp'], perUnit: { force: STANDARD_GRAVITY } },
  { name: 'g', spellings: ['g', 'gram', 'grams', 'gramme'], perUnit: { mass: 1 } },
  {
    name: 'kg',
    spellings: ['kg'],
    perUnit: { mass: 1000, force: STANDARD_GRAVITY },
  },
  { name: 'gr', spellings: ['gr', 'grain', 'grains', 'gn'], perUnit: { mass: G_PER_GRAIN } },
  { name: 'oz', spellings: ['oz', 'ounce', 'ounces'], perUnit: { mass: G_PER_OUNCE } },
  { name: 'm/s', spellings: ['m/s', 'mps'], perUnit: { speed: 1 } },
  { name: 'fps', spellings: ['fps', 'ft/s', 'f/s'], perUnit: { speed: MPS_PER_FPS } },
  { name: 'km/h', spellings: ['km/h', 'kph', 'kmh'], perUnit: { speed: 1 / 3.6 } },
  { name: 'deg', spellings: ['°', 'deg', 'degree', 'degrees'], perUnit: { angle: 1 } },
  { name: 'turns', spellings: ['turn', 'turns', 'twist', 'twists', 'x'], perUnit: { turns: 1 } },
  { name: 's', spellings: ['s', 'sec', 'seconds'], perUnit: { time: 1 } },
];

export const findUnit = (spelling: string) =>
  UNITS.find((entry) => entry.spellings.includes(spelling.toLowerCase()));

/** The unit a number without one is taken to be in, and the one results are written in. */
export function shopUnitFor(quantity: QuantityName, shop: ShopUnits): UnitName {
  switch (quantity) {
    case 'length':
      return shop.length === 'mm' ? 'mm' : 'in';
    case 'distance':
      return shop.distance;
    case 'force':
      return shop.force;
    case 'mass':
      return shop.mass;
    case 'speed':
      return shop.speed;
    case 'angle':
      return 'deg';
    case 'turns':
      return 'turns';
    case 'time':
      return 's';
  }
}

/** SI value of one `unit` when it measures `quantity`; null when it cannot. */
export const siPerUnit = (unit: UnitName, quantity: QuantityName): number | null =>
  UNITS.find((entry) => entry.name === unit)?.perUnit[quantity] ?? null;

/** The units that can be typed for a quantity, in the order they are offered in messages. */
export const unitsFor = (quantity: QuantityName): UnitName[] =>
  UNITS.filter((entry) => entry.perUnit[quantity] !== undefined).map((entry) => entry.name);
