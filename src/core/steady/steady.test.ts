import { historyOf, type Reading } from '../setup';
import type { Slot } from '../kit';
import { aBow, anItem, aPart, aReading, kitOf } from '../testing/fixtures';
import { told } from '../testing/told';
import { degree, gram, kgMm2, mm, newtonMm, STANDARD_GRAVITY } from '../units';
import { massProperties, NO_BARS, reactionOf, REACTIONS, type Bars, type BarSet } from '../balance';
import {
  bareBow,
  barMoves,
  barOffers,
  barsCents,
  barsInStock,
  hungOf,
  isQuiet,
  learned,
  mountedBars,
  otherMass,
  partsOnBow,
  place,
  scaleCheck,
  stepsBetween,
  topAxle,
  threadsOf,
  withParts,
  type BarQuestion,
} from '.';
import { smallPartAt } from './places';

const bow = aBow({
  massG: gram(1800),
  barThreads: [
    { spot: 'front', at: place(44, -100, 0) },
    { spot: 'rear', at: place(4, -150, 0) },
  ],
  centre: place(20, 5, 2),
  yawInertiaKgMm2: kgMm2(8000),
  pitchInertiaKgMm2: kgMm2(80_000),
  balanceFrom: 'given',
});
const history = (...readings: Reading[]) => historyOf(readings);

const FRONT: BarSet = {
  spot: 'front',
  at: place(44, -100, 0),
  bar: { id: 'f', name: 'Front 10', lengthMm: mm(254), massG: gram(200), mostDiscs: 4 },
  mount: null,
  downDeg: degree(0),
  sideDeg: degree(0),
  slideMm: mm(0),
  discs: { id: 'd', name: 'disc of 30 g', massG: gram(30), count: 2 },
};
const REAR: BarSet = {
  ...FRONT,
  spot: 'rear',
  at: place(4, -150, 0),
  bar: { id: 'r', name: 'Rear 8', lengthMm: mm(200), massG: gram(180), mostDiscs: 4 },
  mount: {
    id: 'm',
    name: 'Mount',
    massG: gram(90),
    outMm: mm(30),
    side: { most: 60, step: 10 },
    down: { most: 40, step: 10 },
    slide: { most: 0, step: 20 },
  },
  sideDeg: degree(30),
};

