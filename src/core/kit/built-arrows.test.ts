import { demoCatalogue } from '../../../demo/load-csv';
import { aBow } from '../testing/fixtures';
import { told } from '../testing/told';
import { gram, mm, newton } from '../units';
import {
  arrowParts,
  arrowsItem,
  builtArrow,
  firstChoice,
  isArrowComponent,
  safeLengthMm,
  shaftOffers,
  type AnyPart,
  type ArrowChoice,
  type ArrowGround,
  type PartOf,
} from '.';

const ALL = demoCatalogue().filter(isArrowComponent) as AnyPart[];
const find = (id: string) => ALL.find((part) => part.id === id) ?? null;
const GROUND: ArrowGround = {
  bow: aBow(),
  drawLengthMm: mm(711),
  peakN: newton(222),
  overhangMm: mm(25),
  restAheadMm: mm(0),
};
const CHOICE: ArrowChoice = {
  name: 'A',
  shaftId: 'shaft-halm-5',
  nockId: 'nock-rund',
  vaneId: 'vane-flach',
  vaneCount: 3,
  insertId: 'insert-alu',
  pointId: 'point-feld-100',
  lengthMm: mm(720),
  count: 12,
};
const built = (changes: Partial<ArrowChoice> = {}, ground: Partial<ArrowGround> = {}) => {
  const choice = { ...CHOICE, ...changes };
  return builtArrow(choice, arrowParts(choice, find)!, { ...GROUND, ...ground });
};

describe('a built arrow', () => {
  test('its mass is that of its parts, its price theirs times the set', () => {
    const answer = built();
    if (!answer.ok) throw new Error(answer.message);
    expect(answer.massG).toBeCloseTo(0.0196 * 720 + 0.58 + 3 * 0.36 + 1.3 + 6.48, 2);
    expect(answer.priceCents).toBe(12 * (650 + 60 + 70 + 90 + 3 * 40));
    expect(answer.frontOfCentrePct).toBeGreaterThan(5);
    expect(answer.goodFromIn!).toBeLessThan(answer.neededSpineIn!);
    expect(answer.speedMps).toBeGreaterThan(60);
    expect(answer.energyJ).toBeCloseTo((0.5 * answer.massG * answer.speedMps! ** 2) / 1000, 3);
    const heavier = answer.changes.find(({ name }) => name.includes('point'))!;
    expect(heavier.speedMps).toBeLessThan(0);
    expect(heavier.massG).toBeGreaterThan(0);
  });

  test('without a bow there is a mass and a balance, and nothing made up', () => {
    const answer = built({}, { bow: null, peakN: null, drawLengthMm: null });
    expect(answer).toMatchObject({ ok: true, speedMps: null, energyJ: null, goodFromIn: null });
    expect(answer).not.toHaveProperty('neededSpineIn');
  });

  test.each([
    ['too short to be safe', { lengthMm: mm(690) }, {}, 'too-short'],
    ['longer than it comes', { lengthMm: mm(820) }, {}, 'past-stock-length'],
    ['a nock for another bore', { nockId: 'nock-schmal' }, {}, 'nock-bore'],
    ['an insert for another bore', { insertId: 'insert-schmal' }, {}, 'insert-bore'],
    ['too light for the weight', {}, { peakN: newton(360) }, 'arrow-too-light'],
  ] as const)('%s is refused', (_, changes, ground, reason) =>
    expect(built(changes, ground)).toMatchObject({ ok: false, reason }),
  );

  test('safe is past the rest by the shop’s overhang, wherever the rest stands', () => {
    expect(safeLengthMm(GROUND)).toBeCloseTo(711 - 44.45 + 25, 6);
    expect(safeLengthMm({ ...GROUND, restAheadMm: mm(-20) })).toBeCloseTo(711 - 44.45 + 5, 6);
    expect(safeLengthMm({ ...GROUND, overhangMm: mm(40) })).toBeCloseTo(711 - 44.45 + 40, 6);
    expect(safeLengthMm({ ...GROUND, drawLengthMm: null })).toBeNull();
  });

  test('shafts stand weak to stiff, with what goes into them', () => {
    const shafts = ALL.filter(({ slot }) => slot === 'shaft') as unknown as PartOf<'shaft'>[];
    const offers = shaftOffers(shafts, CHOICE, arrowParts(CHOICE, find)!, GROUND);
    const order = offers.map(({ verdict }) => ['weak', 'good', 'stiff'].indexOf(verdict!));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(new Set(order).size).toBe(3);
    expect(
      offers.filter(({ goesIn }) => !goesIn).every(({ shaft }) => shaft.maker === 'Binsenwerk'),
    ).toBe(true);
    const blind = shaftOffers(shafts, CHOICE, arrowParts(CHOICE, find)!, { ...GROUND, bow: null });
    expect(blind.every(({ verdict }) => verdict === null)).toBe(true);
  });

  test('the first build is safe, goes together and has a good spine', () => {
    const choice = firstChoice(ALL, GROUND, 'A')!;
    const answer = builtArrow(choice, arrowParts(choice, find)!, GROUND);
    expect(answer).toMatchObject({ ok: true, spineVerdict: 'good' });
    expect(firstChoice([], GROUND, 'A')).toBeNull();
  });

  test('as a part of the kit it is like a ready set; what is short is waited for', () => {
    const item = arrowsItem(CHOICE, arrowParts(CHOICE, find)!)!;
    expect(item).toMatchObject({ slot: 'arrows', stock: 1, priceCents: 11880 });
    expect(item.attrs).toMatchObject({ count: 12, shaftLengthMm: 720, vaneHeightMm: 9 });
    const many = { ...CHOICE, count: 144 };
    expect(arrowsItem(many, arrowParts(many, find)!)).toMatchObject({ stock: 0, deliveryDays: 3 });
    expect(arrowParts({ ...CHOICE, nockId: 'gone' }, find)).toBeNull();
    expect(arrowParts({ ...CHOICE, nockId: CHOICE.vaneId }, find)).toBeNull();
    expect(gram(item.massG)).toBeGreaterThan(20);
  });
});

test('many builds, as they were when somebody last read them', () => {
  const left = { hand: 'left' } as const;
  expect(
    told([
      built(),
      built({ lengthMm: mm(740), vaneCount: 4, pointId: 'point-feld-125' }),
      built({ shaftId: 'shaft-halm-34', insertId: 'insert-messing' }),
      built({}, { peakN: newton(265), weighedN: newton(228) }),
      built({}, { drawLengthMm: mm(690), restAheadMm: mm(20) }),
      built({}, { bow: null, weighedN: newton(228) }),
      built({}, { weighedN: null }),
      built({}, { bow: aBow(left), overhangMm: mm(40) }),
      firstChoice(ALL, GROUND, 'A'),
      firstChoice(ALL, { ...GROUND, peakN: newton(140) }, 'B'),
      arrowsItem(CHOICE, arrowParts(CHOICE, find)!),
      shaftOffers(
        ALL.filter(({ slot }) => slot === 'shaft') as unknown as PartOf<'shaft'>[],
        CHOICE,
        arrowParts(CHOICE, find)!,
        GROUND,
      ).map(({ shaft, verdict, goesIn }) => `${shaft.id} ${verdict} ${goesIn}`),
    ]),
  ).toMatchSnapshot();
});
