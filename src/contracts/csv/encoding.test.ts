import { decodeText, isPriceJump } from '.';

/** Bytes of a text in a one-byte encoding, letter by letter, from its own table. */
const bytes = (text: string, table: Readonly<Record<string, number>>) =>
  Uint8Array.from([...text].map((letter) => table[letter] ?? letter.charCodeAt(0)));
// Code pages as published by their registrants.
const WINDOWS = { ä: 0xe4, ö: 0xf6, ü: 0xfc, ß: 0xdf, '€': 0x80, é: 0xe9, '–': 0x96 };
const MAC = { ä: 0x8a, ö: 0x9a, ü: 0x9f, ß: 0xa7, é: 0x8e };
const LINE = 'Rohrdommel,Läufer für Größe,89 €';

describe('how a file is written', () => {
  test('UTF-8, with and without its mark, leaves no doubt', () => {
    const plain = new TextEncoder().encode(LINE);
    expect(decodeText(plain)).toEqual({
      say: 'read',
      reading: { encoding: 'utf-8', text: LINE, sample: '' },
      others: [],
    });
    const marked = decodeText(Uint8Array.from([0xef, 0xbb, 0xbf, ...plain]));
    expect(marked).toMatchObject({ say: 'read', reading: { encoding: 'utf-8', text: LINE } });
  });
  test('UTF-16 by its mark', () => {
    const units = [...LINE].flatMap((letter) => {
      const code = letter.charCodeAt(0);
      return [code & 255, code >> 8];
    });
    expect(decodeText(Uint8Array.from([0xff, 0xfe, ...units]))).toMatchObject({
      reading: { encoding: 'utf-16le', text: LINE },
    });
  });
  test('Windows-1252 is found, with others to choose from and words to look at', () => {
    const answer = decodeText(bytes(LINE, WINDOWS));
    expect(answer).toMatchObject({
      say: 'read',
      reading: { encoding: 'windows-1252', text: LINE, sample: 'Läufer · für · Größe · €' },
    });
    expect(answer.say === 'read' && answer.others.map(({ encoding }) => encoding)).toEqual([
      'windows-1250',
      'macintosh',
    ]);
  });
  test('what Windows hardly writes is asked, not guessed', () => {
    const answer = decodeText(bytes('Läufer für Größe', MAC));
    if (answer.say !== 'ask') throw new Error('It was not asked');
    const mac = answer.readings.find(({ encoding }) => encoding === 'macintosh')!;
    expect([mac.text, mac.sample]).toEqual(['Läufer für Größe', 'Läufer · für · Größe']);
  });
  test('a spreadsheet’s own file, and one cut off in the middle of a letter, are refused', () => {
    expect(decodeText(Uint8Array.from([0x50, 0x4b, 3, 4, 0, 0]))).toMatchObject({
      say: 'refused',
      message: expect.stringContaining('CSV') as string,
    });
    expect(decodeText(Uint8Array.from([0xef, 0xbb, 0xbf, 0x61, 0xc3])).say).toBe('refused');
  });
  test('an empty file is an empty text', () =>
    expect(decodeText(new Uint8Array())).toMatchObject({ reading: { text: '' } }));
});

test.each([
  [30000, 40000, false],
  [30000, 40001, true],
  [30000, 20000, false],
  [30000, 19999, true],
  [0, 5000, false],
  [100, 0, true],
])('a price from %i to %i cents moves by more than a third: %s', (before, after, jump) =>
  expect(isPriceJump(before, after)).toBe(jump),
);