describe('the bare bow', () => {
  test('is what its data sheet says until it is hung, and what bows are like without one', () => {
    expect(bareBow(history(), bow)).toMatchObject({
      centre: place(20, 5, 2),
      centreFrom: 'given',
      inertiaFrom: 'given',
      yawInertiaKgMm2: 8000,
    });
    expect(bareBow(history(), aBow())).toMatchObject({
      centreFrom: 'estimated',
      inertiaFrom: 'estimated',
      sigma: null,
    });
  });

  /** Leans by plain geometry: the string line stands as the line from centre to point does to the plumb line. */
  const lean = (centre: readonly [number, number], at: { forwardMm: number; upMm: number }) =>
    (Math.atan((centre[0] - at.forwardMm) / (at.upMm - centre[1])) * 180) / Math.PI;
  const hang = (
    seq: number,
    key: 'hangAxle' | 'hangThread',
    centre: readonly [number, number],
    on: Parameters<typeof massProperties>[0] = [],
  ) => {
    const where = key === 'hangAxle' ? topAxle(bow) : bow.barThreads[0]!.at;
    const at = { forwardMm: where.forwardMm, upMm: where.upMm };
    return aReading(seq, key, lean(centre, at), { data: { kind: 'hang', at, on } });
  };

  test('hung twice its centre is found, with a σ; hung with a sight on it the sight is taken off', () => {
    const bareFound = bareBow(
      history(hang(1, 'hangAxle', [31, -7]), hang(2, 'hangThread', [31, -7])),
      bow,
    );
    expect(bareFound.centreFrom).toBe('hung');
    expect(bareFound.centre.forwardMm).toBeCloseTo(31, 6);
    expect(bareFound.centre.upMm).toBeCloseTo(-7, 6);
    expect(bareFound.sigma!.forwardMm).toBeGreaterThan(0.3);
    // A sight of 200 g at 110, 100 moves a bow of 1800 g from 31, −7 to (31·1.8 + 110·0.2)/2 …
    const sight = { name: 'Sight', massG: gram(200), at: place(110, 100, 30) };
    const moved = [(31 * 1.8 + 110 * 0.2) / 2, (-7 * 1.8 + 100 * 0.2) / 2] as const;
    const hangs = history(
      hang(1, 'hangAxle', moved, [sight]),
      hang(2, 'hangThread', moved, [sight]),
    );
    const found = bareBow(hangs, bow);
    expect(found.centre.forwardMm).toBeCloseTo(31, 6);
    expect(found.centre.upMm).toBeCloseTo(-7, 6);
    // What the whole bow’s centre is off, the lighter bare bow’s is more.
    const whole = hungOf(hangs, bow)!.result;
    if (!whole.ok) throw new Error(whole.message);
    expect(found.sigma!.upMm).toBeCloseTo((whole.sigmaMm.upMm * 2000) / 1800, 9);
  });

  test('a hang with other parts on it counts no more, and one alone says nothing', () => {
    const sight = { name: 'Sight', massG: gram(200), at: place(110, 100, 30) };
    const readings = history(
      hang(1, 'hangAxle', [31, -7], [sight]),
      hang(2, 'hangThread', [31, -7]),
    );
    expect(hungOf(readings, bow)).toMatchObject({
      count: 1,
      left: ['hangAxle'],
      result: { ok: false, reason: 'one-hang' },
    });
    expect(bareBow(readings, bow).centreFrom).toBe('given');
  });

  test('one hang with other parts on it does not undo two that crossed', () => {
    const sight = { name: 'Sight', massG: gram(200), at: place(110, 100, 30) };
    const third = {
      ...hang(3, 'hangAxle', [31, -7], [sight]),
      key: 'hangThird' as const,
    };
    const readings = history(hang(1, 'hangAxle', [31, -7]), hang(2, 'hangThread', [31, -7]), third);
    expect(hungOf(readings, bow)).toMatchObject({ count: 2, left: ['hangThird'], on: [] });
    expect(bareBow(readings, bow).centre.forwardMm).toBeCloseTo(31, 6);
  });

  test('with parts its own inertia stays its own', () => {
    const bare = bareBow(history(), bow);
    expect(withParts(bare, [])).toMatchObject({
      massG: 1800,
      yawInertiaKgMm2: 8000,
      pitchInertiaKgMm2: 80_000,
    });
    const far = withParts(bare, [{ name: 'p', massG: gram(100), at: place(500, 0, 0) }]);
    expect(far.yawInertiaKgMm2).toBeCloseTo(8000 + 0.1 * 500 ** 2, 6);
    // 1.8 kg at 20 mm and 0.1 kg at 500 mm, times g.
    expect(far.pitchTorqueNmm).toBeCloseTo(STANDARD_GRAVITY * (1.8 * 20 + 0.1 * 500), 9);
  });
});

