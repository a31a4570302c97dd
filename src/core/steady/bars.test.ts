import { historyOf, type Reading } from '../setup';
import { aBow, anItem, aPart, aReading, kitOf } from '../testing/fixtures';
import { degree, gram, mm, newtonMm } from '../units';
import { NO_BARS, type Bars, type BarSet } from '../balance';
import type { Place } from '../bow';
import { bareBow, barMoves, barsInStock, mountedBars, otherMass, partsOnBow, place } from '.';
import { barsOfKit } from './bar-stock';

const bow = aBow({
  massG: gram(1800),
  barThreads: [
    { spot: 'front', at: place(44, -100, 0) },
    { spot: 'rear', at: place(4, -150, 0) },
  ],
});

test('a bow that tells no inertia turns like bows of its mass and length', () => {
  const plain = bareBow(historyOf([]), { ...bow, yawInertiaKgMm2: null, pitchInertiaKgMm2: null });
  // 1.8 kg at 62 mm; and at 0.262 of 787 mm, which are 206.194 mm.
  expect(plain.inertiaFrom).toBe('estimated');
  expect(plain.yawInertiaKgMm2).toBeCloseTo(6919.2, 6);
  expect(plain.pitchInertiaKgMm2).toBeCloseTo(76528.7, 0);
});

const bar = (id: string, discs: BarSet['discs'] = null, mostDiscs = 4): BarSet => ({
  spot: 'front',
  at: place(44, -100, 0),
  bar: { id, name: id, lengthMm: mm(254), massG: gram(200), mostDiscs },
  mount: null,
  ...{ downDeg: degree(0), sideDeg: degree(0), slideMm: mm(0), discs },
});
const stockBar = (id: string, weightThread: string | null) => ({
  ...bar(id).bar,
  ...{ id, thread: null, weightThread, priceCents: 0 },
});
const discs = (id: string, thread: string, count: number) => ({
  ...{ id, name: id, massG: gram(30), count, thread, perSet: 3, setCents: 900, had: 0 },
});
const stock = {
  ...barsInStock([], {}),
  front: [stockBar('wide', null), stockBar('fine', '5/16-24')],
  discs: [discs('coarse', '1/4-20', 2), discs('small', '5/16-24', 1)],
};
const ground = {
  hand: 'right' as const,
  bare: bareBow(historyOf([]), bow),
  others: [],
  stock,
  neutral: { neutralRollNmm: newtonMm(0), neutralPitchNmm: newtonMm(500) },
  sayLength: (length: number) => `${length} mm`,
};
const moves = (bars: Bars) => barMoves(bars, ground).filter(({ id }) => id.includes('disc'));
const discsAfter = (bars: Bars, id: string) =>
  moves(bars).find((move) => move.id === id)?.bars.front?.discs ?? null;

describe('discs one at a time', () => {
  test('a bare bar takes the first kind its thread carries, any where it tells none', () => {
    const more = (id: string) =>
      discsAfter({ front: bar(id), rear: null }, 'front-disc-more')?.id ?? null;
    expect(more('fine')).toBe('small');
    expect(more('wide')).toBe('coarse');
    // Of one that is not the shop’s nothing is known: the first kind there is.
    expect(more('hers')).toBe('coarse');
    expect(moves({ front: bar('fine'), rear: null }).map(({ id }) => id)).toEqual([
      'front-disc-more',
    ]);
  });
  test('those that are mounted on either side are not there any more; nor is there more room than the bar has', () => {
    const two = { id: 'coarse', name: 'coarse', massG: gram(30), count: 1 };
    const both = { front: bar('wide', two), rear: { ...bar('wide', two), spot: 'rear' as const } };
    expect(moves(both).map(({ id }) => id)).not.toContain('front-disc-more');
    const one = { front: bar('wide', two), rear: null };
    expect(discsAfter(one, 'front-disc-more')).toMatchObject({ id: 'coarse', count: 2 });
    expect(discsAfter(one, 'front-disc-less')).toBeNull();
    expect(moves(one).map(({ id, say }) => [id, say])).toContainEqual([
      'front-disc-less',
      'a disc less in front, 0 then',
    ]);
    const full = { front: bar('wide', two, 1), rear: null };
    expect(moves(full).map(({ id }) => id)).toEqual(['front-disc-less']);
  });
});

test('mass is taken off down to the bars alone, and told how much there is', () => {
  const three = { id: 'coarse', name: 'coarse', massG: gram(30), count: 3 };
  const question = {
    ...{ bow, bare: ground.bare as never, stock, neutral: ground.neutral },
    ...{ massLimitG: 3200, lengthLimitMm: null, usual: { frontMm: 254, rearMm: 203 } },
  };
  const bars = { front: bar('wide', three), rear: null };
  expect(otherMass(question, bars, -91)).toEqual({
    ...{ ok: false, reason: 'too-light', field: 'byG' },
    message: 'The bars alone weigh 200 g; at most 90 g of discs can be taken off.',
  });
  expect(otherMass(question, bars, -90)).not.toMatchObject({ reason: 'too-light' });
  expect(otherMass(question, bars, 500)).not.toMatchObject({ reason: 'too-light' });
});

