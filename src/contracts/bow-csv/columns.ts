import { Type } from '@sinclair/typebox';
import type { BowRecord, ModulePosition } from '@/core/bow';
import {
  G_PER_GRAIN,
  MM_PER_INCH,
  mm,
  MPS_PER_FPS,
  N_PER_POUND,
  shopUnitFor,
  siPerUnit,
  type ShopUnits,
} from '@/core/units';
import {
  bad,
  good,
  measure,
  money,
  oneOf,
  optional,
  plainNumber,
  several,
  text,
  textOrEmpty,
  yesNo,
  type CellKind,
  type Column,
} from '../csv';

export type BowField = Exclude<keyof BowRecord, 'riserAngleDeg'>;

export interface BowColumn extends Column<BowRecord> {
  readonly field: BowField;
}

const inch = (min: number, max: number) =>
  measure('length', { min: min * MM_PER_INCH, max: max * MM_PER_INCH }, MM_PER_INCH);
const pound = (min: number, max: number) =>
  measure('force', { min: min * N_PER_POUND, max: max * N_PER_POUND }, N_PER_POUND);
const percent = plainNumber({ min: 0, max: 95 }, { factor: 0.01, decimals: 1 });

const MODULE = /^(?:([^=/]{1,6})\/)?([^=/]{1,6})=(\d+(?:[.,]\d+)?)$/;

/** As `position`, with the length in a unit of the shop's screens. */
const positionIn = (shop: ShopUnits): CellKind<ModulePosition> & { readonly unit: string } => {
  const unit = shopUnitFor('length', shop);
  const per = siPerUnit(unit, 'length')!;
  const plain = (value: number) => Number((value / per).toFixed(unit === 'mm' ? 1 : 4));
  const [least, most] = [14, 35].map((inches) => plain(inches * MM_PER_INCH)) as [number, number];
  const example = `E=${plain(27 * MM_PER_INCH)}`;
  return {
    unit,
    says: `label=${unit}, or top label/bottom label=${unit}`,
    schema: position.schema,
    read: (cell) => {
      const match = MODULE.exec(cell);
      if (!match) return bad(`“${cell}” must be a label and a length, for example ${example}`);
      const length = Number(match[3]!.replace(',', '.'));
      if (length < least || length > most)
        return bad(`“${cell}”: the length must be ${least} to ${most} ${unit}`);
      return good({
        label: match[2]!,
        ...(match[1] ? { topLabel: match[1] } : {}),
        drawLengthMm: mm(length * per),
      });
    },
    write: ({ label, topLabel, drawLengthMm }) =>
      `${topLabel ? `${topLabel}/` : ''}${label}=${plain(drawLengthMm)}`,
  };
};

/** "E=27", or "5/E=27" where the top cam's module is marked otherwise than the bottom one's. */
const position: CellKind<ModulePosition> = {
  says: 'label=inches, or top label/bottom label=inches',
  schema: Type.Object({
    label: Type.String(),
    topLabel: Type.Optional(Type.String()),
    drawLengthMm: Type.Number(),
  }),
  read: (cell) => {
    const match = MODULE.exec(cell);
    if (!match) return bad(`“${cell}” must be a label and a length, for example E=27 or 5/E=27`);
    const inches = Number(match[3]!.replace(',', '.'));
    if (inches < 14 || inches > 35) return bad(`“${cell}”: the length must be 14 to 35 in`);
    return good({
      label: match[2]!,
      ...(match[1] ? { topLabel: match[1] } : {}),
      drawLengthMm: mm(inches * MM_PER_INCH),
    });
  },
  write: ({ label, topLabel, drawLengthMm }) =>
    `${topLabel ? `${topLabel}/` : ''}${label}=${Number((drawLengthMm / MM_PER_INCH).toFixed(4))}`,
  inUnits: positionIn,
};

const column = <F extends BowField>(
  header: string,
  field: F,
  name: string,
  kind: CellKind<BowRecord[F]>,
  about: string,
  example: string,
  required = true,
): BowColumn => ({
  header,
  field,
  name,
  about,
  kind: kind as CellKind<unknown>,
  required,
  example,
  get: (bow) => bow[field],
  put: (draft, value) => void (draft[field] = value),
});