describe('what hangs on the bow', () => {
  const kit = kitOf(
    aPart(anItem('sight', { massAheadMm: mm(90), massUpMm: mm(96), massOutMm: mm(34) }), 'sight'),
    aPart(anItem('quiver', { arrows: 4 }), 'quiver'),
    aPart(anItem('arrows'), 'arrows'),
    aPart(null, 'sling', { owned: true, label: 'her own sling' }),
  );
  const on = (of = bow, state = {}) =>
    partsOnBow(
      { bow: of, kit, history: history() },
      { bars: NO_BARS, quiver: 'full', sightOut: false, ...state },
    );

  test('names what it assumes and what it knows nothing of', () => {
    const { parts, assumed, unknown } = on();
    expect(parts.map(({ name, massG }) => [name, Math.round(massG)])).toEqual([
      ['Sight', 100],
      ['Quiver', 100],
      ['4 arrows in it', 98],
    ]);
    expect(assumed).toEqual(['Quiver']);
    expect(unknown).toEqual(['her own sling']);
  });
  test('a left-handed bow is the mirror of a right-handed one', () => {
    const roll = (of: typeof bow) => massProperties(on(of).parts).rollTorqueNmm;
    expect(roll({ ...bow, hand: 'left' })).toBeCloseTo(-roll(bow), 9);
    expect(roll(bow)).toBeGreaterThan(0);
    const bars: Bars = { front: FRONT, rear: REAR };
    const withBars = (of: typeof bow) =>
      massProperties(on(of, { bars }).parts.slice(3)).rollTorqueNmm;
    expect(withBars({ ...bow, hand: 'left' })).toBeCloseTo(-withBars(bow), 9);
    expect(withBars(bow)).toBeLessThan(0);
  });
  test.each([
    ['off', ['Sight']],
    ['empty', ['Sight', 'Quiver']],
  ] as const)('with the quiver %s', (quiver, names) => {
    expect(on(bow, { quiver }).parts.map(({ name }) => name)).toEqual(names);
  });
  test('a sight dialled out hangs lower by half its mass times its travel', () => {
    const up = (sightOut: boolean) =>
      massProperties(on(bow, { sightOut, quiver: 'off' }).parts).centre.upMm;
    expect(up(false) - up(true)).toBeCloseTo(0.5 * 62, 9);
  });
  test('the scale against the sum asks what is missing from 40 g on', () => {
    const sum = 1800 + 100 + 100 + 4 * 24.6;
    expect(scaleCheck(sum + 39, 1800, on()).agrees).toBe(true);
    const gap = scaleCheck(sum + 55, 1800, on());
    expect(gap).toMatchObject({ agrees: false, unknown: ['her own sling'] });
    expect(gap.gapG).toBeCloseTo(55, 6);
  });
});

describe('the reaction', () => {
  test('every reaction has one name and reads back', () => {
    expect(REACTIONS).toHaveLength(25);
    expect(new Set(REACTIONS.map(({ name }) => name)).size).toBe(25);
    for (const { id, name: _name, ...seen } of REACTIONS)
      expect(reactionOf(id)).toMatchObject(seen);
    expect(reactionOf('sideways')).toBeNull();
  });
  const shot = (seq: number, key: 'bareReaction' | 'steadyTip', choice: string, rightG = 0) =>
    aReading(seq, key, null, {
      choice,
      data: {
        kind: 'reaction',
        on: rightG > 0 ? [{ name: 'w', massG: gram(rightG), at: place(0, 0, 100) }] : [],
      },
    });
  test('nothing seen is what bows are like; a clear tip to the right puts the neutral left of it', () => {
    expect(learned(history(), bow)).toMatchObject({ neutralRollNmm: 0, settled: false });
    const one = learned(history(shot(1, 'bareReaction', 'right-clear', 300)), bow);
    // 0.3 kg at 100 mm and the bow’s 1.8 kg at 2 mm tip by 329.5 N·mm; 180 less with sd 90, prior 0 ± 150.
    const torque = STANDARD_GRAVITY * (0.3 * 100 + 1.8 * 2);
    const seen = torque - 180;
    expect(one.neutralRollNmm).toBeCloseTo(seen / 90 ** 2 / (1 / 90 ** 2 + 1 / 150 ** 2), 6);
    expect(one.triesMissing).toBe(2);
  });
  test('two that stay settle it; a reading without its parts is no try', () => {
    const stays = [shot(1, 'bareReaction', 'still'), shot(2, 'steadyTip', 'still')];
    expect(learned(history(...stays), bow)).toMatchObject({ settled: true, triesMissing: 0 });
    expect(
      learned(history(aReading(1, 'steadyTip', null, { choice: 'still' })), bow).tries,
    ).toEqual([]);
  });
  test('what is said to be still so was not shot: it is no try', () => {
    const again = { ...shot(2, 'steadyTip', 'still'), method: 'confirmed' };
    expect(learned(history(shot(1, 'steadyTip', 'still'), again), bow).tries).toHaveLength(1);
  });
  test('a centre corrected later corrects every try', () => {
    const tries = history(shot(1, 'bareReaction', 'still'), shot(2, 'bareReaction', 'still'));
    const before = learned(tries, bow).tries[0]!.pitchTorqueNmm;
    const after = learned(tries, { ...bow, centre: place(40, 5, 2) }).tries[0]!.pitchTorqueNmm;
    expect(after - before).toBeCloseTo(STANDARD_GRAVITY * 1.8 * 20, 6);
  });
});

