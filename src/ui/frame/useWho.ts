'use client';
import { useOnTablet } from '../keep/on-tablet';

/** Who works on this tablet; kept on the tablet, checked against the shop's people. */
export function useWho(people: readonly string[]): [string, (name: string) => void] {
  const [name, set] = useOnTablet('waffenrad.who');
  return [name !== null && people.includes(name) ? name : people[0]!, set];
}