describe('a sight', () => {
  const at = (attrs: object) => {
    const { parts, assumed } = partsOnBow(
      { bow, kit: kitOf(aPart(anItem('sight', attrs), 'sight')), history: historyOf([]) },
      { bars: NO_BARS, quiver: 'off', sightOut: false },
    );
    const { forwardMm, upMm, rightMm } = (parts[0] as unknown as { at: Place }).at;
    return [[forwardMm, upMm, rightMm], assumed];
  };
  const none = { massAheadMm: null, massUpMm: null, massOutMm: null };
  test('hangs where it says; where it says one figure less, the others count and it is named', () => {
    const said = { massAheadMm: mm(90), massUpMm: mm(101), massOutMm: mm(40) };
    expect(at(said)).toEqual([[90, 101, 40], []]);
    for (const missing of ['massAheadMm', 'massUpMm', 'massOutMm'])
      expect(at({ ...said, extensionMm: mm(100), [missing]: null })[1]).toEqual(['Sight']);
    expect(at({ ...said, extensionMm: mm(100), massAheadMm: null })[0]).toEqual([62, 101, 40]);
  });
  test('says nothing: 0.62 of its extension ahead, of 95 mm where it tells none', () => {
    expect(at({ ...none, extensionMm: mm(150) })).toEqual([[93, 96, 34], ['Sight']]);
    const [[ahead]] = at({ ...none, extensionMm: null }) as unknown as [[number]];
    expect(ahead).toBeCloseTo(58.9, 9);
  });
});

test('bars of the kit are mounted each in its own thread, the rear one half way out on its mount', () => {
  const kit = kitOf(
    aPart(anItem('stabiliser', { lengthMm: mm(254) }, { id: 'ahead' }), 'stabiliser'),
    aPart(anItem('rearBar', { lengthMm: mm(203) }, { id: 'back' }), 'rearBar'),
    aPart(anItem('barMount', { sideMostDeg: degree(60), sideNotchDeg: degree(10) }), 'barMount'),
  );
  const items = ['stabiliser', 'rearBar', 'barMount'].map(
    (slot) => kit[slot as 'stabiliser']!.item!,
  );
  const found = barsOfKit(barsInStock(items, kit), kit, bow);
  expect([found.front?.bar.id, found.front?.spot, found.front?.mount]).toEqual([
    'ahead',
    'front',
    null,
  ]);
  expect([found.rear?.bar.id, found.rear?.spot, found.rear?.sideDeg]).toEqual(['back', 'rear', 30]);
  // Without the bar there is none, whatever mount there is.
  const { rearBar: _rear, ...without } = kit;
  expect(barsOfKit(barsInStock(items, without), without, bow).rear).toBeNull();
});

describe('what was mounted, and what was read of it since', () => {
  const two = { id: 'coarse', name: 'coarse', massG: gram(30), count: 2 };
  const slide = { id: 'slide', name: 'slide', massG: gram(160) };
  const set = {
    ...bar('wide', two),
    ...{ mount: slide, downDeg: degree(10), sideDeg: degree(20), slideMm: mm(15) },
  } as unknown as BarSet;
  const noted = (key: 'frontBar' | 'rearBar', seq: number, of: BarSet | null) =>
    aReading(seq, key, null, { choice: 'a bar', data: { kind: 'bar', set: of } });
  const standing = (...more: Reading[]) => mountedBars(historyOf(more));

  test('nobody noted any: not known; none on one side: none there', () => {
    expect(standing()).toBeNull();
    expect(standing(noted('rearBar', 1, set))).toEqual({ front: null, rear: set });
    expect(standing(noted('frontBar', 1, set), noted('rearBar', 2, null))).toEqual({
      front: set,
      rear: null,
    });
  });
  test('what was read after it counts, what was read before does not', () => {
    const later = [
      ...[
        aReading(5, 'rearBarDown', 20),
        aReading(6, 'rearBarSide', 40),
        aReading(7, 'rearBarSlide', 30),
      ],
      aReading(8, 'rearDiscs', 3.2),
    ];
    expect(standing(noted('rearBar', 4, set), ...later)!.rear).toEqual({
      ...set,
      ...{ downDeg: 20, sideDeg: 40, slideMm: 30, discs: { ...two, count: 3 } },
    });
    expect(standing(...later, noted('rearBar', 9, set))!.rear).toEqual(set);
    // A bar in front is turned to no side and slid nowhere.
    expect(standing(noted('frontBar', 4, set), ...later)!.front).toEqual(set);
    expect(
      standing(
        noted('frontBar', 4, set),
        aReading(5, 'frontBarDown', 12),
        aReading(6, 'frontDiscs', 1),
      )!.front,
    ).toMatchObject({ downDeg: 12, discs: { count: 1 } });
  });
  test('no disc is none; of a bar that had none nothing is made up', () => {
    const none = [noted('rearBar', 4, set), aReading(5, 'rearDiscs', 0)];
    expect(standing(...none)!.rear!.discs).toBeNull();
    const bare = { ...set, discs: null };
    expect(
      standing(noted('rearBar', 4, bare), aReading(5, 'rearDiscs', 2))!.rear!.discs,
    ).toBeNull();
  });
});
