import { gram, type Gram } from '@/core/units';

/** One line a grain scale sends; see docs/formats/grain-scale.md. */
type ScaleLine =
  | { readonly kind: 'scale'; readonly version: number }
  /** An arrow that lies still on it. */
  | { readonly kind: 'mass'; readonly massG: Gram }
  /** Still moving, or nothing on it: no reading. */
  | { readonly kind: 'moving' }
  | { readonly kind: 'note' }
  | { readonly kind: 'junk'; readonly why: string };

/** No arrow is lighter or heavier. */
const LEAST_G = 3;
const MOST_G = 80;

/** Reads one line as sent; whatever it is not becomes `junk` with the reason. */
export function readScaleLine(line: string): ScaleLine {
  const text = line.trim();
  if (text === '' || text.startsWith('#')) return { kind: 'note' };
  if (text.length > 80) return { kind: 'junk', why: 'is longer than 80 characters' };
  if (text === 'empty') return { kind: 'moving' };
  const scale = /^scale (\d+)$/.exec(text);
  if (scale) return { kind: 'scale', version: Number(scale[1]) };
  const match = /^mass (\d+(?:\.\d+)?) (still|moving)$/.exec(text);
  if (!match) return { kind: 'junk', why: 'is not scale, mass or empty' };
  const mass = Number(match[1]);
  if (mass < LEAST_G || mass > MOST_G)
    return { kind: 'junk', why: `lies outside ${LEAST_G} to ${MOST_G} g` };
  return match[2] === 'still' ? { kind: 'mass', massG: gram(mass) } : { kind: 'moving' };
}

export const writeScaleMass = (massG: number, still: boolean) =>
  `mass ${massG.toFixed(2)} ${still ? 'still' : 'moving'}`;

/**
 * Reads masses as typed or pasted: one arrow after another, with blanks, commas or lines between, in
 * grams or, with `gr` behind any of them, all in grains.
 */
export function readMasses(
  text: string,
  bare: 'g' | 'gr',
):
  | { readonly ok: true; readonly massesG: readonly number[] }
  | { readonly ok: false; readonly message: string } {
  const unit = /gr\b/i.test(text) ? 'gr' : /\bg\b|\dg\b/i.test(text) ? 'g' : bare;
  const words = text
    .replace(/gr\b|g\b/gi, ' ')
    .split(/[\s;]+|,(?!\d)/)
    .filter(Boolean);
  const massesG: number[] = [];
  for (const word of words) {
    const value = /^\d+([.,]\d+)?$/.test(word) ? Number(word.replace(',', '.')) : Number.NaN;
    const mass = unit === 'gr' ? value * 0.06479891 : value;
    if (!Number.isFinite(mass)) return { ok: false, message: `“${word}” is not a mass.` };
    if (mass < LEAST_G || mass > MOST_G)
      return {
        ok: false,
        message: `“${word}” ${unit} is no arrow’s mass: ${LEAST_G} to ${MOST_G} g is possible.`,
      };
    massesG.push(mass);
  }
  if (massesG.length > 144) return { ok: false, message: 'At most 144 arrows.' };
  return { ok: true, massesG };
}
