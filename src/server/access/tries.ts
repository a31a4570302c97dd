import { waitAfter } from '@/core/people';
import type { Db } from '@/data/db';
import { forgetTries, putWrongTries, wrongTries } from '@/data/tablets';
import { now } from '../clock';
import { Problem } from '../problem';

const waits = (seconds: number) =>
  new Problem(429, 'too-many-tries', 'Too many wrong tries', {
    detail: `Too many wrong tries. The next one is looked at in ${
      seconds > 90 ? `${Math.ceil(seconds / 60)} min` : `${seconds} s`
    }.`,
    retryAfterS: seconds,
  });

/**
 * Begins a try that counts as wrong until it is known to be right: a hundred at the same time are no more than
 * one after another. Refused where an earlier one makes it wait.
 *
 * @param keys what is counted: the person, the tablet, the address.
 * @returns forgets them all: to be called where it was right.
 */
export function beginTry(on: Db, keys: readonly string[]): () => void {
  const at = now().getTime();
  on.transaction(() => {
    const before = keys.map((key) => ({ key, ...wrongTries(on, key) }));
    const longest = Math.max(
      0,
      ...before.map(({ untilAt }) => (untilAt ? Date.parse(untilAt) - at : 0)),
    );
    if (longest > 0) throw waits(Math.ceil(longest / 1000));
    for (const { key, count } of before)
      putWrongTries(on, key, count + 1, new Date(at + waitAfter(count + 1) * 1000).toISOString());
  }).immediate();
  return () => keys.forEach((key) => forgetTries(on, key));
}
