import { havingSeen, merge, sameValue } from './merge';

const SEEN = { name: 'A', terms: { tax: 19, days: 14 }, people: ['Ann', 'Bo'] };

describe('what two screens changed', () => {
  test.each([
    ['nobody', SEEN, SEEN, SEEN],
    ['only this one', SEEN, { ...SEEN, name: 'B' }, { ...SEEN, name: 'B' }],
    ['only the other', { ...SEEN, name: 'B' }, SEEN, { ...SEEN, name: 'B' }],
    [
      'each another field',
      { ...SEEN, name: 'B' },
      { ...SEEN, terms: { tax: 7, days: 14 } },
      { ...SEEN, name: 'B', terms: { tax: 7, days: 14 } },
    ],
    [
      'each another field one level down',
      { ...SEEN, terms: { tax: 7, days: 14 } },
      { ...SEEN, terms: { tax: 19, days: 30 } },
      { ...SEEN, terms: { tax: 7, days: 30 } },
    ],
    ['both the same', { ...SEEN, name: 'B' }, { ...SEEN, name: 'B' }, { ...SEEN, name: 'B' }],
    [
      'one adds a name, the other takes one away',
      { ...SEEN, people: ['Ann', 'Bo', 'Cy'] },
      { ...SEEN, people: ['Bo'] },
      { ...SEEN, people: ['Bo', 'Cy'] },
    ],
  ])('%s', (_, now, wanted, merged) =>
    expect(merge(now, wanted, SEEN)).toEqual({ value: merged, clashes: [] }),
  );

  test('the same field differently is a clash, and the other’s stays', () => {
    expect(
      merge(
        { ...SEEN, name: 'B', terms: { tax: 7, days: 14 } },
        { ...SEEN, name: 'C', terms: { tax: 21, days: 30 } },
        SEEN,
      ),
    ).toEqual({
      value: { ...SEEN, name: 'B', terms: { tax: 7, days: 30 } },
      clashes: [
        { pointer: '/name', now: 'B' },
        { pointer: '/terms/tax', now: 7 },
      ],
    });
  });

  test('items of a list are known by their id or day, whatever their order', () => {
    const step = (id: string, minutes: number) => ({ id, minutes });
    const seen = [step('a', 1), step('b', 2)];
    expect(merge([step('b', 5), step('a', 1)], [step('a', 9), step('b', 2)], seen).value).toEqual([
      step('a', 9),
      step('b', 5),
    ]);
    expect(merge([step('a', 5), step('b', 2)], [step('a', 9), step('b', 2)], seen).clashes).toEqual(
      [{ pointer: '/a/minutes', now: 5 }],
    );
    const day = (on: string) => ({ day: on, name: 'x' });
    expect(merge([day('1'), day('2')], [day('1'), day('3')], [day('1')]).value).toEqual([
      day('1'),
      day('3'),
      day('2'),
    ]);
  });

  test('changed here and taken away there is a clash; taken away by both is gone', () => {
    const a = { id: 'a', n: 1 };
    expect(merge([], [{ ...a, n: 2 }], [a])).toEqual({
      value: [],
      clashes: [{ pointer: '/a', now: undefined }],
    });
    expect(merge([{ ...a, n: 2 }], [], [a])).toEqual({
      value: [{ ...a, n: 2 }],
      clashes: [{ pointer: '/a', now: { ...a, n: 2 } }],
    });
    expect(merge([], [], [a])).toEqual({ value: [], clashes: [] });
  });

  test('lists without names are one value', () => {
    expect(merge([1, 2], [3], [1]).clashes).toEqual([{ pointer: '', now: [1, 2] }]);
    expect(merge(['a', 'a'], ['b'], ['a']).clashes).toHaveLength(1);
  });

  test('a name that looks like a path stays one name', () => {
    const clashes = merge({ 'a/b~': 2 }, { 'a/b~': 3 }, { 'a/b~': 1 }).clashes;
    expect(clashes).toEqual([{ pointer: '/a~1b~0', now: 2 }]);
    expect(havingSeen({ 'a/b~': 1 }, clashes)).toEqual({ 'a/b~': 2 });
  });
});

test('having been shown the clashes, the same wish is no clash any more and keeps the rest of the other', () => {
  const seen = { t: { tax: 19, days: 14 }, own: [{ id: 'a', n: 1 }] };
  const now = { t: { tax: 7, days: 30 }, own: [] };
  const wanted = { t: { tax: 21, days: 14 }, own: [{ id: 'a', n: 2 }] };
  const { clashes } = merge(now, wanted, seen);
  expect(clashes.map(({ pointer }) => pointer)).toEqual(['/t/tax', '/own/a']);
  expect(merge(now, wanted, havingSeen(seen, clashes))).toEqual({
    value: { t: { tax: 21, days: 30 }, own: [{ id: 'a', n: 2 }] },
    clashes: [],
  });
});

test('equal whatever the order of fields, unequal by the order of a list', () => {
  expect(sameValue({ a: 1, b: [1] }, { b: [1], a: 1 })).toBe(true);
  expect(sameValue([1, 2], [2, 1])).toBe(false);
  expect(sameValue(undefined, null)).toBe(false);
});
