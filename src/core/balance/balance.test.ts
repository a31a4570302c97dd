import { inverse, seeded } from '../numerics';
import { degree, gram, kgMm2, mm, newtonMm } from '../units';
import {
  barChoice,
  hangCentre,
  massProperties,
  neutralTorques,
  type BarChoiceInput,
  type MassPart,
  type Place,
} from '.';

const place = (forward: number, up: number, right: number): Place => ({
  forwardMm: mm(forward),
  upMm: mm(up),
  rightMm: mm(right),
});
const point = (massG: number, ...at: [number, number, number]): MassPart => ({
  name: 'p',
  massG: gram(massG),
  at: place(...at),
});

describe('mass properties', () => {
  test('of one kilogram a metre in front, by hand', () => {
    expect(massProperties([point(1000, 1000, 0, 0)])).toMatchObject({
      massG: 1000,
      centre: { forwardMm: 1000, upMm: 0, rightMm: 0 },
      // 1 kg at 1 m: 9.80665 N·m, 1 kg·m².
      pitchTorqueNmm: 9806.65,
      rollTorqueNmm: 0,
      yawInertiaKgMm2: 1e6,
      pitchInertiaKgMm2: 1e6,
      rollInertiaKgMm2: 0,
    });
  });
  test('a rod turned about its end has a third of m·l², about its middle a twelfth', () => {
    const rod = (from: Place, to: Place): MassPart => ({ name: 'r', massG: gram(300), from, to });
    const end = massProperties([rod(place(0, 0, 0), place(600, 0, 0))]);
    expect(end.yawInertiaKgMm2).toBeCloseTo((0.3 * 600 ** 2) / 3, 6);
    const middle = massProperties([rod(place(-300, 0, 0), place(300, 0, 0))]);
    expect(middle.yawInertiaKgMm2).toBeCloseTo((0.3 * 600 ** 2) / 12, 6);
  });
  test('a rod is what a thousand points along it are', () => {
    const [from, to] = [place(20, -60, 5), place(-180, 140, 90)];
    const at = (part: number): [number, number, number] => [
      from.forwardMm + part * (to.forwardMm - from.forwardMm),
      from.upMm + part * (to.upMm - from.upMm),
      from.rightMm + part * (to.rightMm - from.rightMm),
    ];
    const points = Array.from({ length: 1000 }, (_, i) => point(0.25, ...at((i + 0.5) / 1000)));
    const [rod, many] = [
      massProperties([{ name: 'r', massG: gram(250), from, to }]),
      massProperties(points),
    ];
    for (const key of ['yawInertiaKgMm2', 'pitchInertiaKgMm2', 'rollInertiaKgMm2'] as const)
      expect(Math.abs(many[key] / rod[key] - 1)).toBeLessThan(1e-5);
    expect(many.rollTorqueNmm).toBeCloseTo(rod.rollTorqueNmm, 8);
  });
  test('they add up, whatever the order', () => {
    const [a, b] = [[point(900, 10, 20, 5)], [point(200, 180, 120, 30), point(90, -90, -70, -40)]];
    const [ofA, ofB, of] = [a, b, [...b, ...a]].map(massProperties) as [
      ReturnType<typeof massProperties>,
      ReturnType<typeof massProperties>,
      ReturnType<typeof massProperties>,
    ];
    expect(of.rollTorqueNmm).toBeCloseTo(ofA.rollTorqueNmm + ofB.rollTorqueNmm, 9);
    expect(of.yawInertiaKgMm2).toBeCloseTo(ofA.yawInertiaKgMm2 + ofB.yawInertiaKgMm2, 9);
  });
});

