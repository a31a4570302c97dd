import { aBow } from '../testing/fixtures';
import { mm, newton, TRADE_UNITS } from '../units';
import {
  bowCover,
  doubtful,
  eyeTestResult,
  OLD_BOW,
  POSTURE,
  postureEvidence,
  type EyeSeen,
  type PostureSeen,
} from '.';

const looks = (...seen: PostureSeen[]) => seen.map((s, i) => ({ place: POSTURE[i]!.id, seen: s }));
const number = (drawLengthMm: number, sigmaMm = 6) => ({
  drawLengthMm: mm(drawLengthMm),
  sigmaMm: mm(sigmaMm),
});

describe('what is seen at full draw', () => {
  test.each([
    [looks(), 'nothing'],
    [looks('tooLong'), 'nothing'],
    [looks('tooLong', 'tooLong'), 'shorter'],
    [looks('tooLong', 'tooLong', 'tooShort'), 'mixed'],
    [looks('tooLong', 'tooLong', 'tooLong', 'tooShort'), 'shorter'],
    [looks('tooShort', 'tooShort', 'right'), 'longer'],
    [looks('right', 'right', 'right'), 'right'],
    [looks('right', 'right'), 'nothing'],
  ] as const)('%# asks for %s', (seen, asks) =>
    expect(postureEvidence(seen, null, null, TRADE_UNITS).asks).toBe(asks),
  );

  const told = (seen: ReturnType<typeof looks>, drawn: number, consensus: number) =>
    postureEvidence(seen, mm(drawn), number(consensus), TRADE_UNITS).contradiction;
  test('too long on the bow in hand, while the number wants it as long: told', () => {
    expect(told(looks('tooLong', 'tooLong'), 711.2, 711)).toContain('too long');
    expect(told(looks('tooLong', 'tooLong'), 711.2, 724)).toContain('contradict');
    expect(told(looks('tooLong', 'tooLong'), 711.2, 698)).toBeNull();
  });
  test('too short, while the number wants it as short: told', () => {
    expect(told(looks('tooShort', 'tooShort'), 685.8, 686)).toContain('too short');
    expect(told(looks('tooShort', 'tooShort'), 685.8, 702)).toBeNull();
  });
  test('looks right, while the number is more than a quarter inch off: told', () => {
    const fine = looks('right', 'right', 'right');
    expect(told(fine, 698.5, 700)).toBeNull();
    expect(told(fine, 698.5, 712)).toContain('draw that fits');
  });
  test('nothing is told without the bow’s length or a number', () => {
    const seen = looks('tooLong', 'tooLong');
    expect(postureEvidence(seen, null, number(700), TRADE_UNITS).contradiction).toBeNull();
    expect(postureEvidence(seen, mm(700), null, TRADE_UNITS).contradiction).toBeNull();
  });
  test('every place says all three, in its own words', () => {
    for (const { signs } of POSTURE) expect(new Set(Object.values(signs)).size).toBe(3);
  });
});

describe('the eye', () => {
  test.each([
    [[], 'unsure', false],
    [['right'], 'unsure', false],
    [['right', 'right'], 'right', true],
    [['left', 'right', 'left'], 'left', true],
    [['left', 'right', 'unsure'], 'unsure', false],
    [['right', 'right', 'left', 'left'], 'left', true],
  ] as const)('%p: %s', (tries, eye, settled) =>
    expect(eyeTestResult(tries as readonly EyeSeen[])).toMatchObject({ eye, settled }),
  );
});

describe('unusual readings', () => {
  test('20 in wall to mouth of an adult is asked about, of a child not', () => {
    const reading = { method: 'wallToMouth' as const, valueMm: mm(508) };
    expect(doubtful(reading, 'adult', false)).toMatchObject({ side: 'short' });
    expect(doubtful(reading, 'child', false)).toBeNull();
  });
  test('the draw length is judged, not the tape: span ÷ 2.5', () => {
    expect(doubtful({ method: 'armSpan', valueMm: mm(1750) }, 'adult', false)).toBeNull();
    expect(doubtful({ method: 'armSpan', valueMm: mm(2300) }, 'adult', false)?.side).toBe('long');
  });
  test('everything of the old bow has limits that a real bow meets', () => {
    for (const { min, max } of OLD_BOW) expect(min).toBeLessThan(max);
  });
});

