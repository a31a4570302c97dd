import type { Gram } from '../../units';
import { oneOf } from './attr';
import { plain, type ArcherFacts, type Does } from './part';

/** Threads of bars and weights, as every shop's drawer has them. */
export const thread = oneOf('5/16-24', '1/4-20');

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
