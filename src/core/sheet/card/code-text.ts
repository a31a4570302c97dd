import { answered, refused, type Outcome } from '../../outcome';
import { setupValue, type ValueKey } from '../../setup';
import type { SheetDocument } from '../sheet-document';

/** First line of a code; a later shape of it has another number. */
const HEAD = 'WAFFENRAD';
const VERSION = 1;
/** More is not read: larger squares could not be told apart on a card (docs/formats/sheet-code.md). */
export const CODE_BYTES = 600;
/** More is not printed: on a card of 85 mm its squares are a third of a millimetre then. */
const PRINTED_BYTES = 480;
/** So many of the fields stay whatever the marks take. */
const KEPT_FIELDS = 14;

type Unit = 'mm' | 'N' | 'turns' | 'g' | 'm/s' | 'deg' | '';

/** What a code may hold, the most needed first: where all do not fit the last are left out. */
const FIELDS: readonly { readonly key: ValueKey; readonly word: string; readonly unit: Unit }[] = [
  { key: 'drawLength', word: 'draw length', unit: 'mm' },
  { key: 'peakWeight', word: 'peak', unit: 'N' },
  { key: 'limbTurnsUpper', word: 'upper bolt', unit: 'turns' },
  { key: 'limbTurnsLower', word: 'lower bolt', unit: 'turns' },
  { key: 'moduleTop', word: 'top module', unit: 'mm' },
  { key: 'moduleBottom', word: 'bottom module', unit: 'mm' },
  { key: 'braceHeight', word: 'brace', unit: 'mm' },
  { key: 'axleToAxle', word: 'axles', unit: 'mm' },
  { key: 'nockHeight', word: 'nock', unit: 'mm' },
  { key: 'centreShot', word: 'centre shot', unit: 'mm' },
  { key: 'peepHeight', word: 'peep', unit: 'mm' },
  { key: 'peepTrueHeight', word: 'peep true', unit: 'mm' },
  { key: 'peepToPin', word: 'peep to pin', unit: 'mm' },
  { key: 'restCord', word: 'cord', unit: 'mm' },
  { key: 'loop', word: 'loop', unit: 'mm' },
  { key: 'restHeight', word: 'rest height', unit: 'mm' },
  { key: 'arrowMass', word: 'arrow', unit: 'g' },
  { key: 'arrowSpeed', word: 'speed', unit: 'm/s' },
  { key: 'holdingWeight', word: 'holding', unit: 'N' },
  { key: 'sightBase', word: 'sight base', unit: '' },
  { key: 'timing', word: 'timing', unit: 'mm' },
  { key: 'stringTwists', word: 'string twists', unit: 'turns' },
  { key: 'cableTwists', word: 'cable twists', unit: 'turns' },
  { key: 'cableGuard', word: 'guard', unit: 'mm' },
  { key: 'bowMass', word: 'mass', unit: 'g' },
];
const BY_WORD = new Map(FIELDS.map((field) => [field.word, field]));

/** What a code says once it was read. */
export interface CodeText {
  readonly ticket: number;
  readonly revision: number;
  /** YYYY-MM-DD */
  readonly day: string;
  readonly bow: string;
  readonly hand: 'right' | 'left';
  readonly serial: string | null;
  readonly shop: string;
  readonly values: readonly { readonly key: ValueKey; readonly si: number }[];
  /** Pins below their place for the first distance. */
  readonly marks: {
    readonly firstM: number;
    readonly rows: readonly { readonly distanceM: number; readonly belowFirstMm: number }[];
  } | null;
}

/** A code that was read, and whose it is here. */
export interface CodeFound {
  readonly code: CodeText;
  /** The job of this shop whose sheet it is; null where no sheet here is of the same day and bow. */
  readonly jobId: string | null;
}

const bytes = (text: string) => new TextEncoder().encode(text).length;
/** As fine as it is measured: eighths of a turn, else tenths. */
const figure = (value: number, unit: Unit = 'mm') => {
  const fine = unit === 'turns' ? 1000 : 10;
  return String(Math.round(value * fine) / fine);
};
/** A line of its own, without what would end it. */
const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim();
/** As many letters as so many bytes hold. */
function cut(text: string, most: number): string {
  let whole = oneLine(text);
  while (bytes(whole) > most) whole = whole.slice(0, -1).trimEnd();
  return whole;
}

/**
 * The numbers of a sheet as a text that a telephone shows as it stands, in SI (docs/formats/sheet-code.md).
 * What would not fit in 480
 * bytes is left out from the end of the list, every other mark before it.
 *
 * @returns null where the sheet has no bow.
 */
export function codeText(sheet: SheetDocument): string | null {
  const { bow, shop, job, marks } = sheet;
  if (!bow) return null;
  const head = [
    `${HEAD} ${VERSION}`,
    `sheet ${job.number}.${sheet.revision} ${sheet.madeDay}`,
    `bow ${cut(bow.name, 60)}, ${bow.hand}`,
    ...(bow.serial ? [`no ${cut(bow.serial, 40)}`] : []),
    `shop ${cut([shop.name, shop.phone].filter(Boolean).join(' '), 60)}`,
  ];
  const settings = new Map(sheet.settings.map(({ key, si }) => [key, si]));
  const values = FIELDS.flatMap(({ key, word, unit }) => {
    const si = settings.get(key) ?? null;
    return si === null ? [] : [`${word} ${figure(si, unit)}${unit && ` ${unit}`}`];
  });
  const fits = (lines: readonly string[]) => bytes(lines.join('\n')) <= PRINTED_BYTES;
  const withMarks = (every: number) => {
    if (!marks) return [];
    const rows = marks.rows.filter((_, i) => i % every === 0);
    const text = rows.map((row) => `${figure(row.distanceM)} ${figure(row.belowFirstMm)}`);
    return [`marks m mm below ${figure(marks.firstM)}: ${text.join(', ')}`];
  };
  const ways = [
    [values.length, 1],
    ...range(values.length, KEPT_FIELDS).map((count) => [count, 2] as const),
    ...range(Math.min(values.length, KEPT_FIELDS), 0).map((count) => [count, 3] as const),
  ] as const;
  for (const [count, every] of ways) {
    const lines = [...head, ...values.slice(0, count), ...withMarks(every)];
    if (fits(lines)) return lines.join('\n');
  }
  return head.join('\n');
}

/** Whole numbers downwards, both ends with them. */
const range = (from: number, to: number) =>
  Array.from({ length: Math.max(0, from - to + 1) }, (_, i) => from - i);

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
