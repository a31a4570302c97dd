import { write, type ShopUnits } from '../units';
import { block, cell, type SheetBlock } from './blocks';
import { SHEET_LABELS as l } from './labels';
import { SHEET_GROUPS } from './settings-part';
import { bowLine, type SheetArrow, type SheetDocument, type SheetSetting } from './sheet-document';

/** A line of page one: what it is, its number, and small under it how to measure it. */
export interface SheetLine {
  readonly key: string;
  readonly name: string;
  readonly text: string;
  /** "riser’s face to the shaft’s middle · rule · ± 0.8 mm" */
  readonly under: string;
  /** What it was on the revision before, where that was another. */
  readonly was: string | null;
  readonly mark: 'out' | 'again' | null;
}

export interface SheetLines {
  readonly title: string;
  readonly lines: readonly SheetLine[];
}

/** What stands under the name: bow, its limits, its strings, who shoots it. */
export function factLines({ archer, bow, units }: SheetDocument): string[] {
  if (!bow) return [];
  const length = (mm: number) => write(mm, 'length', units);
  const force = (n: number) => write(n, 'force', units, { decimals: 0 });
  const strings = [
    bow.stringLengthMm === null ? null : `string ${length(bow.stringLengthMm)}`,
    bow.cableLengthsMm.length === 0
      ? null
      : `${bow.cableLengthsMm.length === 1 ? 'cable' : 'cables'} ${bow.cableLengthsMm.map(length).join(', ')}`,
  ].filter((part) => part !== null);
  return [
    `${bowLine(bow)}${bow.serial === null ? `, ${l.noSerial}` : ''}`,
    [
      bow.maxTurns === null ? l.noLimit : l.limit(bow.maxTurns),
      bow.minPeakN === null || bow.maxPeakN === null
        ? null
        : `limbs ${force(bow.minPeakN)} to ${force(bow.maxPeakN)}`,
      `let-off ${Math.round(bow.letOff * 100)} %`,
    ]
      .filter((part) => part !== null)
      .join(' · '),
    strings.length > 0 ? strings.join(' · ') : l.noStrings,
    [
      `${archer.hand} hand, ${archer.dominantEye} eye`,
      archer.guardianName === null ? null : l.guardian(archer.guardianName),
      bow.overruled === null ? null : `${l.overruled}: ${bow.overruled}`,
    ]
      .filter((part) => part !== null)
      .join(' · '),
  ];
}

export function groupsOf({ settings, since }: SheetDocument): SheetLines[] {
  const was = new Map(since?.changes.map((change) => [change.key, change.from ?? l.notNoted]));
  return SHEET_GROUPS.flatMap(({ id, name }) => {
    const lines = settings
      .filter(({ group }) => group === id)
      .map((setting) => ({
        key: setting.key,
        name: setting.name,
        text: setting.text,
        under: [setting.datum, setting.tool, setting.tolerance].filter(Boolean).join(' · '),
        was: was.get(setting.key) ?? null,
        mark: markOf(setting),
      }));
    return lines.length > 0 ? [{ title: name, lines }] : [];
  });
}

export const markOf = ({ stale, standing }: SheetSetting) =>
  stale !== null ? ('again' as const) : standing === 'out' ? ('out' as const) : null;

export function arrowBlock(arrow: SheetArrow, units: ShopUnits): SheetBlock {
  const length = (mm: number) => write(mm, 'length', units);
  const mass = (g: number) => write(g, 'mass', units);
  const rows: [string, string | null][] = [
    [l.shaft, `${arrow.shaft}, spine ${arrow.staticSpineIn.toFixed(3)}`],
    [l.cut, `${length(arrow.shaftLengthMm)}, ${arrow.shaftOuterMm.toFixed(1)} mm outside`],
    [
      l.point,
      [arrow.point, `${mass(arrow.pointAndInsertG)} with insert`].filter(Boolean).join(', '),
    ],
    [l.insert, arrow.insert],
    [l.nock, arrow.nock],
    [l.vanes, arrow.vanes],
    [
      l.mass,
      `${mass(arrow.massG)}, ${arrow.massFrom}${arrow.count === null ? '' : `, set of ${arrow.count}`}`,
    ],
    [
      l.balancePoint,
      arrow.balanceFromNockMm === null || arrow.frontOfCentrePct === null
        ? null
        : `${length(arrow.balanceFromNockMm)} from the nock’s groove, ${arrow.frontOfCentrePct.toFixed(1)} % front of centre`,
    ],
  ];
  return {
    id: 'arrow',
    title: l.arrow,
    parts: [0.26, 0.74],
    rows: rows.flatMap(([name, value]) =>
      value === null ? [] : [[cell(name, 'soft'), cell(value)]],
    ),
  };
}

const signed = (mm: number) => mm.toFixed(1).replace('-', '−');

export function marksBlock(
  marks: NonNullable<SheetDocument['marks']>,
  units: ShopUnits,
): SheetBlock {
  const { rows, firstText, firstConfirmed, furthestClearM } = marks;
  const notes = [
    ...(rows.some(({ confirmed }) => confirmed) ? [l.shot] : []),
    ...(furthestClearM === null
      ? []
      : [l.clearTo(write(furthestClearM, 'distance', units, { decimals: 0 }))]),
  ];
  return {
    id: 'marks',
    title: l.marksFrom(firstText, firstConfirmed),
    parts: [0.42, 0.34, 0.24],
    rows: rows.map((row) => [
      cell(`${row.distanceText}${row.confirmed ? ' *' : ''}`, 'strong'),
      cell(`${signed(row.belowFirstMm)} mm`, 'figure', true),
      cell(row.sigmaMm === null ? '' : `± ${row.sigmaMm.toFixed(1)}`, 'soft', true),
    ]),
    ...(notes.length > 0 ? { note: notes.join(' ') } : {}),
  };
}

export const keysBlock = ({ fastening }: SheetDocument) =>
  block(
    'keys',
    l.keys,
    [0.36, 0.64],
    fastening.map(({ what, text }) => [cell(what), cell(text, 'soft')]),
  );

export function sinceLine({ since }: SheetDocument): string | null {
  if (!since) return null;
  const moved = since.changes.filter(({ within }) => !within).length;
  return l.since(since.revision, moved, since.changes.length - moved);
}
