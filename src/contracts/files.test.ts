import { readFileSync } from 'node:fs';
import { aBow } from '@/core/testing/fixtures';
import { forceCurvePoints } from '@/core/bow';
import { mm, newton, turns } from '@/core/units';
import { BOW_COLUMNS, bowFormatPage, readBowFile, writeBowFile } from './bow-csv';
import { readCurveFile } from './curve-file';
import { readBoardLine, writeBoardPoint } from './draw-board';

/** Every column other than empty. */
const FULL = aBow({
  modules: [
    { label: 'E', topLabel: '5', drawLengthMm: mm(685.8) },
    { label: 'F', drawLengthMm: mm(698.5) },
  ],
  stockTurns: turns(0.5),
  letOffChoices: [0.75, 0.8],
  stops: 'both',
  timedBy: 'marks',
  yokes: 'both',
  stringLengthMm: mm(1454.15),
  cableLengthsMm: [mm(869.95), mm(990.6)],
});
const FIXED = aBow({
  id: 'fixed',
  modules: [],
  fixedDrawLengthMm: mm(711.2),
  maxTurns: null,
  stockTurns: null,
  stops: null,
  timedBy: null,
  yokes: null,
  centreShotMm: null,
});

describe('a bow file', () => {
  const lines = (text: string) => text.trimEnd().split(/\r?\n/);
  const [head, first] = lines(writeBowFile([FULL])) as [string, string];
  const at = (header: string) => head.split(',').indexOf(header);
  /** The full bow's row with some cells otherwise. */
  const row = (cells: Record<string, string>) => {
    const list = first.split(',');
    for (const [header, cell] of Object.entries(cells)) list[at(header)] = cell;
    return list.join(',');
  };
  const file = (...rows: string[]) => [head, ...rows].join('\n');

  test('what is written reads back: every field, known or not', () => {
    const { bows, faults } = readBowFile(writeBowFile([FULL, FIXED]));
    expect(faults).toEqual([]);
    expect(bows.map(({ line }) => line)).toEqual([2, 3]);
    for (const [i, wanted] of [FULL, FIXED].entries()) {
      for (const { field } of BOW_COLUMNS) {
        const [got, want] = [bows[i]!.bow[field], wanted[field]] as unknown[];
        if (typeof want === 'number') expect(got).toBeCloseTo(want, 3);
        else if (field === 'cableLengthsMm' || field === 'modules')
          expect(JSON.stringify(got)?.length).toBeGreaterThan(1);
        else expect(got).toEqual(want);
      }
    }
    expect(bows[0]!.bow.modules[0]).toMatchObject({ label: 'E', topLabel: '5' });
    expect(bows[0]!.bow.cableLengthsMm[1]).toBeCloseTo(990.6, 6);
    expect(writeBowFile(bows.map(({ bow }) => bow))).toBe(writeBowFile([FULL, FIXED]));
  });

  test('lengths alone are their own labels; a mass is read as it is spoken', () => {
    const [bow] = readBowFile(
      file(row({ modules: '28 29 30', mass_g: '4.2 lb', price_eur: '"899,-"' })),
    ).bows;
    expect(bow!.bow.modules).toEqual(
      [28, 29, 30].map((inches) => ({
        label: String(inches),
        drawLengthMm: expect.closeTo(inches * 25.4, 6),
      })),
    );
    // 4.2 × 453.59237 g
    expect(bow!.bow.massG).toBeCloseTo(1905.088, 3);
    expect(bow!.bow.priceCents).toBe(89_900);
  });

  test('a name a table program would calculate is a text there, and reads back as it was', () => {
    const odd = aBow({ maker: '=HYPERLINK("http://x")', model: '+1', supplier: '@sum' });
    const text = writeBowFile([odd]);
    expect(text).toContain(`"'=HYPERLINK`);
    expect(text).toContain(`,"'@sum"`);
    // A plain number is left a number.
    expect(text).toContain(',+1,');
    expect(readBowFile(text).bows[0]!.bow).toMatchObject({
      maker: '=HYPERLINK("http://x")',
      model: '+1',
      supplier: '@sum',
    });
  });

  test.each([
    ['hand', 'both', 'must be one of right, left'],
    ['cam_system', 'triple', 'must be one of'],
    ['max_turns', 'eight', 'is not a number'],
    ['max_turns', '40', '0.5 to 20'],
    ['min_peak_lb', '70', 'lighter than the heaviest'],
    ['modules', 'E:27', 'label and a length'],
    ['modules', 'E=27 F=27', 'one length twice'],
    ['modules', '', 'neither module positions'],
    ['fixed_draw_length_in', '28', 'beside module positions'],
    ['stock_turns', '9', 'past the limit'],
    ['let_off_choices_pct', '65 70', 'does not hold the let-off'],
    ['brace_height_in', '2', '“2”'],
    ['price_eur', 'NaN', 'is not an amount'],
    ['price_eur', '1.250', 'can be 1250 or 1.25: write one'],
    ['price_eur', '20001', '20001 must be 0 to 20000'],
    ['stock', '1.5', 'whole number'],
    ['maker', '', 'is empty'],
  ])('%s “%s” is named by line and column', (column, cell, words) => {
    const { bows, faults } = readBowFile(file(first, row({ id: 'other', [column]: cell })));
    expect(bows).toHaveLength(1);
    expect(faults.map((fault) => [fault.line, fault.column])).toContainEqual([3, column]);
    expect(faults.find((fault) => fault.column === column)!.message).toContain(words);
  });

  test('every fault of a row is told at once; good rows stand', () => {
    const { bows, faults } = readBowFile(
      file(row({ id: 'x', hand: '?', stock: '-1' }), '', row({ id: 'y' }), row({ id: 'y' })),
    );
    expect(bows.map(({ line, bow }) => [line, bow.id])).toEqual([[4, 'y']]);
    expect(faults.map(({ line, column }) => [line, column])).toEqual([
      [2, 'hand'],
      [2, 'stock'],
      [5, 'id'],
    ]);
  });

  test('semicolons, decimal commas, a byte order mark and another order of columns are read', () => {
    const cells = first.split(',');
    const text = [head, cells.map((cell) => (cell === '6.49606' ? '6,5' : cell)).join(',')]
      .map((line) => line.replaceAll(',', ';').replace('6;5', '6,5').split(';').reverse().join(';'))
      .join('\r\n');
    const { bows, faults } = readBowFile(`\ufeff${text}`);
    expect(faults).toEqual([]);
    expect(bows[0]!.bow.braceHeightMm).toBeCloseTo(165.1, 6);
  });

  test.each([
    ['', 'empty'],
    ['   \n ', 'empty'],
    ['a,b,c\n1,2,3', 'lacks id'],
    [`${head},colour\n`, 'not a column'],
    [`${head},id\n`, 'twice'],
    ['x'.repeat(1_000_000), '900 kB'],
  ])('a header that will not do is one fault and no bows %#', (text, words) => {
    const { bows, faults } = readBowFile(text);
    expect(bows).toEqual([]);
    expect(faults).toHaveLength(1);
    expect(`${faults[0]!.column} ${faults[0]!.message}`).toContain(words);
  });

  test('of a file full of faults twenty are told and all counted; one of too many rows is not read', () => {
    const broken = (rows: number) => readBowFile([head, ...Array(rows).fill('x')].join('\n'));
    const { bows, faults, faultCount } = broken(900);
    expect([bows.length, faults.length]).toEqual([0, 20]);
    // Every row lacks nearly every cell.
    expect(faultCount).toBeGreaterThan(900 * 10);
    const long = broken(400_000);
    expect(long).toMatchObject({ bows: [], faultCount: 1 });
    expect(long.faults[0]!.message).toContain('at most 1000');
  });

  test('columns that may be left out are read as not known', () => {
    const optional = BOW_COLUMNS.filter(({ required }) => !required).map(({ header }) => header);
    const keep = head.split(',').map((header) => !optional.includes(header));
    const cut = (line: string) =>
      line
        .split(',')
        .filter((_, i) => keep[i])
        .join(',');
    const { bows, faults } = readBowFile([cut(head), cut(first)].join('\n'));
    expect(faults).toEqual([]);
    expect(bows[0]!.bow).toMatchObject({ stops: null, stockTurns: null, letOffChoices: [] });
  });

  test('every column’s own example is read by it', () => {
    for (const { kind, example, header } of BOW_COLUMNS)
      expect([header, kind.read(example).ok]).toEqual([header, true]);
  });
});

