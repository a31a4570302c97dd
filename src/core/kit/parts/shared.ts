import { mm, type Gram } from '../../units';
import { attr, count, lengthMm, oneOf, orNone } from './attr';
import { plain, type ArcherFacts, type Does } from './part';

/** Threads of bars and weights, as every shop's drawer has them. */
export const thread = oneOf('5/16-24', '1/4-20');

/** What may be stacked at a bar’s free end; empty when not known. */
export const mostDiscs = attr(
  orNone(count(0, 20)),
  'Largest stack',
  'Discs its end takes; empty when not known',
  6,
);

const place = orNone(lengthMm(-400, 600));

/** Where a part’s mass sits from the throat of the grip, on a right-handed bow; empty when not known. */
export const massPlace = (ahead: number, up: number, out: number) => ({
  massAheadMm: attr(place, 'Its mass ahead', 'Middle of its mass ahead of the grip', mm(ahead)),
  massUpMm: attr(place, 'Its mass up', 'Middle of its mass above the grip', mm(up)),
  massOutMm: attr(place, 'Its mass out', 'Middle of its mass beside the riser’s middle', mm(out)),
});

/** Mass past the grip that takes half its worth from a bar a learner holds at arm's length, g. Shop rule. */
const HEAVY_TO_LEARN_G = 400;

/** A bar or weight is worth less to whoever still learns to hold the bow. */
export const lightToLearn = (
  { massG }: { readonly massG: Gram },
  { learner }: ArcherFacts,
): Does =>
  learner && massG > 0.5 * HEAVY_TO_LEARN_G
    ? { factor: 1 / (1 + massG / HEAVY_TO_LEARN_G), reasons: ['heavy to hold while learning'] }
    : plain;

export const spineText = (inches: number) => `spine ${inches.toFixed(3)}`;
export const shaftText = (mm: number) => `shaft ${mm.toFixed(1)} mm`;
