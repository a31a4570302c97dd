import { FRACTION_SHAPE } from '@/core/units';

/**
 * Every colour, face and size of the interface, once. The theme makes CSS variables of them
 * (`--ink`, `--size-normal`), which the style sheets beside the components read.
 */

/** Ink on warm paper. */
export const paper = {
  paper: '#f5f1e8',
  'paper-deep': '#ece6d8',
  sheet: '#fcfaf5',
  rule: '#cfc6b4',
  'rule-soft': '#e2dbcb',
  ink: '#1e2a2f',
  'ink-soft': '#55605f',
  petrol: '#0e5a60',
  'petrol-tint': '#d5e5e3',
  amber: '#8a5200',
  'amber-mark': '#b86e00',
  'amber-tint': '#f7e6c6',
  plum: '#74355c',
  'plum-tint': '#efdde8',
  brick: '#a33a22',
  'brick-tint': '#f5dcd3',
  moss: '#3c6a3a',
  'moss-tint': '#dde8d6',
  'on-strong': '#fcfaf5',
  veil: 'rgba(30, 42, 47, 0.35)',
} as const;

export type Colour = keyof typeof paper;

/** The lane is dark; the screen must not blind the archer. */
export const dim: Readonly<Record<Colour, string>> = {
  paper: '#14191b',
  'paper-deep': '#0e1214',
  sheet: '#1b2225',
  rule: '#46504f',
  'rule-soft': '#2c3536',
  ink: '#ece6d8',
  'ink-soft': '#a9b0a8',
  petrol: '#7fc4c6',
  'petrol-tint': '#1d3a3c',
  amber: '#eab65c',
  'amber-mark': '#d99a34',
  'amber-tint': '#3b2d12',
  plum: '#d79ac0',
  'plum-tint': '#3a2233',
  brick: '#ee917a',
  'brick-tint': '#42211a',
  moss: '#9bc795',
  'moss-tint': '#20331f',
  'on-strong': '#14191b',
  veil: 'rgba(30, 42, 47, 0.35)',
};

export const fonts = {
  text: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
  figure: "'Atkinson Hyperlegible Mono Variable', ui-monospace, monospace",
} as const;

/** The one form of a fraction, each length in em of the piece it is for. */
const { digits, raise, drop, kern, gap, unitGap } = FRACTION_SHAPE;
export const fraction = {
  digits: `${digits}em`,
  raise: `${raise / digits}em`,
  drop: `${-drop / digits}em`,
  kern: `${-kern}em`,
  // As the size of a space: a face's space is a quarter of an em.
  gap: `${gap * 4}em`,
  'unit-gap': `${unitGap * 4}em`,
} as const;

/** The eight sizes of type, in px; what is worked on is set in the last two. */
export const sizes = {
  fine: 14,
  small: 15,
  normal: 16,
  large: 18,
  title: 21,
  head: 26,
  work: 34,
  huge: 44,
} as const;

/** Bright or dim: the attribute of the page that says which, and where a tablet keeps its choice. */
export const SCHEME = {
  selector: '[data-scheme="%s"]',
  storageKey: 'waffenrad.scheme',
} as const;
