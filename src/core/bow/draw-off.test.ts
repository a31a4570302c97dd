import { drawnNow, isPair, newest, type DrawOffMark } from '.';

const mark = (first: string, second: string, better: string | null = null): DrawOffMark => ({
  aspect: 'grip',
  first,
  second,
  better,
});

test.each([
  ['a', 'b', true],
  ['b', 'a', true],
  ['a', 'c', false],
  ['c', 'b', false],
  ['b', 'b', false],
  ['c', 'a', false],
  ['b', 'c', false],
])('a mark of a and b is one of %s and %s: %s', (first, second, is) =>
  expect(isPair(mark('a', 'b'), first, second)).toBe(is),
);

test('of one pair and aspect the newest mark counts, whichever was drawn first', () => {
  const marks = [mark('a', 'b', 'a'), mark('a', 'c', 'c'), mark('b', 'a', 'b')];
  expect(newest(marks).map(({ better }) => better)).toEqual(['b', 'c']);
  const wall = { ...mark('a', 'b', 'a'), aspect: 'wall' as const };
  expect(newest([...marks, wall])).toHaveLength(3);
});

test('a bow taken out keeps its marks for when it comes back', () => {
  const drawOff = {
    bowIds: ['a', 'b'],
    speedCounts: true,
    marks: [mark('a', 'b'), mark('b', 'c')],
  };
  expect(drawnNow(drawOff).marks).toEqual([mark('a', 'b')]);
  expect(drawnNow({ ...drawOff, bowIds: ['c', 'b'] }).marks).toEqual([mark('b', 'c')]);
});