const items = [
  anItem(
    'stabiliser',
    { lengthMm: mm(203), mostDiscs: 4 },
    { id: 'f8', massG: gram(160), priceCents: 5000, stock: 1 },
  ),
  anItem(
    'stabiliser',
    { lengthMm: mm(305), mostDiscs: 6 },
    { id: 'f12', massG: gram(220), priceCents: 9000, stock: 1 },
  ),
  anItem(
    'stabiliser',
    { lengthMm: mm(762), mostDiscs: 6, weightThread: '5/16-24' },
    { id: 'f30', massG: gram(250), priceCents: 19000, stock: 1 },
  ),
  anItem('stabiliser', {}, { id: 'gone', stock: 0 }),
  anItem(
    'rearBar',
    { lengthMm: mm(203), mostDiscs: 6 },
    { id: 'r8', massG: gram(180), priceCents: 7000, stock: 1 },
  ),
  anItem(
    'barMount',
    {
      sideMostDeg: degree(60),
      sideNotchDeg: degree(10),
      downMostDeg: degree(20),
      downNotchDeg: degree(10),
      outMm: mm(28),
    },
    { id: 'mount', massG: gram(95), priceCents: 4900, stock: 1 },
  ),
  anItem('weights', { count: 3 }, { id: 'discs', massG: gram(90), priceCents: 2400, stock: 2 }),
];
const stock = barsInStock(items, {});
const question = (changes: Partial<BarQuestion> = {}): BarQuestion => {
  const kit = kitOf(
    aPart(anItem('sight', { massAheadMm: mm(90), massUpMm: mm(96), massOutMm: mm(34) }), 'sight'),
    aPart(anItem('quiver'), 'quiver'),
  );
  const { parts } = partsOnBow(
    { bow, kit, history: history() },
    { bars: NO_BARS, quiver: 'empty', sightOut: false },
  );
  const bare = withParts(bareBow(history(), bow), parts);
  return {
    bow,
    bare,
    stock,
    neutral: { neutralRollNmm: 0 as never, neutralPitchNmm: 900 as never },
    massLimitG: 3200,
    lengthLimitMm: null,
    usual: { frontMm: 254, rearMm: 203 },
    ...changes,
  };
};
const offersOf = (changes: Partial<BarQuestion> = {}) => {
  const found = barOffers(question(changes));
  if (!found.ok) throw new Error(found.message);
  return found;
};

