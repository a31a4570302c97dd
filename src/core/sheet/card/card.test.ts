import { slopeTable } from '../../flight';
import { aSheet } from '../../testing/a-sheet';
import { gram, metre, mm, mps } from '../../units';
import { cardFaces, type CardFace } from './card';
import { CARD_SIZES } from './card-ground';
import { cardPair, cardSheet } from './card-sheet';

const sheet = aSheet();
const code = Array.from({ length: 97 }, (_, r) =>
  Array.from({ length: 97 }, (_u, c) => ((r + c) % 3 === 0 ? '1' : '0')).join(''),
);
const words = (face: CardFace) =>
  face.items.flatMap((item) => (item.kind === 'text' ? [item.text] : []));

/** The furthest anything reaches, mm: letters are at most .62 em wide on average. */
function reach({ items }: CardFace) {
  const box = { left: Infinity, right: -Infinity, top: Infinity, bottom: -Infinity };
  const take = (x1: number, y1: number, x2: number, y2: number) => {
    box.left = Math.min(box.left, x1, x2);
    box.right = Math.max(box.right, x1, x2);
    box.top = Math.min(box.top, y1, y2);
    box.bottom = Math.max(box.bottom, y1, y2);
  };
  for (const item of items) {
    if (item.kind === 'line') take(item.x1, item.y1, item.x2, item.y2);
    else if (item.kind === 'box')
      take(item.x, item.y, item.x + item.widthMm, item.y + item.heightMm);
    else {
      const width = item.text.length * item.sizeMm * 0.62;
      const from =
        item.x - (item.anchor === 'end' ? width : item.anchor === 'middle' ? width / 2 : 0);
      take(from, item.y - item.sizeMm, from + width, item.y);
    }
  }
  return box;
}

describe.each(['field', 'case'] as const)('the %s card', (size) => {
  const { widthMm, heightMm } = CARD_SIZES[size];
  const { front, back } = cardFaces(sheet, size, code);

  test('nothing reaches over its edge', () => {
    for (const face of [front, back]) {
      const { left, right, top, bottom } = reach(face);
      expect(left).toBeGreaterThanOrEqual(1);
      expect(top).toBeGreaterThanOrEqual(1);
      expect(right).toBeLessThanOrEqual(widthMm - 1);
      expect(bottom).toBeLessThanOrEqual(heightMm - 1);
    }
  });
  test('the back has ten numbers or more, bow, shop and code; nothing lies on the code', () => {
    const said = words(back);
    for (const name of ['Draw length at the wall', 'Peak weight', 'Peep on the string'])
      expect(said).toContain(name);
    expect(said).toContain('Testhav Probe 31');
    expect(said.join(' ')).toContain('Prüfhaus');
    const boxes = back.items.flatMap((item) => (item.kind === 'box' ? [item] : []));
    const box = {
      left: Math.min(...boxes.map(({ x }) => x)),
      top: Math.min(...boxes.map(({ y }) => y)),
      right: Math.max(...boxes.map(({ x, widthMm: w }) => x + w)),
      bottom: Math.max(...boxes.map(({ y, heightMm: h }) => y + h)),
    };
    // Each black square as wide as another, to be told apart by a camera: a third of a millimetre.
    expect(Math.min(...boxes.map(({ heightMm: h }) => h))).toBeGreaterThan(0.32);
    for (const item of back.items) {
      if (item.kind !== 'text') continue;
      const right = item.anchor === 'end' ? item.x : item.x + item.text.length * item.sizeMm * 0.5;
      const inside =
        right > box.left &&
        item.x < box.right &&
        item.y > box.top &&
        item.y - item.sizeMm < box.bottom;
      expect([item.text, inside]).toEqual([item.text, false]);
    }
  });
  test('the front has every mark, slopes and weather', () => {
    const said = words(front);
    for (const row of sheet.marks!.rows) {
      expect(said).toContain(row.distanceText);
      expect(said).toContain(row.belowFirstMm.toFixed(1).replace('-', '−'));
    }
    const flight = sheet.marks!.flight!;
    const far = sheet.marks!.rows.at(-1)!.distanceM;
    const [steep] = slopeTable(
      {
        speedMps: mps(flight.speedMps),
        arrowG: gram(flight.arrowG),
        shaftOuterMm: mm(flight.shaftOuterMm),
        peepHeightMm: mm(flight.peepHeightMm),
        peepToPinMm: mm(flight.peepToPinMm),
      },
      [metre(far)],
      [30],
    );
    expect(said).toContain(steep!.shootAsM!.toFixed(1));
    expect(said).toContain('1000 m up');
  });
  test('without marks it says so; without a code it is a card all the same', () => {
    const bare = cardFaces({ ...sheet, marks: null }, size, null);
    expect(words(bare.front).join(' ')).toContain('shoot the first distance');
    expect(bare.back.items.some(({ kind }) => kind === 'box')).toBe(false);
  });
  test('names too long for it are cut, numbers and telephone never', () => {
    const long = {
      ...sheet,
      archer: {
        ...sheet.archer,
        name: 'Maximiliane-Theodora von und zu Langenfels-Wassertrüdingen',
      },
      bow: {
        ...sheet.bow!,
        name: 'Ein Bogen mit einem sehr, sehr langen Namen 34',
        serial: 'N'.repeat(60),
      },
      shop: {
        ...sheet.shop,
        name: 'Werkstatt am Ufer des langen Namens',
        phone: '0199 555 0147 123',
      },
    };
    const faces = cardFaces(long, size, code);
    for (const face of [faces.front, faces.back]) {
      const { left, right } = reach(face);
      expect(left).toBeGreaterThanOrEqual(0.5);
      expect(right).toBeLessThanOrEqual(widthMm - 0.5);
    }
    const said = words(faces.back).join(' ');
    expect(said).toContain('…');
    expect(said).toContain('0199 555 0147 123');
  });
  test('of a sight with several pins it shows their gaps', () => {
    const pins = [20, 30, 40].map((distanceM, i) => ({
      distanceM,
      distanceText: `${distanceM} m`,
      belowFirstMm: 7 * i,
      gapMm: i === 0 ? null : 7,
    }));
    const said = words(cardFaces({ ...sheet, marks: { ...sheet.marks!, pins } }, size, null).front);
    expect(said).toEqual(expect.arrayContaining(['pin 1, 20 m', 'pin 3, 40 m', '+7.0']));
  });
});

