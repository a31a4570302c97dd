import type { Archer } from '../job';

/** How much is held of a person. */
export interface HeldOfArcher {
  readonly readings: number;
  readonly entries: number;
  readonly sheets: number;
  readonly quotes: number;
  readonly payments: number;
  readonly photos: number;
  /** Shots aimed with a sensor. */
  readonly traces: number;
}

/** What the shop knows of one archer, as a page shows it. */
export interface KnownArcher {
  readonly archer: Archer;
  readonly held: HeldOfArcher;
  readonly jobs: readonly {
    readonly id: string;
    readonly number: number;
    readonly openedAt: string;
    readonly handedOverAt: string | null;
    /** UTC instant it was closed as having come to nothing; null where it was not. */
    readonly closedAt: string | null;
    readonly bow: string | null;
    readonly notes: string;
    readonly alreadyOwn: string;
  }[];
  /** UTC instant; null while the shop knows who they are. */
  readonly erasedAt: string | null;
}
