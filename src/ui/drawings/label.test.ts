import { labelWithin } from './label';

const TEXT = 'where they can draw half the time';

test.each<[string, number, number, readonly string[], number]>([
  ['one line where there is room', 300, 680, [TEXT], 300],
  ['two where there is not', 252, 446, ['where they can', 'draw half the time'], 252],
  ['moved back from the edge', 400, 446, ['where they can', 'draw half the time'], 309],
])('%s', (_, x, width, lines, at) => {
  const label = labelWithin(TEXT, x, width);
  expect(label.lines).toEqual(lines);
  expect(label.x).toBeCloseTo(at, 0);
});

test('a long word stays whole, and begins within the drawing', () => {
  expect(labelWithin('Handauszugskraft', 90, 100)).toEqual({ lines: ['Handauszugskraft'], x: 0 });
});
