import { fractionRuns } from './fraction';

const words = (text: string) => ({ kind: 'words', text });
const fraction = (whole: string, numerator: string, denominator: string) => ({
  kind: 'fraction',
  whole,
  numerator,
  denominator,
});

describe('a text taken apart at its fractions', () => {
  test.each([
    ['set to 27 3/8 in', [words('set to '), fraction('27', '3', '8'), words(' in')]],
    ['13/16 in', [fraction('', '13', '16'), words(' in')]],
    ['6 5/16 to 6 11/16', [fraction('6', '5', '16'), words(' to '), fraction('6', '11', '16')]],
    ['+1/16', [words('+'), fraction('', '1', '16')]],
    ['no fraction here', [words('no fraction here')]],
    ['a/b and 1/ and /2', [words('a/b and 1/ and /2')]],
    ['', []],
  ])('%s', (text, runs) => expect(fractionRuns(text)).toEqual(runs));
});
