import type { JobEvent } from '@/core/job';

/** A reading somebody left out with a reason. */
export interface LeftOut {
  /** The row that left it out. */
  readonly by: number;
  readonly seq: number;
  readonly key: string;
  readonly entered: string;
  readonly reason: string;
  readonly who: string;
  readonly at: string;
}

/** A page of everything entered on a job, newest first. */
export interface HistoryPage {
  readonly events: readonly JobEvent[];
  /** Readings left out, newest first; only on the first page. */
  readonly leftOut: readonly LeftOut[];
  readonly more: boolean;
}

/** What taking an entry back, or bringing it again, would change. */
export interface HistoryPreview {
  readonly summary: string;
  /** What would have to be done again and does not have to now, by name. */
  readonly again: readonly string[];
  /** What would be open again. */
  readonly open: readonly string[];
  /** Why it cannot be done; null where it can. */
  readonly why: string | null;
}
