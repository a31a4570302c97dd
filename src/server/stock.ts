import type { BowRecord } from '@/core/bow';
import type { CatalogueItem } from '@/core/kit';
import { db } from '@/data/db';
import * as stock from '@/data/stock';

export const allBows = (): BowRecord[] => stock.allBows(db());
export const allItems = (): CatalogueItem[] => stock.allItems(db());