describe('the hang test', () => {
  /** How a bow with this centre hangs from a point, by geometry alone. */
  const leanFrom = (centre: [number, number], at: [number, number]) =>
    (Math.atan2(centre[0] - at[0], at[1] - centre[1]) * 180) / Math.PI;
  const hang = (centre: [number, number], at: [number, number], wrong = 0) => ({
    at: { forwardMm: mm(at[0]), upMm: mm(at[1]) },
    leanDeg: degree(leanFrom(centre, at) + wrong),
  });
  const centre: [number, number] = [38, -12];
  const points: [number, number][] = [
    [-40, 420],
    [60, 30],
    [150, 120],
  ];

  test('finds the centre from exact leans, and says from behind where it lies sideways', () => {
    const found = hangCentre({
      hangs: points.map((at) => hang(centre, at)),
      behind: { at: { upMm: mm(420), rightMm: mm(0) }, leanDeg: degree(2) },
    });
    if (!found.ok) throw new Error(found.message);
    expect(found.centre.forwardMm).toBeCloseTo(38, 9);
    expect(found.centre.upMm).toBeCloseTo(-12, 9);
    // 432 mm below the point, 2° to the right: 432·tan 2°.
    expect(found.centre.rightMm).toBeCloseTo(15.0858, 3);
    expect(found.residualsMm.every((mm) => Math.abs(mm) < 1e-9)).toBe(true);
  });

  test('its σ is what half a degree of error scatters it by', () => {
    const random = seeded(5);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const tries = Array.from({ length: 4000 }, () => {
      const found = hangCentre({ hangs: points.map((at) => hang(centre, at, 0.5 * normal())) });
      if (!found.ok) throw new Error(found.message);
      return [found.centre.forwardMm, found.centre.upMm] as const;
    });
    const exact = hangCentre({ hangs: points.map((at) => hang(centre, at)) });
    if (!exact.ok) throw new Error(exact.message);
    const spread = (i: 0 | 1, j: 0 | 1) =>
      tries.reduce((sum, one) => sum + (one[i] - centre[i]) * (one[j] - centre[j]), 0) / 4000;
    expect(Math.sqrt(spread(0, 0)) / exact.sigmaMm.forwardMm).toBeCloseTo(1, 1);
    expect(Math.sqrt(spread(1, 1)) / exact.sigmaMm.upMm).toBeCloseTo(1, 1);
    const correlation = spread(0, 1) / Math.sqrt(spread(0, 0) * spread(1, 1));
    expect(Math.abs(correlation - exact.correlation)).toBeLessThan(0.05);
    expect(
      inverse([
        [1, correlation],
        [correlation, 1],
      ]),
    ).not.toBeNull();
  });

  test.each([
    ['one hang', [hang(centre, points[0]!)], 'one-hang'],
    [
      'two hangs from one line',
      [hang(centre, points[0]!), hang(centre, [-39, 400])],
      'lines-alike',
    ],
    [
      'a lean of 80°',
      [hang(centre, points[0]!), { at: { forwardMm: mm(0), upMm: mm(0) }, leanDeg: degree(80) }],
      'steep-lean',
    ],
  ])('%s is refused with what to do instead', (_, hangs, reason) => {
    const found = hangCentre({ hangs });
    expect(found).toMatchObject({ ok: false, reason, field: 'hangs' });
  });
});

describe('the reaction', () => {
  const shot = (roll: number, tip: 'left' | 'right' | 'stays', tipHow?: 'slight' | 'clear') => ({
    rollTorqueNmm: newtonMm(roll),
    pitchTorqueNmm: newtonMm(0),
    tip,
    ...(tipHow ? { tipHow } : {}),
    pitch: 'stays' as const,
  });
  test('without a shot it is what bows are like', () => {
    expect(neutralTorques([])).toEqual({
      neutralRollNmm: 0,
      sigmaRollNmm: 150,
      neutralPitchNmm: 150,
      sigmaPitchNmm: 250,
    });
  });
  test('one that stays at 100: (0/150² + 100/40²)/(1/150² + 1/40²) = 93.36', () => {
    const { neutralRollNmm, sigmaRollNmm } = neutralTorques([shot(100, 'stays')]);
    expect(neutralRollNmm).toBeCloseTo(93.361, 3);
    expect(sigmaRollNmm).toBeCloseTo(38.65, 2);
  });
  test('mirrored, the neutral roll is mirrored', () => {
    const a = neutralTorques([shot(120, 'right', 'clear'), shot(30, 'left', 'slight')]);
    const b = neutralTorques([shot(-120, 'left', 'clear'), shot(-30, 'right', 'slight')]);
    expect(b.neutralRollNmm).toBeCloseTo(-a.neutralRollNmm, 9);
    expect(b.sigmaRollNmm).toBe(a.sigmaRollNmm);
  });
  test('the order of the tries does not matter, and every try makes it surer', () => {
    const tries = [shot(80, 'right'), shot(10, 'left', 'clear'), shot(40, 'stays')];
    const [there, back] = [neutralTorques(tries), neutralTorques([...tries].reverse())];
    expect(back.neutralRollNmm).toBeCloseTo(there.neutralRollNmm, 9);
    expect(there.sigmaRollNmm).toBeLessThan(neutralTorques(tries.slice(0, 2)).sigmaRollNmm);
  });
});

