import { read, TRADE_UNITS, type ShopUnits } from '../../units';
/** How a screw is held. */
export interface Fasten {
  /** What it holds, as the build sheet lists it. */
  readonly what: string;
  /** Hex key as its size is stamped; null for fingers, pliers or a spanner. */
  readonly hex: string | null;
  readonly hold: 'snug' | 'tight' | 'fingers';
  /** Thread locker: none, or the kind that comes off again. */
  readonly locker: 'none' | 'removable';
  /** A thread or part of plastic strips before the hand notices. */
  readonly plastic?: true;
}

const HOLD = { snug: 'snug', tight: 'tight', fingers: 'by hand' } as const;

/** The key as it is marked; a metric shop reads its size in millimetres first. */
function keyName(hex: string, shop: ShopUnits): string {
  if (shop.length !== 'mm') return hex;
  const size = read(hex, { quantity: 'length', shop: TRADE_UNITS });
  return size.ok ? `${size.si.toFixed(1)} mm (${hex.replace(' in', '″')})` : hex;
}

/**
 * "5/32 in hex key · tight · no thread locker". Sizes are the usual ones (shop rule): the part's
 * own leaflet comes first.
 */
export function fastenText(
  { hex, hold, locker, plastic }: Fasten,
  shop: ShopUnits = TRADE_UNITS,
): string {
  return [
    hex === null ? '' : `${keyName(hex, shop)} hex key`,
    HOLD[hold],
    locker === 'none' ? 'no thread locker' : 'thread locker that comes off again',
    plastic ? 'plastic: gently' : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

const of = (
  what: string,
  hex: string | null,
  hold: Fasten['hold'],
  locker: Fasten['locker'] = 'none',
): Fasten => ({ what, hex, hold, locker });

/** Usual screws of the trade, by what they hold. Shop rule. */
export const FASTEN = {
  module: of('modules and stops', '3/32 in', 'snug', 'removable'),
  limbBolt: of('limb bolts', '3/16 in', 'snug'),
  rest: of('rest', '5/32 in', 'tight'),
  restSmall: of('small screws of the rest', '2 mm', 'snug'),
  launcher: of('launcher', '1/16 in', 'snug'),
  sight: of('sight', '5/32 in', 'tight'),
  sightSmall: of('small screws of the sight', '3/32 in', 'snug'),
  pin: { what: 'pins', hex: '0.050 in', hold: 'snug', locker: 'none', plastic: true },
  quiver: of('quiver', '5/32 in', 'snug'),
  quiverClip: {
    what: 'quiver’s clips',
    hex: '1/8 in',
    hold: 'snug',
    locker: 'none',
    plastic: true,
  },
  bar: of('bars', null, 'fingers'),
  guard: of('cable guard', '1/8 in', 'snug'),
  stringStop: of('string stop', '1/8 in', 'snug', 'removable'),
} as const satisfies Record<string, Fasten>;
