import type { TargetParts } from '../value-entry';

/** A figure of the maker’s, held against the bow as it came. */
export const asMade = (si: number, band: number): TargetParts => ({
  si,
  low: si - band,
  high: si + band,
  reason:
    'The maker’s figure; further off something is wrong with the bow: it goes back before work is in it',
  source: 'bow',
});