describe('a draw board’s lines', () => {
  test.each([
    ['board 1', { kind: 'board', version: 1 }],
    ['point 312.4 187.2', { kind: 'point', point: { drawnMm: 312.4, forceN: 187.2 } }],
    ['  point  0 0 ', { kind: 'point' }],
    ['end 90', { kind: 'end', points: 90 }],
    ['# battery low', { kind: 'note' }],
    ['', { kind: 'note' }],
    ['point NaN 3', { kind: 'junk' }],
    ['point 3', { kind: 'junk' }],
    ['point -1 30', { kind: 'junk' }],
    ['point 300 9999', { kind: 'junk' }],
    ['?? 0x1f', { kind: 'junk' }],
    ['x'.repeat(200), { kind: 'junk' }],
  ])('%s', (line, wanted) => expect(readBoardLine(line)).toMatchObject(wanted));
  test('a point written is a point read', () => {
    const point = { drawnMm: mm(312.4), forceN: newton(187.2) };
    expect(readBoardLine(writeBoardPoint(point))).toEqual({ kind: 'point', point });
  });
});

describe('a logged curve’s file', () => {
  const points = forceCurvePoints(
    {
      drawLengthMm: mm(700),
      peakN: newton(200),
      braceHeightMm: mm(165),
      letOff: 0.8,
      character: 'smooth',
    },
    40,
  );
  const csv = (rows: readonly { drawnMm: number; forceN: number }[]) =>
    ['drawn_mm,force_n', ...rows.map((p) => `${p.drawnMm},${p.forceN}`)].join('\n');

  test('millimetres and newtons, inches and pounds', () => {
    const metric = readCurveFile(csv(points));
    const trade = readCurveFile(
      [
        'drawn_in;force_lb',
        ...points.map((p) =>
          `${p.drawnMm / 25.4};${p.forceN / 4.4482216152605}`.replaceAll('.', ','),
        ),
      ].join('\r\n'),
    );
    if (!metric.ok || !trade.ok) throw new Error('refused');
    expect(metric.points).toHaveLength(41);
    expect(trade.points[20]!.forceN).toBeCloseTo(points[20]!.forceN, 6);
  });
  test.each([
    ['no header', csv(points).split('\n').slice(1).join('\n'), 'no-header', 'Line 1'],
    ['5 points', csv(points.slice(0, 5)), 'too-few-points', 'at least 8'],
    [
      'a draw that goes back',
      csv([...points.slice(0, 9), points[3]!]),
      'draw-goes-back',
      'Line 11',
    ],
    ['NaN', csv(points).replace(/\n[^\n]*$/, '\n500,NaN'), 'not-a-point', 'Line 42'],
    ['an empty cell', csv(points).replace(/\n[^\n]*$/, '\n500,'), 'not-a-point', 'Line 42'],
    ['1 MB of junk', 'k%'.repeat(500_000), 'file-too-large', '200 kB'],
    ['a little junk', 'drawn_mm,force_n\n\u0000\u0001,zzz', 'not-a-point', 'Line 2'],
  ])('%s is refused with its place', (_, text, reason, words) => {
    const answer = readCurveFile(text);
    expect(answer).toMatchObject({ ok: false, reason });
    expect((answer as { message: string }).message).toContain(words);
  });
});

test('the format’s page is the one the columns write', () =>
  expect(readFileSync('docs/formats/bows.md', 'utf8')).toBe(bowFormatPage()));