describe('cards on paper', () => {
  test.each([
    ['field', 'A4', 4],
    ['field', 'LETTER', 4],
    ['case', 'A4', 2],
    ['case', 'LETTER', 1],
  ] as const)('%s cards on %s: %i, cut marks outside of them', (size, paper, count) => {
    const faces = cardFaces(sheet, size, code);
    const page = cardSheet(faces, paper);
    expect(page.count).toBe(count);
    const pair = cardPair(faces);
    expect(pair.widthMm).toBe(2 * CARD_SIZES[size].widthMm);
    const fold = page.items.filter((item) => item.kind === 'line' && item.dashed);
    expect(fold).toHaveLength(count);
    for (const line of fold)
      expect(line.kind === 'line' && Math.abs(line.y2 - line.y1)).toBeCloseTo(
        CARD_SIZES[size].heightMm,
        9,
      );
    // All cards stand in the middle of the paper, and everything of each pair lies within its cut.
    const lines = fold.flatMap((item) => (item.kind === 'line' ? [item] : []));
    for (const { x1, x2 } of lines) expect([x1, x2]).toEqual([page.widthMm / 2, page.widthMm / 2]);
    const tops = lines.map(({ y1, y2 }) => Math.min(y1, y2));
    expect(tops[0]! + Math.max(...lines.flatMap(({ y1, y2 }) => [y1, y2]))).toBeCloseTo(
      page.heightMm,
      6,
    );
    const at = ({ x1, y1, x2, y2 }: { x1: number; y1: number; x2: number; y2: number }) => [
      ...[x1, y1, x2, y2].map((mm) => Number(mm.toFixed(6))),
    ];
    const drawn = page.items.flatMap((item) => (item.kind === 'line' ? [at(item)] : []));
    const left = page.widthMm / 2 - CARD_SIZES[size].widthMm;
    for (const top of tops)
      for (const item of pair.items)
        if (item.kind === 'line')
          expect(drawn).toContainEqual(
            at({ x1: item.x1 + left, x2: item.x2 + left, y1: item.y1 + top, y2: item.y2 + top }),
          );
  });
});