describe('out of the fit', () => {
  const wanted = { startN: newton(200), hand: 'right' as const, shop: TRADE_UNITS };
  test('a bow whose draw length nobody knows cannot be set to one; none wanted, it is not asked', () => {
    const bow = aBow({ modules: [], fixedDrawLengthMm: null });
    const cover = bowCover(bow, { ...wanted, drawLengthMm: mm(698.5) });
    expect(cover).toMatchObject({ verdict: 'out', module: null });
    expect(cover.reasons).toContain('no draw length known for it');
    expect(bowCover(bow, { ...wanted, drawLengthMm: null }).verdict).not.toBe('out');
  });
});

describe('nearly fits', () => {
  const wanted = {
    drawLengthMm: mm(698.5),
    startN: newton(200),
    hand: 'right' as const,
    shop: TRADE_UNITS,
  };
  test('by price', () => {
    const cover = bowCover(aBow(), { ...wanted, budgetCents: 80000 });
    expect(cover).toMatchObject({ verdict: 'nearly' });
    expect(cover.reasons[0]).toMatch(/99.* over the whole budget/);
  });
  test('by the old bow’s weight: the limbs end under it', () => {
    // The test bow ends at 50 lb: 222.4 N.
    const bow = aBow({ maxPeakN: newton(50 * 4.4482216) });
    const cover = bowCover(bow, { ...wanted, oldPeakN: newton(59.5 * 4.4482216) });
    expect(cover).toMatchObject({
      verdict: 'nearly',
      reasons: ['up to 50 lb, the old one had 59.5 lb'],
    });
    const reaches = { ...wanted, oldPeakN: newton(49 * 4.4482216) };
    expect(bowCover(bow, reaches).verdict).toBe('fits');
    // A fit that is out for its own weight says that, not both.
    const out = { ...wanted, startN: newton(260), oldPeakN: newton(270) };
    expect(bowCover(bow, out).reasons).toEqual(['heaviest setting 50 lb']);
  });
  test('by date', () => {
    const bow = aBow({ stock: 0 });
    const late = bowCover(bow, { ...wanted, today: '2026-11-24', promisedDay: '2026-12-01' });
    expect(late.reasons).toEqual(['not in stock, 9 days: after the promised day']);
    const early = bowCover(bow, { ...wanted, today: '2026-11-24', promisedDay: '2026-12-04' });
    expect(early.reasons).toEqual(['not in stock, 9 days']);
  });
  test('by twists', () => {
    const cover = bowCover(aBow(), { ...wanted, drawLengthMm: mm(704) });
    expect(cover).toMatchObject({
      verdict: 'nearly',
      reasons: ['4.5 twists from its nearest setting'],
    });
  });
  test('half-inch steps leave nobody out between two of them', () => {
    const steps = Array.from({ length: 9 }, (_, i) => ({
      label: `${i}`,
      drawLengthMm: mm(635 + 12.7 * i),
    }));
    for (let at = 635; at <= 635 + 8 * 12.7; at += 0.3) {
      const cover = bowCover(aBow({ modules: steps }), { ...wanted, drawLengthMm: mm(at) });
      expect([at, cover.verdict]).not.toEqual([at, 'out']);
    }
  });
  test('between steps far apart the next one is named, beyond the ends the end', () => {
    const reason = (at: number) => bowCover(aBow(), { ...wanted, drawLengthMm: mm(at) }).reasons[0];
    expect(reason(25.5 * 25.4)).toMatch(/^no setting near, the next is 25.in$/);
    expect(reason(24 * 25.4)).toMatch(/^shortest setting 25.in$/);
    expect(reason(31 * 25.4)).toMatch(/^longest setting 30.in$/);
  });
  test('the wall speaks beside it and decides nothing', () => {
    expect(bowCover(aBow({ stops: 'limb' }), { ...wanted, wall: 'firm' })).toMatchObject({
      verdict: 'fits',
      notes: ['a limb stop, firm wall, as wanted'],
    });
    expect(bowCover(aBow({ stops: 'cable' }), { ...wanted, wall: 'firm' }).notes[0]).toContain(
      'a firm one is wanted',
    );
    expect(bowCover(aBow({ stops: null }), { ...wanted, wall: 'firm' }).notes).toEqual([]);
  });
});
