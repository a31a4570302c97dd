import type { PartKind } from '@/core/kit';
import { ARROW_PARTS_COLUMNS } from './arrow-parts';
import type { AttrColumn } from './attr';
import { BOW_PARTS } from './bow-parts';
import { EXTRA_PARTS } from './extra-parts';

/** Every attribute of every kind of part. */
export const ATTR_COLUMNS: Record<PartKind, readonly AttrColumn[]> = {
  ...BOW_PARTS,
  ...EXTRA_PARTS,
  ...ARROW_PARTS_COLUMNS,
};
