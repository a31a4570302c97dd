import { answered, refused, type Outcome } from '../../outcome';
import { setupValue } from '../../setup';
import { CODE_BYTES, FIELDS, HEAD, VERSION, type CodeText } from './code-fields';

const BY_WORD = new Map(FIELDS.map((field) => [field.word, field]));

const NUMBER = '-?\\d{1,6}(?:\\.\\d{1,3})?';

const LINE = new RegExp(`^([a-z][a-z ]*?) (${NUMBER})(?: (mm|N|turns|g|m/s|deg))?$`);

const SHEET = /^sheet (\d{1,7})\.(\d{1,6}) (\d{4}-\d{2}-\d{2})$/;

const MARKS = new RegExp(`^marks m mm below (${NUMBER}): (.+)$`);

/**
 * Reads a code back.
 *
 * @returns a refusal where the text is another program's, of a later version, damaged, or holds a number
 *   that cannot be.
 */
export function readCode(text: string): Outcome<CodeText> {
  if (text.length > 4 * CODE_BYTES)
    return refused('too-long', `A code of this program has at most ${CODE_BYTES} bytes.`);
  const lines = text.split(/\r?\n/).map((line) => line.trim());
  const [head = '', ...rest] = lines.filter(Boolean);
  const version = new RegExp(`^${HEAD} (\\d{1,4})$`).exec(head)?.[1];
  if (version === undefined)
    return refused(
      'other-code',
      'This is no code of a build sheet: its first line would say WAFFENRAD.',
    );
  if (Number(version) > VERSION)
    return refused(
      'later-version',
      `The code is of version ${version}; this program reads version ${VERSION}. Bring the program up to date.`,
    );
  const found: {
    sheet?: RegExpExecArray;
    bow?: string;
    serial?: string;
    shop?: string;
    values: CodeText['values'][number][];
    marks: CodeText['marks'];
  } = { values: [], marks: null };
  for (const line of rest) {
    const sheet = SHEET.exec(line);
    if (sheet) found.sheet = sheet;
    else if (line.startsWith('bow ')) found.bow = line.slice(4);
    else if (line.startsWith('no ')) found.serial = line.slice(3);
    else if (line.startsWith('shop ')) found.shop = line.slice(5);
    else {
      const wrong = line.startsWith('marks ') ? takeMarks(line, found) : takeValue(line, found);
      if (wrong) return wrong;
    }
  }
  const { sheet, bow, serial = null, shop = '', values, marks } = found;
  const hand = /, (right|left)$/.exec(bow ?? '')?.[1] as 'right' | 'left' | undefined;
  if (!sheet || !bow || !hand || Number.isNaN(Date.parse(`${sheet[3]}T00:00:00Z`)))
    return refused('damaged', 'Part of the code is missing: its sheet, its day or its bow.');
  return answered({
    ticket: Number(sheet[1]),
    revision: Number(sheet[2]),
    day: sheet[3]!,
    bow: bow.slice(0, bow.lastIndexOf(',')),
    hand,
    serial,
    shop,
    values,
    marks,
  });
}

function takeValue(line: string, found: { values: CodeText['values'][number][] }) {
  const [, word, text, unit = ''] = LINE.exec(line) ?? [];
  const field = word === undefined ? undefined : BY_WORD.get(word);
  if (!field || field.unit !== unit)
    return refused('unknown-line', `A line of the code cannot be read: “${line.slice(0, 60)}”.`);
  const si = Number(text);
  const {
    name,
    min = Number.NEGATIVE_INFINITY,
    max = Number.POSITIVE_INFINITY,
  } = setupValue(field.key);
  if (si < min || si > max)
    return refused(
      'out-of-range',
      `${name} ${text} ${unit} cannot be: possible is ${min} to ${max}.`,
    );
  if (found.values.some(({ key }) => key === field.key))
    return refused('twice', `${name} stands twice in the code.`);
  found.values.push({ key: field.key, si });
  return null;
}

function takeMarks(line: string, found: { marks: CodeText['marks'] }) {
  const [, first, list] = MARKS.exec(line) ?? [];
  const rows = (list ?? '').split(', ').map((pair) => pair.split(' ').map(Number));
  const isMark = ([m = Number.NaN, mm = Number.NaN]: number[]) =>
    m > 0 && m <= 150 && Math.abs(mm) <= 300;
  if (first === undefined || !rows.every((row) => row.length === 2 && isMark(row)))
    return refused('unknown-line', 'The marks of the code cannot be read.');
  found.marks = {
    firstM: Number(first),
    rows: rows.map(([distanceM, belowFirstMm]) => ({
      distanceM: distanceM!,
      belowFirstMm: belowFirstMm!,
    })),
  };
  return null;
}
