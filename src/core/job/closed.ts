/** A ticket that came to nothing: since when, by whom, and why. */
export interface Closed {
  /** UTC instant. */
  readonly at: string;
  readonly who: string;
  readonly why: string;
}