// Branded quantities are numbers in a cell.
const as = <T>(kind: CellKind<number>) => kind as unknown as CellKind<T>;
const asNull = <T>(kind: CellKind<number>) => optional(kind) as unknown as CellKind<T>;
const asList = <T>(kind: unknown) => kind as CellKind<T>;

/** Every column of a bow file, in the order it is written. */
export const BOW_COLUMNS: readonly BowColumn[] = [
  column(
    'id',
    'id',
    'Id',
    text(60),
    'Stable name of the row; a row with a known id changes that bow',
    'fjordling-31-r',
  ),
  column('maker', 'maker', 'Maker', text(60), 'Maker', 'Sundhav'),
  column('model', 'model', 'Model', text(60), 'Model', 'Fjordling 31'),
  column('hand', 'hand', 'Hand', oneOf('right', 'left'), 'The hand that draws', 'right'),
  column(
    'cam_system',
    'camSystem',
    'Cam system',
    oneOf('single', 'hybrid', 'camAndAHalf', 'twoCam'),
    'Cam system',
    'twoCam',
  ),
  column(
    'character',
    'character',
    'Draw',
    oneOf('smooth', 'balanced', 'fast'),
    'How the weight runs over the draw',
    'balanced',
  ),
  column(
    'modules',
    'modules',
    'Module positions',
    asList(several(position, 60)),
    'As printed on the modules; empty for a bow of fixed length',
    'A=25 B=25.5 C=26',
  ),
  column(
    'fixed_draw_length_in',
    'fixedDrawLengthMm',
    'Fixed draw length, in',
    asNull(inch(14, 35)),
    'Only for a bow without modules',
    '28',
    false,
  ),
  column(
    'module_cams',
    'moduleCams',
    'Cams with a module',
    asList(several(oneOf('top', 'bottom'), 2)),
    'Which cams carry a module',
    'top bottom',
  ),
  column(
    'min_peak_lb',
    'minPeakN',
    'Lightest, lb',
    as(pound(5, 100)),
    'Peak weight at the limit of turns',
    '40',
  ),
  column(
    'max_peak_lb',
    'maxPeakN',
    'Heaviest, lb',
    as(pound(5, 100)),
    'Peak weight with the bolts fully in',
    '60',
  ),
  column(
    'max_turns',
    'maxTurns',
    'Limit of turns',
    asNull(plainNumber({ min: 0.5, max: 20 })),
    'Turns out from fully in; without it the bow is weighed, never set by turns',
    '8',
  ),
  column(
    'stock_turns',
    'stockTurns',
    'Turns as it comes',
    asNull(plainNumber({ min: 0, max: 20 })),
    'Turns out the bolts stand at in the box',
    '0',
    false,
  ),
  column('let_off_pct', 'letOff', 'Let-off, %', percent, 'As the bow comes', '80'),
  column(
    'let_off_choices_pct',
    'letOffChoices',
    'Let-off choices, %',
    several(percent, 6),
    'What it can be set to, its own among them',
    '75 80',
    false,
  ),
  column(
    'stops',
    'stops',
    'Stops',
    optional(oneOf('limb', 'cable', 'both')),
    'What ends the draw',
    'cable',
    false,
  ),
  column(
    'timed_by',
    'timedBy',
    'Timed by',
    optional(oneOf('stops', 'marks')),
    'Stops that touch together, or marks on the cam',
    'stops',
    false,
  ),
  column(
    'yokes',
    'yokes',
    'Yokes',
    optional(oneOf('none', 'top', 'both')),
    'Cables that split into two legs at an axle: at none, the top one, both',
    'none',
    false,
  ),
  column(
    'brace_height_in',
    'braceHeightMm',
    'Brace height, in',
    as(inch(4, 12)),
    'Throat of the grip to the string',
    '6.5',
  ),
  column(
    'axle_to_axle_in',
    'axleToAxleMm',
    'Axle to axle, in',
    as(inch(18, 50)),
    'Axle to axle',
    '31',
  ),
  column(
    'string_length_in',
    'stringLengthMm',
    'String, in',
    asNull(inch(20, 110)),
    'Length of the string',
    '57.5',
    false,
  ),
  column(
    'cable_lengths_in',
    'cableLengthsMm',
    'Cables, in',
    asList(several(inch(10, 80), 4)),
    'Length of every cable',
    '34.25 34.25',
    false,
  ),
  column(
    'mass_g',
    'massG',
    'Mass, g',
    as(plainNumber({ min: 300, max: 5000 })),
    'Bare bow',
    '1780',
  ),
  column(
    'centre_shot_in',
    'centreShotMm',
    'Centre shot, in',
    asNull(inch(0.3, 1.5)),
    'Riser to the middle of the shaft',
    '13/16',
  ),
  column(
    'rated_speed_fps',
    'ratedSpeedMps',
    'Rated speed, fps',
    as(measure('speed', { min: 30, max: 125 }, MPS_PER_FPS)),
    'At the rated draw length, weight and arrow',
    '318',
  ),
  column(
    'rated_draw_length_in',
    'ratedDrawLengthMm',
    'Rated at, in',
    as(inch(14, 35)),
    'Draw length of the rating',
    '30',
  ),
  column(
    'rated_peak_lb',
    'ratedPeakN',
    'Rated at, lb',
    as(pound(5, 100)),
    'Weight of the rating',
    '70',
  ),
  column(
    'rated_arrow_gr',
    'ratedArrowG',
    'Rated with, gr',
    as(measure('mass', { min: 80 * G_PER_GRAIN, max: 900 * G_PER_GRAIN }, G_PER_GRAIN)),
    'Arrow of the rating',
    '350',
  ),
  column(
    'rest_mounts',
    'restMounts',
    'Rest mounts',
    asList(several(oneOf('plungerBolt', 'dovetail'), 2)),
    'How a rest is held',
    'plungerBolt dovetail',
  ),
  column(
    'sight_mounts',
    'sightMounts',
    'Sight mounts',
    asList(several(oneOf('sidePlate', 'frontRail'), 2)),
    'How a sight is held',
    'sidePlate',
  ),
  column(
    'quiver_mounts',
    'quiverMounts',
    'Quiver mounts',
    asList(several(oneOf('riser', 'sight'), 2)),
    'Where a quiver is held',
    'riser',
  ),
  column(
    'riser_width_in',
    'riserWidthMm',
    'Riser width, in',
    asNull(inch(0.3, 4)),
    'Across the riser at the rest',
    '1 1/8',
    false,
  ),
  column(
    'cable_gap_in',
    'cableGapMm',
    'Cables from the shaft, in',
    asNull(inch(0.2, 4)),
    'Middle of the shaft to the nearest cable',
    '1 1/4',
    false,
  ),
  column(
    'shelf_in',
    'shelfMm',
    'Shelf under the hole, in',
    asNull(inch(0.2, 4)),
    'Plunger hole down to the shelf',
    '7/8',
    false,
  ),
  column(
    'limb_locks',
    'limbLocks',
    'Lock screws at the limbs',
    optional(yesNo),
    'Screws that lock the limb bolts once the weight is final',
    'yes',
    false,
  ),
  column(
    'cord_way',
    'cordWay',
    'Way for the cord',
    optional(yesNo),
    'The rest’s cord can be led through the riser',
    'no',
    false,
  ),
  column(
    'rear_bushing',
    'rearBushing',
    'Bushing at the back',
    optional(yesNo),
    'A thread for a bar at the back of the riser',
    'yes',
    false,
  ),
  column(
    'string_stop',
    'stringStop',
    'String stop',
    optional(oneOf('none', 'hole', 'fitted')),
    'Whether the riser takes one or has one',
    'hole',
    false,
  ),
  column('price_eur', 'priceCents', 'Price, €', money(20_000), 'Price of the bare bow', '899'),
  column(
    'stock',
    'stock',
    'In stock',
    plainNumber({ min: 0, max: 999 }, { whole: true }),
    'How many stand in the shop',
    '2',
  ),
  column(
    'delivery_days',
    'deliveryDays',
    'Delivery, days',
    plainNumber({ min: 0, max: 400 }, { whole: true }),
    'Days from order to shop',
    '9',
  ),
  column(
    'supplier',
    'supplier',
    'Supplier',
    textOrEmpty(60),
    'Where it is ordered',
    'Nordufer Handel',
    false,
  ),
];
