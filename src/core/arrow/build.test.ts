import { examples, expectAgrees } from '../testing/examples';
import { gram, mm, newton } from '../units';
import { arrowChanges, arrowOf, type ArrowBuild } from '.';

const BUILD: ArrowBuild = {
  shaftLengthMm: mm(700),
  nockThroatMm: mm(8),
  shaftGPerMm: 0.02,
  nockG: gram(0.6),
  vaneCount: 3,
  vaneG: gram(0.4),
  vaneRearMm: mm(20),
  vaneLengthMm: mm(50),
  insertG: gram(2),
  insertLengthMm: mm(20),
  pointG: gram(8),
  pointCentreMm: mm(9),
};

test.each(examples('arrow'))('$title', ({ request, response, tolerance }) =>
  expectAgrees(arrowOf(request as never), response, tolerance),
);

test('a bare shaft balances in its own middle', () => {
  const bare = arrowOf({
    ...BUILD,
    nockThroatMm: mm(0),
    nockG: gram(0),
    vaneCount: 0,
    insertG: gram(0),
    pointG: gram(0),
  });
  expect(bare).toMatchObject({ ok: true, massG: 14, balanceFromNockMm: 350, frontOfCentrePct: 0 });
});

test('without a bow nothing is said of spine; with one, and without a spine, no verdict', () => {
  expect(arrowOf(BUILD)).not.toHaveProperty('neededSpineIn');
  const withBow = arrowOf({ ...BUILD, peakN: newton(200), character: 'balanced' });
  expect(withBow).toHaveProperty('neededSpineIn');
  expect(withBow).not.toHaveProperty('spineVerdict');
});

test.each([
  ['vanes-off-shaft', { vaneRearMm: mm(680) }],
  ['insert-off-shaft', { insertLengthMm: mm(900) }],
  ['wrap-off-shaft', { wrapG: gram(1), wrapLengthMm: mm(800) }],
  [
    'no-mass',
    { shaftGPerMm: 0, nockG: gram(0), vaneG: gram(0), insertG: gram(0), pointG: gram(0) },
  ],
  ['arrow-too-light', { peakN: newton(400), character: 'fast' as const }],
])('%s is refused', (reason, change) => {
  const answer = arrowOf({ ...BUILD, ...change });
  expect(answer).toMatchObject({ ok: false, reason });
});

test('more point: heavier, further forward, a stiffer shaft needed; shorter: a weaker one will do', () => {
  const changes = arrowChanges({ ...BUILD, peakN: newton(200), character: 'balanced' });
  const of = (name: string) => changes.find((change) => change.name.includes(name))!;
  expect(of('point').massG).toBeCloseTo(1.62, 6);
  expect(of('insert').massG).toBeCloseTo(1.62, 6);
  expect(of('insert').neededSpineIn!).toBeLessThan(0);
  expect(of('point').frontOfCentrePct).toBeGreaterThan(0.5);
  expect(of('point').neededSpineIn!).toBeLessThan(0);
  expect(of('shorter').neededSpineIn!).toBeGreaterThan(0);
  expect(of('vane').frontOfCentrePct).toBeLessThan(0);
  expect(arrowChanges({ ...BUILD, insertLengthMm: mm(900) })).toEqual([]);
});
