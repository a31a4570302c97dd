import { spread } from './spread';

describe('spread', () => {
  test('leaves labels alone that have room', () => {
    expect(spread([10, 80, 200], 40, 0, 300)).toEqual([10, 80, 200]);
  });
  test('moves neighbours apart around their middle', () => {
    expect(spread([100, 100], 40, 0, 300)).toEqual([80, 120]);
  });
  test('keeps to the ends', () => {
    expect(spread([0, 1, 2], 40, 20, 300)).toEqual([20, 60, 100]);
    expect(spread([299, 300], 40, 0, 300)).toEqual([260, 300]);
  });
  test('gives way when there is not room for all', () => {
    expect(spread([5, 5, 5], 40, 0, 40)).toEqual([0, 20, 40]);
  });
  test('nothing is nothing', () => expect(spread([], 40, 0, 100)).toEqual([]));
});
