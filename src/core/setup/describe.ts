import { write, type QuantityName, type ShopUnits } from '../units';
import type { Target } from './value-entry';
import { setupValue, type Reading, type SetupKey, type SetupValue } from './registry';

const isQuantity = (kind: SetupValue['kind']): kind is QuantityName =>
  !['check', 'tear', 'group', 'choice', 'mark', 'drift', 'text'].includes(kind);

/** A value of the registry in the shop's units; millimetres where the trade speaks them. */
export function writeValue(key: SetupKey, si: number, shop: ShopUnits, signed = false): string {
  const { kind, bareUnit, tolerance, spokenAs } = setupValue(key);
  if (!isQuantity(kind)) throw new Error(`${key} is not written as a number`);
  if (bareUnit === 'mm')
    return `${signed && si > 0 ? '+' : ''}${si.toFixed(1).replace('-', '−')} mm`;
  if (bareUnit === 'g') return `${Math.round(si)} g`;
  if (spokenAs === 'mark') return `mark ${Math.round(si)}`;
  if (spokenAs === 'disc') return Math.round(si) === 1 ? '1 disc' : `${Math.round(si)} discs`;
  if (spokenAs === 'twist') return write(si, kind, shop, { signed: true }).replace('turn', 'twist');
  // What is set to under a millimetre is read to a tenth of one.
  const fine = kind === 'length' && shop.length === 'mm' && tolerance < 1;
  return write(si, kind, shop, { signed, ...(fine ? { decimals: 1 } : {}) });
}

/** A tear in words, seen from the archer: where the nock went. */
export function tearWords(rightMm: number, upMm: number): string {
  if (Math.hypot(rightMm, upMm) < 0.5) return 'one hole';
  const side =
    Math.abs(rightMm) < 0.5
      ? ''
      : `${Math.abs(rightMm).toFixed(0)} mm ${rightMm > 0 ? 'right' : 'left'}`;
  const height =
    Math.abs(upMm) < 0.5 ? '' : `${Math.abs(upMm).toFixed(0)} mm ${upMm > 0 ? 'high' : 'low'}`;
  return `nock ${[height, side].filter(Boolean).join(', ')}`;
}

/** Where bare shafts hit from the fletched ones. */
function bareWords(rightMm: number, upMm: number): string {
  const words = tearWords(rightMm, upMm);
  return words === 'one hole' ? 'with the fletched' : words.replace(/^nock /, '');
}

/** A drift over the distance, in words. */
export function driftWords(mmPerM: number): string {
  if (Math.abs(mmPerM) < 0.05) return 'straight down the line';
  return `${Math.abs(mmPerM).toFixed(1)} mm a metre to the ${mmPerM > 0 ? 'right' : 'left'}`;
}

/** The reading as screens and sheet show it. */
export function readingText(reading: Reading, shop: ShopUnits): string {
  const value = setupValue(reading.key);
  switch (value.kind) {
    case 'check':
      return 'done';
    case 'text':
      return reading.choice ?? reading.entered;
    case 'choice':
      return (
        value.choices?.find((choice) => choice.id === reading.choice)?.name ??
        String(reading.choice)
      );
    case 'tear':
      return reading.key === 'bareShaft'
        ? bareWords(reading.si ?? 0, reading.si2 ?? 0)
        : tearWords(reading.si ?? 0, reading.si2 ?? 0);
    case 'mark':
      return `${write(reading.si ?? 0, 'distance', shop)} at ${(reading.si2 ?? 0).toFixed(1)} mm`;
    case 'drift':
      return driftWords(reading.si ?? 0);
    case 'group':
      return `${write(reading.si ?? 0, 'distance', shop)} confirmed`;
    default:
      return reading.si === null ? reading.entered : writeValue(reading.key, reading.si, shop);
  }
}

/** The wanted band, its unit said once: "27 3/8 to 27 5/8 in", "under 6 mm". */
export function targetText(key: SetupKey, target: Target, shop: ShopUnits): string {
  if (setupValue(key).kind === 'tear') return `under ${target.high.toFixed(0)} mm`;
  const [low, high] = [target.low, target.high].map((si) => writeValue(key, si, shop));
  const unit = /[^\d\s]*$/.exec(high!)![0];
  const bare = unit !== '' && low!.endsWith(unit) ? low!.slice(0, -unit.length).trimEnd() : low!;
  return bare === high!.slice(0, -unit.length).trimEnd() ? high! : `${bare} to ${high}`;
}

/**
 * What to do about a value that is out: "raise it 1 mm", by how far it stands from what is wanted.
 *
 * @returns the wanted band where nothing more can be said.
 */
export function mendText(key: SetupKey, reading: Reading, target: Target, shop: ShopUnits): string {
  const { kind, mend } = setupValue(key);
  if (kind === 'tear') return 'move one thing as the lane says, then shoot again';
  if (!isQuantity(kind) || reading.si === null) return `wanted ${targetText(key, target, shop)}`;
  const short = target.si - reading.si;
  if (kind === 'angle')
    return `turn it ${writeValue(key, Math.abs(short), shop)} ${short > 0 ? 'up' : 'down'}`;
  const [more, less] = mend ?? ['add', 'take off'];
  const amount = /^module/.test(key) ? target.si : Math.abs(short);
  return `${short > 0 ? more : less} ${writeValue(key, amount, shop).replace(/^\+/, '')}`;
}
