import type { BowRecord } from '../bow';
import type { CatalogueItem } from '../kit';
import {
  bareBow,
  barsInStock,
  learned,
  mountedBars,
  partsOnBow,
  quiverNow,
  withParts,
  type BarQuestion,
  type BarsInStock,
  type BowState,
} from '../steady';
import { NO_BARS } from '../balance';
import type { ReadOptions, ShopUnits } from '../units';
import type { JobDerived } from './derive';
import { readOptionsFor } from './read-options';
import type { JobSnapshot } from './types';

/** How a lean is read: by the limits of its hang. */
export const leanOptions = (
  key: 'hangAxle' | 'hangThread' | 'hangThird' | 'hangBehind',
  shop: ShopUnits,
): ReadOptions => ({
  ...readOptionsFor(key, shop, null)!,
  what: 'lean',
});

/** Where nobody named what the archer can carry, g. Shop rule. */
const USUAL_MASS_LIMIT_G = 3600;

/** The bow of a job as it is balanced: what is known of it, what is mounted, what was learned. */
export function jobBalance(snapshot: JobSnapshot, { kit, history }: JobDerived, bow: BowRecord) {
  const bare = bareBow(history, bow);
  const mounted = mountedBars(history);
  const hasQuiver = kit.quiver !== undefined;
  const quiver = quiverNow(history, hasQuiver);
  const at = (state: BowState) => {
    const on = partsOnBow({ bow, kit, history }, state);
    return { ...on, props: withParts(bare, on.parts) };
  };
  return {
    bare,
    mounted,
    hasQuiver,
    quiver,
    at,
    /** As it stands: with the bars that are noted, the quiver as it was shot. */
    now: at({ bars: mounted ?? NO_BARS, quiver, sightOut: false }),
    neutral: learned(history, bow),
    massLimitG: snapshot.job.kitWishes.massLimitG ?? USUAL_MASS_LIMIT_G,
  };
}

/** What the bars of a job are chosen from. */
export const jobBarStock = (
  { job }: JobSnapshot,
  { kit }: JobDerived,
  items: readonly CatalogueItem[],
): BarsInStock => barsInStock(items, kit, job.kitWishes.ownBars);

/** What bars are looked for, as the bow is with its quiver as it is shot. */
export function barQuestion(
  snapshot: JobSnapshot,
  derived: JobDerived,
  bow: BowRecord,
  stock: BarsInStock,
): BarQuestion {
  const { at, quiver, neutral, massLimitG } = jobBalance(snapshot, derived, bow);
  const { props } = at({ bars: NO_BARS, quiver, sightOut: false });
  const { massG, centre, yawInertiaKgMm2, pitchInertiaKgMm2 } = props;
  const { neutralRollNmm, neutralPitchNmm } = neutral;
  return {
    bow,
    bare: { massG, centre, yawInertiaKgMm2, pitchInertiaKgMm2 },
    stock,
    neutral: { neutralRollNmm, neutralPitchNmm },
    massLimitG,
    lengthLimitMm: snapshot.job.kitWishes.barLimitMm,
    usual: {
      frontMm: snapshot.shop.kit.usualFrontBarMm,
      rearMm: snapshot.shop.kit.usualRearBarMm,
    },
  };
}
