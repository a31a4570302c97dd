import { seeded, normal } from '../numerics';
import { camLean, LEAN_IN_MM, type CamLeanInput } from './cam-lean';

const ask = (more: Partial<CamLeanInput> = {}) => {
  const answer = camLean({ cam: 'upper', yokes: 'none', leanMm: 0, moves: [], ...more });
  if (!answer.ok) throw new Error(answer.message);
  return answer;
};

describe('a leaning cam', () => {
  test('one that stands straight is left alone', () => {
    expect(ask({ leanMm: LEAN_IN_MM })).toMatchObject({ amount: 0, expectedMm: LEAN_IN_MM });
    expect(ask().say).toContain('stands straight');
  });

  test.each([
    ['none', 'upper', 'shims'],
    ['top', 'upper', 'yoke'],
    ['top', 'lower', 'shims'],
    ['both', 'lower', 'yoke'],
    [null, 'upper', 'shims'],
  ] as const)('yokes %s, the %s cam: by %s', (yokes, cam, by) =>
    expect(ask({ yokes, cam, leanMm: 9 }).by).toBe(by),
  );

  test('towards the side the arrow’s end stands on, the other way for the other side', () => {
    expect(ask({ leanMm: 9 })).toMatchObject({
      amount: 2,
      say: expect.stringContaining('to the right'),
    });
    expect(ask({ leanMm: -9 })).toMatchObject({
      amount: -2,
      say: expect.stringContaining('to the left'),
    });
    expect(ask({ leanMm: 4, yokes: 'top' }).say).toBe(
      'The arrow’s end stands 4 mm to the right: 1 twist into the yoke’s right leg',
    );
    expect(ask({ leanMm: 4 }).say).toContain('1 shim step to the right');
  });

  test('half twists at a yoke, whole steps with shims, two at most before the next look', () => {
    for (let lean = -40; lean <= 40; lean += 0.7) {
      const yoke = ask({ leanMm: lean, yokes: 'both' }).amount;
      const shim = ask({ leanMm: lean }).amount;
      expect(Math.abs(yoke * 2 - Math.round(yoke * 2))).toBe(0);
      expect(Number.isInteger(shim)).toBe(true);
      expect(Math.max(Math.abs(yoke), Math.abs(shim))).toBeLessThanOrEqual(2);
      if (Math.abs(lean) > LEAN_IN_MM) expect(Math.sign(shim)).toBe(Math.sign(lean));
    }
  });

  test('this bow’s own answer counts, also when it goes the other way', () => {
    const learned = ask({
      leanMm: 8,
      moves: [
        { twists: 1, movedMm: -1 },
        { twists: 2, movedMm: -2 },
      ],
    });
    expect(Math.abs(learned.response.perTwistMm)).toBeLessThan(2);
    const turned = ask({
      leanMm: 8,
      moves: [1, 2, 2, 2].map((twists) => ({ twists, movedMm: 3 * twists })),
    });
    expect(turned.amount).toBeLessThan(0);
  });

  test('no answer at all: another cause is named', () => {
    const answer = camLean({
      cam: 'upper',
      yokes: 'none',
      leanMm: 12,
      moves: [
        { twists: 2, movedMm: 0.1 },
        { twists: 2, movedMm: -0.1 },
        { twists: 2, movedMm: 0 },
      ],
    });
    expect(answer.ok).toBe(false);
    expect(!answer.ok && answer.message).toContain('a bent axle');
  });

  test('100 simulated bows are straight within four looks', () => {
    const random = seeded(5);
    let straight = 0;
    for (let bow = 0; bow < 100; bow++) {
      const response = -3 + 1 * normal(random);
      let lean = 14 * (random() - 0.5) * 2;
      const moves: { twists: number; movedMm: number }[] = [];
      for (let look = 0; look < 8; look++) {
        const seen = lean + normal(random);
        const answer = camLean({ cam: 'lower', yokes: 'none', leanMm: seen, moves });
        if (!answer.ok || answer.amount === 0) break;
        lean += answer.amount * response;
        moves.push({ twists: answer.amount, movedMm: answer.amount * response + normal(random) });
      }
      if (Math.abs(lean) < LEAN_IN_MM + 2) straight++;
    }
    expect(straight).toBeGreaterThanOrEqual(90);
  });
});
