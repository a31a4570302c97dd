/**
 * Branded SI quantities. A plain `number` cannot be passed where a quantity is wanted,
 * and a length cannot be passed for a force: the unit is in the type and in the name.
 */
declare const unit: unique symbol;
type Quantity<Unit extends string> = number & { readonly [unit]: Unit };

/** Length in millimetres. */
export type Mm = Quantity<'mm'>;
/** Distance on the range in metres. */
export type Metre = Quantity<'m'>;
/** Force in newtons. */
export type Newton = Quantity<'N'>;
/** Mass in grams. */
export type Gram = Quantity<'g'>;
/** Speed in metres per second. */
export type Mps = Quantity<'m/s'>;
/** Plane angle in degrees. */
export type Degree = Quantity<'deg'>;
/** Turns of a limb bolt, or twists of a string. */
export type Turns = Quantity<'turns'>;
/** Torque in newton millimetres. */
export type NewtonMm = Quantity<'N·mm'>;
/** Moment of inertia in kilogram square millimetres. */
export type KgMm2 = Quantity<'kg·mm²'>;
/** Time in seconds. */
export type Second = Quantity<'s'>;
/** Small angle in milliradians: 1 mm at 1 m. */
export type Milliradian = Quantity<'mrad'>;

export const mm = (value: number) => value as Mm;
export const metre = (value: number) => value as Metre;
export const newton = (value: number) => value as Newton;
export const gram = (value: number) => value as Gram;
export const mps = (value: number) => value as Mps;
export const degree = (value: number) => value as Degree;
export const turns = (value: number) => value as Turns;
export const newtonMm = (value: number) => value as NewtonMm;
export const kgMm2 = (value: number) => value as KgMm2;
export const second = (value: number) => value as Second;
export const milliradian = (value: number) => value as Milliradian;

/** Exact factors from docs/models.md; multiply a trade unit by its factor to get SI. */
export const MM_PER_INCH = 25.4;
export const MM_PER_FOOT = 304.8;
export const M_PER_YARD = 0.9144;
export const N_PER_POUND = 4.4482216152605;
/** 1 lbf over 1 ft. */
export const J_PER_FOOT_POUND = N_PER_POUND * 0.3048;
export const G_PER_GRAIN = 0.06479891;
export const G_PER_OUNCE = 28.349523125;
export const MPS_PER_FPS = 0.3048;
export const STANDARD_GRAVITY = 9.80665;

export type QuantityName =
  'length' | 'distance' | 'force' | 'mass' | 'speed' | 'angle' | 'turns' | 'time';

export type UnitName =
  | 'mm'
  | 'cm'
  | 'm'
  | 'in'
  | 'ft'
  | 'yd'
  | 'N'
  | 'lb'
  | 'kgf'
  | 'g'
  | 'kg'
  | 'gr'
  | 'oz'
  | 'm/s'
  | 'fps'
  | 'km/h'
  | 'deg'
  | 'turns'
  | 's';

/** How a shop writes its numbers; chosen once in the shop's settings. */
export interface ShopUnits {
  readonly length: 'in16' | 'in32' | 'mm';
  readonly force: 'lb' | 'N';
  readonly mass: 'gr' | 'g';
  readonly speed: 'fps' | 'm/s';
  readonly distance: 'm' | 'yd';
}

export const TRADE_UNITS: ShopUnits = {
  length: 'in16',
  force: 'lb',
  mass: 'gr',
  speed: 'fps',
  distance: 'm',
};

export const METRIC_UNITS: ShopUnits = {
  length: 'mm',
  force: 'N',
  mass: 'g',
  speed: 'm/s',
  distance: 'm',
};

/** Metres of the distance a shop speaks in. */
export const metresPer = (unit: 'm' | 'yd'): number => (unit === 'yd' ? M_PER_YARD : 1);

/** What may be typed: a quantity, the shop's units, and the limits (SI, inclusive). */
export interface ReadOptions {
  readonly quantity: QuantityName;
  readonly shop: ShopUnits;
  /** Unit of a number typed without one; the shop's own unit when absent. */
  readonly bareUnit?: UnitName;
  readonly min?: number;
  readonly max?: number;
  /** What the number is, for messages: "arm span". */
  readonly what?: string;
}
