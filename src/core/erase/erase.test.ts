import { deepWithoutNames, quoteWithoutPerson, sheetWithoutPerson, withoutNames } from '.';

describe('a text without names', () => {
  test.each([
    ['for Noor Abeling, soon', ['Noor Abeling'], 'for erased, soon'],
    ['NOOR ABELING', ['Noor Abeling'], 'erased'],
    // Within another word it is another word.
    ['the Abelingsteg and Noorland', ['Abeling', 'Noor'], 'the Abelingsteg and Noorland'],
    ['Åse Øy’s bow', ['Åse Øy'], 'erased’s bow'],
    // The longer one first: no half of a name is left.
    ['Noor Abeling', ['Noor', 'Noor Abeling'], 'erased'],
    ['Li at the lane', ['Li'], 'Li at the lane'],
    ['J. (Jo) [x] *', ['J. (Jo) [x] *'], 'erased'],
    ['nothing', [''], 'nothing'],
  ])('%s without %j', (text, names, left) => expect(withoutNames(text, names)).toBe(left));

  test('in everything that travels as JSON; numbers, keys and nothing stay', () => {
    expect(
      deepWithoutNames({ Noor: 1, a: ['for Noor', null, 2.5, true], b: { c: 'Noor' } }, ['Noor']),
    ).toEqual({ Noor: 1, a: ['for erased', null, 2.5, true], b: { c: 'erased' } });
  });
});

test('a sheet of any version keeps its settings and loses the person', () => {
  const sheet = {
    formatVersion: 2,
    archer: { name: 'Noor', hand: 'right', dominantEye: 'right', guardianName: 'Femke' },
    signature: { by: 'guardian', name: 'Femke', path: 'M0 0' },
    visit: { kind: 'check', words: 'Noor says it pulls left' },
    photos: [{ id: 3 }],
    settings: [{ key: 'peepHeight', si: 150, reason: 'as Noor likes it' }],
    totalCents: 129_00,
  };
  expect(sheetWithoutPerson(sheet, ['Noor', 'Femke'])).toEqual({
    formatVersion: 2,
    archer: { name: 'erased', hand: 'right', dominantEye: 'right', guardianName: null },
    signature: null,
    visit: { kind: 'check', words: '' },
    photos: [],
    settings: [{ key: 'peepHeight', si: 150, reason: 'as erased likes it' }],
    totalCents: 129_00,
  });
  const first = { formatVersion: 1, archer: { name: 'Noor' }, settings: [] };
  expect(sheetWithoutPerson(first, ['Noor'])).toEqual({
    formatVersion: 1,
    archer: { name: 'erased', guardianName: null },
    settings: [],
  });
});

test('a quote keeps its lines and sums', () => {
  expect(
    quoteWithoutPerson({ archer: { name: 'Noor' }, totalCents: 5, lines: [{ name: 'Bow' }] }, [
      'Noor',
    ]),
  ).toEqual({ archer: { name: 'erased' }, totalCents: 5, lines: [{ name: 'Bow' }] });
});
