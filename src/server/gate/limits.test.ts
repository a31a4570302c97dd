import { Limiter } from './limits';

const clock = () => {
  const at = { ms: 0 };
  return { at, now: () => at.ms };
};

test('a burst passes, what follows waits until its turn', () => {
  const { at, now } = clock();
  const limiter = new Limiter({ burst: 5, perSecond: 2 }, now);
  expect(Array.from({ length: 6 }, () => limiter.take('a'))).toEqual([0, 0, 0, 0, 0, 1]);
  at.ms = 499;
  expect(limiter.take('a')).toBe(1);
  at.ms = 500;
  expect(limiter.take('a')).toBe(0);
  expect(limiter.take('a')).toBe(1);
});

test('a slow allowance says how long', () => {
  const { now } = clock();
  const limiter = new Limiter({ burst: 1, perSecond: 0.1 }, now);
  limiter.take('a');
  expect(limiter.take('a')).toBe(10);
});

test('at the allowed pace nobody ever waits, and nothing is saved up beyond the burst', () => {
  const { at, now } = clock();
  const limiter = new Limiter({ burst: 3, perSecond: 4 }, now);
  for (let i = 0; i < 200; i++) {
    at.ms += 250;
    expect(limiter.take('a')).toBe(0);
  }
  at.ms += 3_600_000;
  expect(Array.from({ length: 4 }, () => limiter.take('a'))).toEqual([0, 0, 0, 1]);
});

test('one that asks too much stops nobody else', () => {
  const { now } = clock();
  const limiter = new Limiter({ burst: 2, perSecond: 1 }, now);
  for (let i = 0; i < 50; i++) limiter.take('a');
  expect(limiter.take('b')).toBe(0);
});

test('a refusal costs nothing: who goes on asking is let in as soon as who waits', () => {
  const { at, now } = clock();
  const limiter = new Limiter({ burst: 1, perSecond: 1 }, now);
  limiter.take('a');
  for (let i = 0; i < 9; i++) {
    at.ms += 100;
    expect(limiter.take('a')).toBe(1);
  }
  at.ms += 100;
  expect(limiter.take('a')).toBe(0);
});

test('names nobody uses any more are forgotten, the newest stay', () => {
  const { now } = clock();
  const limiter = new Limiter({ burst: 1, perSecond: 0.001 }, now);
  for (let i = 0; i < 20_000; i++) limiter.take(`n${i}`);
  expect(limiter.size).toBeLessThanOrEqual(5000);
  expect(limiter.take('n19999')).toBeGreaterThan(0);
});