describe('bars from stock', () => {
  test('what is not there is not offered, discs are counted by the piece', () => {
    expect(stock.front.map(({ id }) => id)).toEqual(['f8', 'f12', 'f30']);
    expect(stock.discs).toMatchObject([{ count: 6, massG: 30, perSet: 3 }]);
  });
  test('three offers within what is asked; the lightest is lighter, the steadiest steadier', () => {
    const { offers, frontier } = offersOf();
    expect(offers.map(({ id }) => id)).toEqual(['lightest', 'usual', 'steadiest']);
    const [lightest, , steadiest] = offers as [
      (typeof offers)[0],
      (typeof offers)[0],
      (typeof offers)[0],
    ];
    const { neutral } = question();
    for (const offer of [lightest, steadiest]) {
      expect(isQuiet(offer, neutral)).toBe(true);
      expect(offer.overNmm).toBe(0);
    }
    expect(lightest.massG).toBeLessThanOrEqual(steadiest.massG);
    expect(lightest.steadiness).toBeLessThanOrEqual(steadiest.steadiness);
    expect(frontier[0]!.massG).toBe(lightest.massG);
    expect(frontier.at(-1)!.massG).toBe(steadiest.massG);
    offers.forEach(({ turns }) => expect(turns.length).toBeGreaterThan(0));
    // What an offer says it weighs and does is what its bars do, added up another way.
    const { bare } = question();
    const props = withParts(
      { ...bareBow(history(), bow), ...bare } as never,
      partsOnBow(
        { bow, kit: {}, history: history() },
        { bars: steadiest.bars, quiver: 'off', sightOut: false },
      ).parts,
    );
    expect(props.rollTorqueNmm).toBeCloseTo(steadiest.rollTorqueNmm, 6);
    expect(props.massG).toBeCloseTo(steadiest.massG, 6);
  });
  test('discs of one kind are counted over both sides', () => {
    for (const { bars } of offersOf().frontier) {
      const count = (bars.front?.discs?.count ?? 0) + (bars.rear?.discs?.count ?? 0);
      expect(count).toBeLessThanOrEqual(6);
      // The long bar’s end has another thread than every disc there is.
      if (bars.front?.bar.id === 'f30') expect(bars.front.discs).toBeNull();
    }
  });
  test.each(['front', 'rear'] as const)(
    'what going without a %s bar costs is what is over where there is none',
    (side) => {
      const [lightest] = offersOf().offers;
      const without = offersOf({ stock: { ...stock, [side]: [] } }).offers.at(-1)!;
      expect(without.bars[side]).toBeNull();
      expect(without.overNmm).toBeGreaterThan(50);
      expect(lightest!.turns).toContain(
        `Without a ${side} bar ${Math.round(without.overNmm)} N·mm stay over.`,
      );
    },
  );
  test('a class that limits the length leaves longer ones out', () => {
    for (const { bars } of offersOf({ lengthLimitMm: 210 }).frontier)
      expect([null, undefined, 'f8']).toContain(bars.front?.bar.id ?? null);
  });
  test.each<[string, Partial<BarQuestion>, string]>([
    ['no bars in stock', { stock: { ...stock, front: [], rear: [] } }, 'no-bars'],
    ['none short enough', { lengthLimitMm: 100 }, 'no-bars'],
    ['a mass limit under the bow’s own mass', { massLimitG: 1500 }, 'over-limit'],
  ])('%s is refused with what to do', (_, changes, reason) => {
    expect(barOffers(question(changes))).toMatchObject({ ok: false, reason });
  });
  test('a set more of discs costs a set; what the job has costs nothing', () => {
    const disc = (count: number) => ({ id: 'discs', name: 'd', massG: gram(30), count });
    const front = (count: number): BarSet => ({
      ...FRONT,
      bar: { ...FRONT.bar, id: 'f8' },
      discs: disc(count),
    });
    expect(barsCents({ front: front(4), rear: null }, stock)).toBe(5000 + 2 * 2400);
    const kit = kitOf(
      aPart(items[6] as never, 'weights'),
      aPart(items[0] as never, 'stabiliser', { owned: true }),
    );
    expect(barsCents({ front: front(4), rear: null }, barsInStock(items, kit))).toBe(2400);
  });
  test('a bar of the archer’s own stands among them and costs nothing', () => {
    const own = barsInStock(items, {}, [
      { side: 'rear', name: 'Erbstück', lengthMm: 180, massG: 140 },
    ]);
    expect(own.rear.at(-1)).toMatchObject({ id: 'own:Erbstück', priceCents: 0, mostDiscs: 6 });
  });
});

test('small parts hang where the drawing has them; what stands out on the right is mirrored for a left hand', () => {
  // Throat to string 165 mm, arrow 24 mm up, pockets 285.5 mm up and down, as the drawing of this bow has them.
  const at = (slot: Slot, hand: 'right' | 'left' = 'right') => {
    const found = smallPartAt(slot, aBow({ hand }));
    return found && [found.forwardMm, found.upMm, found.rightMm];
  };
  expect(at('loop')).toEqual([-165, 24, 0]);
  expect(at('nockingPoint')).toEqual([-165, 24, 0]);
  expect(at('peep')).toEqual([-165, 174, 0]);
  expect(at('dampeners')).toEqual([-82.5, 0, 0]);
  expect(at('stringStop')).toEqual([-82.5, -142.75, 0]);
  expect(at('sling')!.map(Math.round)).toEqual([40, -120, 0]);
  expect([at('rest'), at('rest', 'left')]).toEqual([
    [6, 19, 12],
    [6, 19, -12],
  ]);
  expect([at('light'), at('light', 'left')]).toEqual([
    [90, 96, 34],
    [90, 96, -34],
  ]);
  expect(at('case')).toBeNull();
});

