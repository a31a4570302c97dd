import { Type } from '@sinclair/typebox';
import {
  BAR_SPOTS,
  type BalanceSource,
  type BarSpot,
  type BarThread,
  type Place,
} from '@/core/bow';
import { mm, type KgMm2 } from '@/core/units';
import { bad, good, oneOf, optional, plainNumber, several, type CellKind } from '../csv';
import { column, type BowColumn } from './column';

/** Nothing of a bow is further from its grip, mm. */
const FURTHEST_MM = 800;
const PLACE = /^(-?\d+(?:[.,]\d+)?)\/(-?\d+(?:[.,]\d+)?)\/(-?\d+(?:[.,]\d+)?)$/;
const SAYS = 'forward/up/right of the grip’s throat in mm';
const along = { minimum: -FURTHEST_MM, maximum: FURTHEST_MM };
const placeSchema = Type.Object({
  forwardMm: Type.Number(along),
  upMm: Type.Number(along),
  rightMm: Type.Number(along),
});

const number = (text: string) => Number(text.replace(',', '.'));
const plain = (value: number) => String(Number(value.toFixed(1)));

/** "38/-12/0": forward, up, right. */
const place: CellKind<Place> = {
  says: SAYS,
  schema: placeSchema,
  read: (cell) => {
    // A minus as print sets it is one too.
    const match = PLACE.exec(cell.replaceAll('−', '-'));
    if (!match) return bad(`“${cell}” must be ${SAYS}, for example 38/-12/0`);
    const [forward, up, right] = match.slice(1).map(number) as [number, number, number];
    if ([forward, up, right].some((value) => Math.abs(value) > FURTHEST_MM))
      return bad(`“${cell}”: nothing of a bow is more than ${FURTHEST_MM} mm from its grip`);
    return good({ forwardMm: mm(forward), upMm: mm(up), rightMm: mm(right) });
  },
  write: ({ forwardMm, upMm, rightMm }) => [forwardMm, upMm, rightMm].map(plain).join('/'),
};

const spots = Object.keys(BAR_SPOTS) as BarSpot[];

/** "front=44/-95/0". */
const thread: CellKind<BarThread> = {
  says: `${spots.join(', ')}, then = and ${SAYS}`,
  schema: Type.Object({ spot: oneOf(...spots).schema, at: placeSchema }),
  read: (cell) => {
    const [name = '', where, ...rest] = cell.split('=');
    const spot = spots.find((one) => one.toLowerCase() === name.toLowerCase());
    if (!spot || where === undefined || rest.length > 0)
      return bad(`“${cell}” must be ${spots.join(', ')} and a place, for example front=44/-95/0`);
    const at = place.read(where);
    return at.ok ? good({ spot, at: at.value }) : at;
  },
  write: ({ spot, at }) => `${spot}=${place.write(at)}`,
};

/** kg·cm² are 100 kg·mm². */
const inertia = plainNumber({ min: 1, max: 100_000 }, { factor: 100, decimals: 2 });
const orNone = optional(inertia) as unknown as CellKind<KgMm2 | null>;

/** Where a bow’s mass sits, how hard it is to turn, and where bars stand in it. */
export const BALANCE_COLUMNS: readonly BowColumn[] = [
  column(
    'bar_threads_mm',
    'barThreads',
    'Threads for bars, mm',
    several(thread, 8),
    'Every thread or slot a bar can stand in, with its place: forward/up/right of the grip’s throat',
    'front=44/-95/0 rear=-14/-150/0',
    false,
  ),
  column(
    'centre_mm',
    'centre',
    'Centre of mass, mm',
    optional(place),
    'Of the bare bow: forward/up/right of the grip’s throat',
    '26/8/0',
    false,
  ),
  column(
    'yaw_inertia_kgcm2',
    'yawInertiaKgMm2',
    'Yaw inertia, kg cm²',
    orNone,
    'Of the bare bow about the grip’s throat, turning left and right',
    '58',
    false,
  ),
  column(
    'pitch_inertia_kgcm2',
    'pitchInertiaKgMm2',
    'Pitch inertia, kg cm²',
    orNone,
    'Of the bare bow about the grip’s throat, turning up and down',
    '780',
    false,
  ),
  column(
    'balance_from',
    'balanceFrom',
    'Balance',
    optional(oneOf<BalanceSource>('measured', 'given')),
    'Whether centre and inertias were measured here or given by the maker',
    'given',
    false,
  ),
];
