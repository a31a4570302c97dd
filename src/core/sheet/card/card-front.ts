import { slopeTable, weatherTable, type SheetItem } from '../../flight';
import { gram, metre, metresPer, mm, mps, write, type Metre, type ShopUnits } from '../../units';
import type { SheetDocument } from '../sheet-document';
import { head, rule, signed, text, top, type Ground } from './card-ground';

const SLOPES = [30, 20, 10, -10, -20, -30];

type Marks = NonNullable<SheetDocument['marks']>;

export function front(sheet: SheetDocument, ground: Ground): SheetItem[] {
  const { marks, archer } = sheet;
  const { margin, type, row } = ground;
  if (!marks)
    return [
      ...head(archer.name, 'marks', ground),
      text(
        margin,
        top(ground) + row,
        type,
        'No marks: shoot the first distance, then print again.',
      ),
    ];
  const speed = marks.flight ? `, ${write(marks.flight.speedMps, 'speed', sheet.units)}` : '';
  const beside = `mm below ${marks.firstText}${speed}`;
  const list = marks.pins ? pinRows(marks.pins) : marks.rows.map(markRow);
  const marksWidth = ground.size === 'field' ? 37 : 91;
  const columns = ground.size === 'field' && list.length <= 12 ? 1 : 2;
  const cutX = ground.size === 'field' ? margin + (columns === 1 ? 22 : marksWidth) : margin;
  const each = Math.ceil(list.length / columns);
  const listHeight = (each + 1) * row;
  const cutY = ground.size === 'field' ? top(ground) : top(ground) + listHeight + row;
  return [
    ...head(archer.name, beside, ground),
    ...listItems(list, ground, columns, each, columns === 1 ? 19 : marksWidth),
    ...cuts(marks, ground, cutX, cutY),
    ...(marks.furthestClearM === null
      ? []
      : [
          text(
            margin,
            ground.heightMm - margin,
            type * 0.85,
            `Clear of the housing to ${write(marks.furthestClearM, 'distance', sheet.units, { decimals: 0 })}.`,
          ),
        ]),
  ];
}

const markRow = ({ distanceText, belowFirstMm }: Marks['rows'][number]) =>
  [distanceText, signed(belowFirstMm)] as const;

const pinRows = (pins: NonNullable<Marks['pins']>) =>
  pins.map(
    ({ distanceText, gapMm }, i) =>
      [`pin ${i + 1}, ${distanceText}`, gapMm === null ? 'top' : `+${signed(gapMm)}`] as const,
  );

function listItems(
  list: readonly (readonly [string, string])[],
  ground: Ground,
  columns: number,
  each: number,
  width: number,
): SheetItem[] {
  const { margin, type, row } = ground;
  const wide = width / columns - 3;
  return list.flatMap(([name, value], i) => {
    const x = margin + Math.floor(i / each) * (width / columns);
    const y = top(ground) + (i % each) * row + type;
    return [
      text(x, y, type, name),
      text(x + wide, y, type * 1.1, value, { bold: true, anchor: 'end' }),
      rule(x, x + wide, y + row * 0.24, 0.08),
    ];
  });
}

/** Slope and weather cuts at three distances; nothing where the sheet kept no flight. */
function cuts(marks: Marks, ground: Ground, x: number, y: number): SheetItem[] {
  const { flight, rows } = marks;
  if (!flight || rows.length < 3) return [];
  const { type, row, units, widthMm, margin } = ground;
  const input = {
    speedMps: mps(flight.speedMps),
    arrowG: gram(flight.arrowG),
    shaftOuterMm: mm(flight.shaftOuterMm),
    peepHeightMm: mm(flight.peepHeightMm),
    peepToPinMm: mm(flight.peepToPinMm),
    dragCoefficient: flight.dragCoefficient,
    airDensityKgM3: flight.airDensityKgM3,
  };
  const distances = [0.4, 0.7, 1].map((part) =>
    metre(rows[Math.round(part * (rows.length - 1))]!.distanceM),
  );
  const slopes = slopeTable(input, distances, SLOPES);
  const weather = weatherTable(input, distances);
  const width = Math.min(widthMm - margin - x, type * 17.5);
  const column = (i: number) => x + width * (0.46 + 0.27 * i) - 0.4;
  const tableRow = (n: number, name: string, cells: readonly string[], bold = false) => [
    text(x, y + n * row + type, type, name, { bold }),
    ...cells.map((cell, i) =>
      text(column(i), y + n * row + type, type, cell, { anchor: 'end', bold }),
    ),
  ];
  const say = (m: number) => (m / metresPer(units.distance)).toFixed(0);
  const shootAs = (slope: number) =>
    slopes
      .filter(({ slopeDeg }) => slopeDeg === slope)
      .map(({ shootAsM }) => (shootAsM === null ? '–' : tenth(shootAsM, units)));
  return [
    ...tableRow(0, `slope, ${units.distance}`, distances.map(say), true),
    rule(x, x + width, y + 1.06 * row, 0.2),
    ...SLOPES.flatMap((slope, i) =>
      tableRow(i + 1, slope > 0 ? `up ${slope}°` : `down ${-slope}°`, shootAs(slope)),
    ),
    ...tableRow(SLOPES.length + 1.6, 'hits, cm', ['', '', ''], true),
    rule(x, x + width, y + (SLOPES.length + 1.6 + 1.06) * row, 0.2),
    ...weather.flatMap(({ id, hitMm }, i) =>
      tableRow(
        SLOPES.length + 2.6 + i,
        WEATHER[id],
        hitMm.map((hit) => (hit > 0 ? `+${signed(hit / 10)}` : signed(hit / 10))),
      ),
    ),
  ];
}

const WEATHER = { warmer: '20 °C more', colder: '20 °C less', higher: '1000 m up' } as const;

const tenth = (distanceM: Metre, units: ShopUnits) =>
  (distanceM / metresPer(units.distance)).toFixed(1);