test('bars are quiet where the bow neither rolls nor tips: one of the two is not enough', () => {
  const neutral = { neutralRollNmm: newtonMm(40), neutralPitchNmm: newtonMm(-900) };
  const at = (rollTorqueNmm: number, pitchTorqueNmm: number) =>
    isQuiet({ rollTorqueNmm, pitchTorqueNmm }, neutral);
  expect(at(40, -900)).toBe(true);
  expect(at(40, 900)).toBe(false);
  expect(at(-900, -900)).toBe(false);
});

describe('what is mounted', () => {
  const bar = (seq: number, key: 'frontBar' | 'rearBar', set: BarSet | null) =>
    aReading(seq, key, null, { choice: set?.bar.name ?? 'none', data: { kind: 'bar', set } });
  test('nothing noted is nothing known; an empty side is known to be empty', () => {
    expect(mountedBars(history())).toBeNull();
    expect(mountedBars(history(bar(1, 'frontBar', null), bar(2, 'rearBar', null)))).toEqual(
      NO_BARS,
    );
  });
  test('a notch or a disc read later counts over what was noted when it was mounted', () => {
    const bars = mountedBars(
      history(
        aReading(1, 'rearBarSide', 10),
        bar(2, 'frontBar', FRONT),
        bar(3, 'rearBar', REAR),
        aReading(4, 'rearBarSide', 50),
        aReading(5, 'frontDiscs', 3),
        aReading(6, 'rearDiscs', 0),
      ),
    );
    expect(bars).toMatchObject({
      front: { discs: { count: 3 } },
      rear: { sideDeg: 50, discs: null },
    });
  });
});

describe('one move at a time', () => {
  const bars: Bars = { front: FRONT, rear: REAR };
  const ground = {
    hand: 'right' as const,
    bare: bareBow(history(), bow),
    others: [],
    stock,
    neutral: { neutralRollNmm: 0 as never, neutralPitchNmm: 500 as never },
    sayLength: (mm: number) => `${mm} mm`,
  };
  test('what helps most comes first, and does what the sums say', () => {
    const moves = barMoves(bars, ground);
    const helps = moves.map(({ helpsNmm }) => helpsNmm);
    expect(helps).toEqual([...helps].sort((a, b) => b - a));
    const out = moves.find(({ id }) => id === 'rear-out')!;
    expect(out).toMatchObject({ say: 'rear bar one notch out, to 40°', teeth: true, massG: 0 });
    // Bar 180 g with its middle at 100 mm, discs 60 g at 200 mm: sin 40° − sin 30° further left.
    const by = Math.sin((40 * Math.PI) / 180) - 0.5;
    expect(out.rollNmm).toBeCloseTo(-STANDARD_GRAVITY * by * (0.18 * 100 + 0.06 * 200), 6);
  });
  test('the next longer and shorter bar, as the shop says lengths', () => {
    const says = barMoves(bars, ground).map(({ say }) => say);
    expect(says).toContain('front bar of 305 mm instead of 254 mm');
    expect(says).toContain('front bar of 203 mm instead of 254 mm');
    expect(says).toContain('a disc from front to back');
  });
  test('at the end of the teeth and of the thread there is no further', () => {
    const atEnd = { ...bars, rear: { ...REAR, sideDeg: degree(60), downDeg: degree(0) } };
    const ids = barMoves(atEnd, ground).map(({ id }) => id);
    expect(ids).not.toContain('rear-out');
    expect(ids).not.toContain('rear-up');
    expect(ids).toContain('rear-in');
    const full = { ...bars, front: { ...FRONT, discs: { ...FRONT.discs!, count: 4 } } };
    expect(barMoves(full, ground).map(({ id }) => id)).not.toContain('front-disc-more');
  });
  test('the way from one pair to another is told in the order of the hands', () => {
    expect(stepsBetween(bars, bars)).toEqual([]);
    expect(
      stepsBetween(bars, {
        front: { ...FRONT, discs: null },
        rear: { ...REAR, sideDeg: degree(50) },
      }),
    ).toEqual([
      '2 discs less in front, 0 then',
      'let the teeth go, turn the rear bar out to 50°, tighten',
    ]);
    expect(stepsBetween({ front: null, rear: REAR }, { front: FRONT, rear: null })).toEqual([
      'put Front 10 in front',
      '2 discs more in front, 2 then',
      'take the rear bar off',
    ]);
  });
  test('more mass in the same manner keeps to the neutral torques; less than the bars weigh is refused', () => {
    const { offers } = offersOf();
    const { bars: mounted } = offers[0]!;
    const more = otherMass(question(), mounted, 60);
    if (!more.ok) throw new Error(more.message);
    expect(more.quiet).toBe(true);
    expect(more.way.massG).toBeLessThanOrEqual(offers[0]!.massG + 60 + 1e-6);
    expect(otherMass(question(), mounted, -2000)).toMatchObject({ ok: false, reason: 'too-light' });
    expect(otherMass(question(), NO_BARS, 50)).toMatchObject({ ok: false, reason: 'no-bars' });
  });
});

