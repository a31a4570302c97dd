/** One line of what is on its way, or has to be ordered. */
export interface OrderRow {
  /** Of an order for the shelf; null for a job's. */
  readonly orderId: number | null;
  /** Null for the shelf. */
  readonly jobId: string | null;
  readonly version: number | null;
  /** Ticket it is, or was, ordered for. */
  readonly number: number;
  /** Empty for the shelf. */
  readonly archer: string;
  readonly promisedDay: string | null;
  /** A place of the kit, or "bow". */
  readonly slot: string;
  readonly itemId: string | null;
  readonly label: string;
  readonly count: number;
  readonly supplier: string;
  readonly arrivesDay: string;
  readonly orderedAt: string | null;
  readonly arrivedAt: string | null;
}
