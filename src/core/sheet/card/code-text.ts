import type { SheetDocument } from '../sheet-document';
import { FIELDS, HEAD, VERSION, type Unit } from './code-fields';

/** More is not printed: on a card of 85 mm its squares are a third of a millimetre then. */
const PRINTED_BYTES = 480;

/** So many of the fields stay whatever the marks take. */
const KEPT_FIELDS = 14;

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
