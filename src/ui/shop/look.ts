import type { RowChange } from '@/contracts/csv';

/** What a list put aside would change; see the server's ImportLook. */
export interface Look {
  readonly importId: string;
  readonly added: number;
  readonly changed: number;
  readonly same: number;
  readonly jumps: readonly RowChange[];
  readonly jumpCount: number;
  readonly rows: readonly RowChange[];
  readonly rowCount: number;
}

/** With the next page of its rows; null where they could not be fetched. */
export async function moreOfLook(look: Look): Promise<Look | null> {
  const url = `/api/v1/shop/parts/imports/${look.importId}?offset=${look.rows.length}`;
  const response = await fetch(url).catch(() => null);
  if (!response?.ok) return null;
  const { rows } = (await response.json()) as Look;
  return { ...look, rows: [...look.rows, ...rows] };
}
