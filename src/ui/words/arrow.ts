import { pages } from './pages';

/** Words of the arrow from its parts. */
export const arrowWords = {
  title: 'The arrow',
  open: 'Build the arrow from its parts',
  back: 'Ready sets',
  builds: 'Builds',
  build: (name: string) => `Build ${name}`,
  another: 'Another build',
  drop: (name: string) => `Drop build ${name}`,
  noParts: 'The shop has no shafts, nocks, vanes, inserts and points that go together yet.',
  toParts: pages.parts,
  partGone: 'A part of this build is not in the catalogue any more: choose another.',
  gone: 'not there any more',
  mass: 'One arrow',
  perPound: (ratio: string) => ratio,
  perPoundLight: (ratio: string) => `${ratio}: on the light side`,
  foc: 'Front of centre',
  spine: 'Spine needed',
  speed: 'Speed, predicted',
  energy: (joule: string) => `${joule} J`,
  joule: (joule: string) => `${joule} J`,
  noBow: 'needs a bow and a weight',
  asWeighed: (weight: string, verdict: string, perPound: string) =>
    `as weighed, ${weight}: ${verdict}, ${perPound}`,
  verdicts: { weak: 'weak', good: 'good', stiff: 'stiff' },
  ruler: (needed: string, from: string, to: string) =>
    `Spines of the shop: ${needed} is needed, ${from} to ${to} is good`,
  vanes: 'Vanes',
  count: 'Arrows',
  length: 'Shaft, cut',
  safe: (length: string) => `${length} at least`,
  rest: 'Rest ahead of the hole',
  restHint: 'behind it with a minus',
  wholeBetween: (min: number, max: number) => `A whole number from ${min} to ${max}.`,
  take: 'Take this arrow',
  now: (label: string) => `Chosen now: ${label}`,
  changes: 'What each change does',
  changesKey: 'Mass, front of centre, spine needed, speed.',
  compare: 'Side by side',
  compareHeads: ['Build', 'Shaft', 'Mass', 'Front', 'Spine', 'Speed', 'Energy', 'Set'],
  set: 'The finished set on the scale',
  masses: 'Masses, one after another',
  massesHint: (unit: 'g' | 'gr') => (unit === 'gr' ? '380.2 379.8 381' : '24.6 24.5 24.7'),
  addMasses: 'Add them',
  fromScale: 'Read the scale',
  scaleSilent: 'The scale sent no mass. Is it on, and at nought? Nothing was changed.',
  scaleNeedsArrow: 'Choose or build an arrow first: the scale is read for a set of it.',
  stopScale: 'Stop the scale',
  clearMasses: 'Weigh anew',
  weighing: (n: number) =>
    `Lay one arrow on after the other … ${n} weighed. The scale is a stand-in.`,
  oneMore: 'Weigh another: one arrow has no spread.',
  allAlike: (n: number, spread: string) => `All ${n} belong together, ${spread} apart.`,
  leaveOut: (out: readonly number[], kept: number, spread: string) =>
    `Leave out ${out.length === 1 ? 'arrow' : 'arrows'} ${out.join(', ')}; the other ${kept} lie ${spread} apart.`,
  spread: (mean: string, all: string, tolerance: string) =>
    `Mean ${mean}, all of them ${all} apart; within ${tolerance} they count as alike, a shop rule.`,
  out: 'leave out',
  because: {
    safe: (overhang: string, length: string) =>
      `The shaft ends ${overhang} past the rest at full draw, a shop setting: ${length} at least.`,
    noLength: 'Without a draw length no length can be called safe.',
    spine:
      'The spine needed is a shop rule from weight, length and point; charts differ by half a class.',
    balance: 'Mass and balance are those of the parts as points and rods along the shaft.',
    speed: 'The speed rests on the bow’s rating until a chronograph has spoken.',
  },
  watch: {
    light: (least: string) => `Under ${least} of peak weight an arrow is refused like a dry fire.`,
    cut: 'Cut with a saw made for it, dust and splinters kept from eyes and lungs; flex and look at every shaft before it is shot.',
    stock: (shaft: string, n: number) =>
      `Only ${n} of ${shaft} lie here; the rest has to be ordered.`,
  },
} as const;