test('a bow whose sheet names no thread has its front one from the drawing, said so', () => {
  const plain = threadsOf(aBow({ rearBushing: true }));
  expect(plain.assumed).toBe(true);
  expect(plain.threads.map(({ spot }) => spot)).toEqual(['front', 'rear']);
  expect(threadsOf(bow).assumed).toBe(false);
});

describe('all that is said of bars, as it was when somebody last read it', () => {
  const rail = anItem(
    'barMount',
    {
      kind: 'slide',
      sideMostDeg: degree(50),
      sideNotchDeg: degree(10),
      downMostDeg: degree(40),
      downNotchDeg: degree(10),
      slideMm: mm(60),
      outMm: mm(24),
    },
    { id: 'rail', massG: gram(160), priceCents: 12900, stock: 1 },
  );
  const more = barsInStock([...items, rail], {});
  test.each<[string, Partial<BarQuestion>]>([
    ['what there is', {}],
    ['a mount on a rail as well', { stock: more }],
    ['light', { massLimitG: 2500 }],
    ['short', { lengthLimitMm: 260 }],
    ['shorter than any bar', { lengthLimitMm: 50 }],
    ['nothing in stock', { stock: barsInStock([], {}) }],
    [
      'nothing in stock, and a class with a limit',
      { stock: barsInStock([], {}), lengthLimitMm: 300 },
    ],
    [
      'a bow that wants to roll',
      { neutral: { neutralRollNmm: 160 as never, neutralPitchNmm: -300 as never } },
    ],
    ['for the left hand', { bow: aBow({ ...bow, hand: 'left' }) }],
  ])('offers: %s', (_, changes) => {
    expect(told(barOffers(question(changes)))).toMatchSnapshot();
  });
  test('next to what is mounted, from the lightest to the steadiest', () => {
    const asked = question({ stock: more });
    const found = barOffers(asked);
    if (!found.ok) throw new Error(found.message);
    const ground = {
      hand: bow.hand,
      bare: bareBow(history(), bow),
      others: [],
      stock: more,
      neutral: asked.neutral,
      sayLength: (length: number) => `${length} mm`,
    };
    const said = found.offers.map(({ bars }) => ({
      moves: barMoves(bars, ground).map(({ bars: _then, ...move }) => move),
      from: found.offers.map((other) => stepsBetween(other.bars, bars)),
    }));
    expect(told(said)).toMatchSnapshot();
  });
});
