import { db } from '@/data/db';
import { erasedCount } from '@/data/erase';

/** How many people were erased here. By itself: every page asks, and needs nothing else of their data. */
export const erasedArchers = (): number => erasedCount(db());
