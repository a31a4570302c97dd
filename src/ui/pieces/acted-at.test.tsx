import { ownClock } from '../testing/own-clock';
import { actedAt } from './acted-at';

test('a tap counts from when it was made, whenever it is answered', async () => {
  const now = performance.now();
  const clock = ownClock();
  await clock.pass(600);
  expect(actedAt({ timeStamp: now + 200 })).toBe(now + 200);
});

test('outside of an event, and where its clock is another one, it is now', () => {
  ownClock();
  expect(actedAt(undefined)).toBe(performance.now());
  expect(actedAt({ timeStamp: Date.now() })).toBe(performance.now());
});

test('within an event it is found by itself', () => {
  const times: number[] = [];
  const event = new Event('tap');
  Object.defineProperty(event, 'timeStamp', { value: 17 });
  document.addEventListener('tap', () => times.push(actedAt()), { once: true });
  document.dispatchEvent(event);
  expect(times).toEqual([17]);
});
