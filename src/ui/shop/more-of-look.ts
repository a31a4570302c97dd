import type { ImportLook } from '@/contracts/csv';
import { askShop } from '../keep/ask-shop';

/** With the next page of its rows; null where they could not be fetched. */
export async function moreOfLook(look: ImportLook): Promise<ImportLook | null> {
  const url = `/api/v1/shop/parts/imports/${look.importId}?offset=${look.rows.length}`;
  const response = await askShop(url).catch(() => null);
  if (!response?.ok) return null;
  const { rows } = (await response.json()) as ImportLook;
  return { ...look, rows: [...look.rows, ...rows] };
}
