import { neededSpineIn, spineVerdict, type SpineVerdict } from '../../arrow';
import type { BowRecord } from '../../bow';
import type { Newton } from '../../units';
import type { CatalogueItemOf } from '../types';

/** What the spine of a ready set is worth on a bow of this weight, and what would be needed. */
export function spineAt(
  { attrs }: CatalogueItemOf<'arrows'>,
  { character }: Pick<BowRecord, 'character'>,
  peakN: Newton,
): { readonly verdict: SpineVerdict; readonly staticSpineIn: number; readonly neededIn: number } {
  const { staticSpineIn, shaftLengthMm, pointAndInsertG } = attrs;
  const neededIn = neededSpineIn({ peakN, character, shaftLengthMm, pointAndInsertG });
  return { verdict: spineVerdict(staticSpineIn, neededIn), staticSpineIn, neededIn };
}
