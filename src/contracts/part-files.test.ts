import { readFileSync } from 'node:fs';
import { demoCatalogue } from '../../demo/load-csv';
import { anItem } from '@/core/testing/fixtures';
import { PART_KINDS, type AnyPart, type PartKind } from '@/core/kit';
import {
  ATTR_COLUMNS,
  checkPart,
  partFormat,
  partFormatPage,
  readPartFile,
  writePartFile,
} from './part-csv';

const rests = () => demoCatalogue().filter(({ slot }) => slot === 'rest');
const text = () => writePartFile('rest', rests());
const first = (file: string) => readPartFile(file).faults[0];

describe('files of parts', () => {
  test.each(PART_KINDS.map(({ id }) => id))('%s: written and read is the same', (kind) => {
    const parts = demoCatalogue().filter(({ slot }) => slot === kind);
    expect(parts.length).toBeGreaterThan(0);
    const { rows, faults } = readPartFile(writePartFile(kind, parts));
    expect(faults).toEqual([]);
    expect(rows.map(({ record }) => record)).toEqual(parts);
  });

  test('every attribute is a column, and every part keeps its schema', () => {
    for (const part of demoCatalogue()) {
      expect(Object.keys(part.attrs).sort()).toEqual(
        ATTR_COLUMNS[part.slot].map(({ attr }) => attr).sort(),
      );
      expect(checkPart(part.slot, part)).toEqual({ ok: true, value: part });
    }
    for (const kind of ['rest', 'sight', 'arrows'] as const) {
      const answer = checkPart(kind, { ...anItem(kind), priceCents: -1 });
      expect(answer).toMatchObject({ ok: false });
    }
  });

  test('semicolons, tabs, a byte order mark, CRLF and quotes are read alike', () => {
    const plain = readPartFile(text()).rows;
    const quoted = text()
      .split('\n')
      .map((line) =>
        line
          .split(',')
          .map((cell) => `"${cell}"`)
          .join(';'),
      )
      .join('\r\n')
      .replace(/""(?=\r|$)/, '""');
    for (const file of [text().replaceAll(',', '\t'), `\ufeff${text()}`, quoted])
      expect(readPartFile(file).rows).toEqual(plain);
  });

  test.each([
    ['', 'The file is empty.'],
    ['id#slot#maker\nx#rest#y\n', 'The header lacks slot. Between columns'],
    ['id,slot\n', 'a header and no rows'],
    ['id,slot\nx,antenna\n', '“antenna” is no slot; there are rest, sight'],
    ['id,slot\nx,rest\n', 'The header lacks maker, model'],
  ])('%j: %s', (file, message) => {
    const { rows, faults } = readPartFile(file);
    expect(rows).toEqual([]);
    expect(faults).toHaveLength(1);
    expect(faults[0]!.message).toContain(message);
  });

  test.each([
    ['price_eur', '-3', 'price_eur', '-3 must be 0 to 20000'],
    ['price_eur', '12€50', 'price_eur', 'is not an amount'],
    ['price_eur', '1 200', 'price_eur', null],
    ['price_eur', '99,-', 'price_eur', null],
    ['price_eur', '12,5', 'price_eur', null],
    ['stock', '1.5', 'stock', 'must be a whole number'],
    ['drive', 'magic', 'drive', 'must be one of limbDriven'],
    ['slot', 'sight', 'slot', 'one file for each slot'],
    ['slot', 'antenna', 'slot', '“antenna” is no slot'],
    ['spacer', 'perhaps', 'spacer', 'must be yes or no'],
    ['min_draw_mm', '899', 'min_draw_mm', 'longer than the longest draw'],
    ['close_out_eur', '500', 'close_out_eur', 'more than the usual price'],
    ['id', 'rest-stille', 'id', 'stands in line'],
  ])('%s %j is told by line and column', isTold);
  test('a model of 5,000,000 letters is told by line and column', () =>
    isTold('model', 'x'.repeat(5_000_000), 'model', '5000000 letters'));

  function isTold(header: string, cell: string, column: string, message: string | null) {
    const format = partFormat('rest');
    const at = format.columns.findIndex((one) => one.header === header);
    const lines = text().split('\n');
    const cells = lines[1]!.split(',');
    cells[at] = cell.includes(',') ? `"${cell}"` : cell;
    const file = [lines[0], lines[2], cells.join(','), ...lines.slice(3)].join('\n');
    const { faults, rows } = readPartFile(file);
    if (message === null) return expect(faults).toEqual([]);
    expect(faults).toHaveLength(1);
    // An id that comes twice is told where it comes again.
    expect(faults[0]!.column).toBe(column);
    if (column !== 'id') expect(faults[0]!.line).toBe(3);
    expect(faults[0]!.message).toContain(message);
    expect(rows).toHaveLength(rests().length - 1);
  }

  test('a file of another slot’s header names the strange column', () => {
    const sights = writePartFile(
      'sight',
      demoCatalogue().filter(({ slot }) => slot === 'sight'),
    );
    expect(first(sights.replaceAll(',sight,', ',rest,'))!.message).toContain('The header lacks');
  });
});

test('the formats’ page and schemas are the ones the columns write', () => {
  expect(readFileSync('docs/formats/parts.md', 'utf8')).toBe(partFormatPage());
  const published = JSON.parse(readFileSync('docs/formats/parts.schema.json', 'utf8')) as {
    definitions: Record<PartKind, object>;
  };
  expect(Object.keys(published.definitions)).toEqual(PART_KINDS.map(({ id }) => id));
});

test('numbers lie where a person would put them', () => {
  const rest = rests()[0] as Extract<AnyPart, { slot: 'rest' }>;
  expect(rest).toMatchObject({ priceCents: 12900, massG: 98, closeOutCents: null });
  expect(rest.attrs).toMatchObject({ tensions: ['light', 'medium', 'heavy'], spacer: false });
});
