/** How many requests one may send: so many at once, and so many a second for as long as they like. */
export interface Allowance {
  readonly burst: number;
  readonly perSecond: number;
}

interface Bucket {
  /** Requests left, as of `at`. */
  left: number;
  at: number;
}

/** Names kept at most; those that have their whole allowance again are forgotten first. */
const MOST_NAMES = 5000;

/** Counts requests by name (an address, a tablet): each has an allowance that fills up again with time. */
export class Limiter {
  private readonly buckets = new Map<string, Bucket>();

  /** @param nowMs milliseconds of a clock that never goes back. */
  constructor(
    private readonly allowance: Allowance,
    private readonly nowMs: () => number,
  ) {}

  /** Takes one request of a name; 0 when it may pass, else the whole seconds until the next may. */
  take(name: string): number {
    const { burst, perSecond } = this.allowance;
    const now = this.nowMs();
    const bucket = this.buckets.get(name) ?? { left: burst, at: now };
    bucket.left = Math.min(burst, bucket.left + ((now - bucket.at) / 1000) * perSecond);
    bucket.at = now;
    // Put last: the first ones are those not heard of for longest.
    this.buckets.delete(name);
    this.buckets.set(name, bucket);
    if (this.buckets.size > MOST_NAMES) this.forget();
    // Ten tenths are one, whatever their sum is in the machine.
    if (bucket.left < 1 - 1e-9) return Math.max(1, Math.ceil((1 - bucket.left) / perSecond));
    bucket.left--;
    return 0;
  }

  get size(): number {
    return this.buckets.size;
  }

  private forget(): void {
    for (const name of this.buckets.keys()) {
      if (this.buckets.size <= MOST_NAMES / 2) return;
      this.buckets.delete(name);
    }
  }
}