describe('the bar chooser', () => {
  const input = (changes: Partial<BarChoiceInput> = {}): BarChoiceInput => ({
    hand: 'right',
    bare: {
      massG: gram(2300),
      centre: place(24, -8, 7),
      yawInertiaKgMm2: kgMm2(11_000),
      pitchInertiaKgMm2: kgMm2(60_000),
    },
    front: {
      mounts: [{ id: 'low', at: place(22, -70, 0), downDeg: [degree(0), degree(10)] }],
      bars: [
        { id: 'f8', lengthMm: mm(203), massG: gram(65) },
        { id: 'f12', lengthMm: mm(305), massG: gram(95) },
      ],
      weights: [{ id: 'w28', massG: gram(28), most: 4 }],
    },
    rear: {
      mounts: [
        {
          id: 'side',
          at: place(-8, -85, -18),
          sideDeg: [degree(0), degree(20), degree(40)],
          downDeg: [degree(0), degree(30)],
        },
      ],
      bars: [{ id: 'r10', lengthMm: mm(254), massG: gram(86) }],
      weights: [
        { id: 'w28', massG: gram(28), most: 4 },
        { id: 'w56', massG: gram(56), most: 2 },
      ],
    },
    pitchBandNmm: [100, 700],
    rollToleranceNmm: 30,
    massLimitG: gram(2800),
    ...changes,
  });
  const chosen = (one: BarChoiceInput) => {
    const found = barChoice(one);
    if (!found.ok) throw new Error(found.message);
    return found;
  };

  /** Every way, from its parts as they hang on the bow; nothing of the chooser is used. */
  function everyWay({ hand, bare, front, rear }: BarChoiceInput) {
    const radians = (degrees: number) => (degrees * Math.PI) / 180;
    type Way = readonly MassPart[];
    const sideWays = (side: typeof front, isRear: boolean): Way[] => [
      [],
      ...side.mounts.flatMap((mount) =>
        mount.downDeg.flatMap((down) =>
          ((mount as { sideDeg?: readonly number[] }).sideDeg ?? [0]).flatMap((aside) =>
            side.bars.flatMap(({ lengthMm, massG }) => {
              const [d, s] = [radians(down), radians(aside)];
              const forward = isRear ? -Math.cos(d) * Math.cos(s) : Math.cos(d);
              const right = isRear ? (hand === 'right' ? -1 : 1) * Math.cos(d) * Math.sin(s) : 0;
              const end = place(
                mount.at.forwardMm + lengthMm * forward,
                mount.at.upMm - lengthMm * Math.sin(d),
                mount.at.rightMm + lengthMm * right,
              );
              const bar: MassPart = { name: 'bar', massG, from: mount.at, to: end };
              const loads = side.weights.flatMap((weight) =>
                Array.from({ length: weight.most }, (_, i) => weight.massG * (i + 1)),
              );
              return [
                [bar],
                ...loads.map((load) => [bar, { name: 'w', massG: gram(load), at: end }]),
              ];
            }),
          ),
        ),
      ),
    ];
    const bow: MassPart = { name: 'bow', massG: bare.massG, at: bare.centre };
    const own = massProperties([bow]);
    return sideWays(front, false).flatMap((a) =>
      sideWays(rear, true).map((b) => {
        const of = massProperties([bow, ...a, ...b]);
        return {
          massG: of.massG as number,
          roll: of.rollTorqueNmm as number,
          pitch: of.pitchTorqueNmm as number,
          inertia:
            of.yawInertiaKgMm2 +
            of.pitchInertiaKgMm2 -
            own.yawInertiaKgMm2 -
            own.pitchInertiaKgMm2 +
            bare.yawInertiaKgMm2 +
            bare.pitchInertiaKgMm2,
        };
      }),
    );
  }

  test.each(Array.from({ length: 25 }, (_, i) => i))(
    'is as good as trying every way, %i',
    (seed) => {
      const random = seeded(seed + 1);
      const one = input({
        hand: random() < 0.5 ? 'right' : 'left',
        massLimitG: gram(2350 + 600 * random()),
        rollToleranceNmm: 60 * random(),
        rollTargetNmm: 200 * (random() - 0.5),
        pitchBandNmm: [200 * random(), 300 + 500 * random()],
      });
      const target = one.rollTargetNmm!;
      const allowed = everyWay(one).filter(
        ({ massG, roll, pitch }) =>
          massG <= one.massLimitG &&
          Math.abs(roll - target) <= one.rollToleranceNmm &&
          pitch >= one.pitchBandNmm[0] &&
          pitch <= one.pitchBandNmm[1],
      );
      const found = chosen(one);
      if (allowed.length === 0) {
        const overOf = ({ roll, pitch }: { roll: number; pitch: number }) =>
          Math.max(0, Math.abs(roll - target) - one.rollToleranceNmm) +
          Math.max(0, one.pitchBandNmm[0] - pitch, pitch - one.pitchBandNmm[1]);
        const within = everyWay(one).filter(({ massG }) => massG <= one.massLimitG);
        expect(found.status).toBe('nearest');
        expect(found.overNmm).toBeCloseTo(Math.min(...within.map(overOf)), 6);
        return;
      }
      const most = Math.max(...allowed.map(({ inertia }) => inertia));
      expect(found.status).toBe('met');
      expect(found.yawInertiaKgMm2 + found.pitchInertiaKgMm2).toBeCloseTo(most, 5);
      // Of every mass the most inertia: nothing allowed lies above the frontier.
      for (const way of allowed)
        expect(
          found.frontier!.some(
            ({ massG, inertiaKgMm2 }) =>
              massG <= way.massG + 1e-6 && inertiaKgMm2 >= way.inertia - 1e-5,
          ),
        ).toBe(true);
      const masses = found.frontier!.map(({ massG }) => massG);
      expect(masses).toEqual([...masses].sort((a, b) => a - b));
      expect(found.lookedAt).toBeLessThanOrEqual(found.combinations);
    },
  );

  test('a left-handed bow is the right-handed one in a mirror', () => {
    const mirrored = (at: Place) => place(at.forwardMm, at.upMm, -at.rightMm);
    const right = input({ rollTargetNmm: 40 });
    const left: BarChoiceInput = {
      ...right,
      hand: 'left',
      rollTargetNmm: -40,
      bare: { ...right.bare, centre: mirrored(right.bare.centre) },
      rear: {
        ...right.rear,
        mounts: right.rear.mounts.map((mount: BarChoiceInput['rear']['mounts'][number]) => ({
          ...mount,
          at: mirrored(mount.at),
        })),
      },
    };
    const [a, b] = [chosen(right), chosen(left)];
    expect(b.rear).toEqual(a.rear);
    expect(b.rollTorqueNmm).toBeCloseTo(-a.rollTorqueNmm, 9);
  });

  test('without bars the bow stands as it is, and it is said by how much it is off', () => {
    const none = { mounts: [], bars: [], weights: [] };
    const found = chosen(input({ front: none, rear: none, rollToleranceNmm: 20 }));
    // 2.3 kg · 9.80665 · 7 mm = 157.89 N·mm of roll, 20 of it allowed.
    expect(found).toMatchObject({ status: 'nearest', front: null, rear: null, combinations: 1 });
    expect(found.overNmm).toBeCloseTo(137.887, 3);
  });

  test.each([
    ['a limit under the bow’s own mass', { massLimitG: gram(2200) }, 'over-limit'],
    ['a pitch band the wrong way round', { pitchBandNmm: [300, 100] as const }, 'band-turned'],
    [
      'too many ways to try',
      {
        front: {
          ...input().front,
          bars: Array.from({ length: 60 }, (_, i) => ({
            id: `b${i}`,
            lengthMm: mm(200 + i),
            massG: gram(60),
          })),
          mounts: [{ id: 'm', at: place(0, 0, 0), downDeg: Array(72).fill(degree(3)) }],
          weights: [{ id: 'w', massG: gram(20), most: 40 }],
        },
      },
      'too-many-ways',
    ],
  ])('%s is refused', (_, changes, reason) =>
    expect(barChoice(input(changes as Partial<BarChoiceInput>))).toMatchObject({
      ok: false,
      reason,
    }),
  );
});
