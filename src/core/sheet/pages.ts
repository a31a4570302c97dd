import { VISIT_KINDS } from '../job';
import { spokenDay, write, writeMoney, type ShopUnits } from '../units';
import { SHEET_LABELS as l } from './labels';
import { SHEET_GROUPS } from './settings-part';
import {
  bowLine,
  type SheetArrow,
  type SheetDocument,
  type SheetPaper,
  type SheetPhoto,
  type SheetSetting,
} from './sheet-document';

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

/** A cell of a table of the sheet. */
export interface SheetCell {
  readonly text: string;
  readonly as?: 'strong' | 'figure' | 'soft';
  readonly right?: true;
}

/** A table, or papers beside one another: what page and paper are both drawn from. */
export interface SheetBlock {
  readonly id: string;
  readonly title: string;
  /** Widths of its columns, as parts of the page. */
  readonly parts: readonly number[];
  readonly rows: readonly (readonly SheetCell[])[];
  readonly papers?: readonly SheetPaper[];
  readonly photos?: readonly SheetPhoto[];
  /** Under it. */
  readonly note?: string;
}

export interface SheetPages {
  readonly one: {
    readonly facts: readonly string[];
    readonly groups: readonly SheetLines[];
    readonly arrow: SheetBlock | null;
    readonly marks: SheetBlock | null;
    readonly keys: SheetBlock | null;
    /** "3 values are not as on revision 1." */
    readonly since: string | null;
  };
  /** The record. */
  readonly two: readonly SheetBlock[];
  /** For the archer. */
  readonly three: readonly SheetBlock[];
}

interface PageWishes {
  readonly prices: boolean;
  /** An instant in the shop's time zone, as the reader writes it. */
  readonly when: (at: string) => string;
}

/** Everything the sheet says, by pages: the web page and the PDF draw this and nothing else. */
export function sheetPages(sheet: SheetDocument, wishes: PageWishes): SheetPages {
  return {
    one: {
      facts: factLines(sheet),
      groups: groupsOf(sheet),
      arrow: sheet.arrow && arrowBlock(sheet.arrow, sheet.units),
      marks: sheet.marks && marksBlock(sheet.marks, sheet.units),
      keys: keysBlock(sheet),
      since: sinceLine(sheet),
    },
    two: [
      sinceBlock(sheet),
      visitBlock(sheet),
      fitBlock(sheet),
      signedBlock(sheet),
      papersBlock(sheet),
      photosBlock(sheet),
      listBlock('balance', l.balance, sheet.balance?.text ?? []),
      listBlock('aim', l.aim, sheet.aim),
      basisBlock(sheet),
      partsBlock(sheet, wishes),
      recordBlock(sheet, wishes),
    ].filter((block) => block !== null),
    three: [
      toldBlock(sheet),
      careBlock(sheet),
      listBlock('practice', l.practice, sheet.practice),
      growthBlock(sheet),
    ].filter((block) => block !== null),
  };
}

const cell = (text: string, as?: SheetCell['as'], right?: true): SheetCell => ({
  text,
  ...(as ? { as } : {}),
  ...(right ? { right } : {}),
});

function block(
  id: string,
  title: string,
  parts: readonly number[],
  rows: readonly (readonly SheetCell[])[],
  more: Pick<SheetBlock, 'papers' | 'photos' | 'note'> = {},
): SheetBlock | null {
  const isEmpty = rows.length === 0 && !more.papers?.length && !more.photos?.length && !more.note;
  return isEmpty ? null : { id, title, parts, rows, ...more };
}

const listBlock = (id: string, title: string, lines: readonly string[]) =>
  block(
    id,
    title,
    [1],
    lines.map((line) => [cell(line)]),
  );

/** What stands under the name: bow, its limits, its strings, who shoots it. */
function factLines({ archer, bow, units }: SheetDocument): string[] {
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

function groupsOf({ settings, since }: SheetDocument): SheetLines[] {
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

const markOf = ({ stale, standing }: SheetSetting) =>
  stale !== null ? ('again' as const) : standing === 'out' ? ('out' as const) : null;

function arrowBlock(arrow: SheetArrow, units: ShopUnits): SheetBlock {
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

function marksBlock(marks: NonNullable<SheetDocument['marks']>, units: ShopUnits): SheetBlock {
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

const keysBlock = ({ fastening }: SheetDocument) =>
  block(
    'keys',
    l.keys,
    [0.36, 0.64],
    fastening.map(({ what, text }) => [cell(what), cell(text, 'soft')]),
  );

/** What the archer is asked back for, and when. */
export const comeBackLine = ({ visit, comeBackDay }: SheetDocument) =>
  (visit === null ? l.comeBack : l.nextCheck)(spokenDay(comeBackDay));

function sinceLine({ since }: SheetDocument): string | null {
  if (!since) return null;
  const moved = since.changes.filter(({ within }) => !within).length;
  return l.since(since.revision, moved, since.changes.length - moved);
}

function sinceBlock({ since }: SheetDocument): SheetBlock | null {
  if (!since) return null;
  return block(
    'since',
    l.sinceTitle(since.revision),
    [0.3, 0.27, 0.27, 0.16],
    since.changes.map(({ name, from, to, within }) => [
      cell(name),
      cell(from ?? l.notNoted, 'figure'),
      cell(to ?? l.gone, 'figure'),
      cell(within ? l.within : l.moved, within ? 'soft' : 'strong', true),
    ]),
    since.changes.length === 0 ? { note: l.sameAsBefore(since.revision) } : {},
  );
}

const visitBlock = ({ visit }: SheetDocument) =>
  visit &&
  listBlock('visit', l.visit, [
    VISIT_KINDS.find(({ id }) => id === visit.kind)!.name,
    ...(visit.words ? [visit.words] : []),
  ]);

function fitBlock({ fit }: SheetDocument): SheetBlock | null {
  const rows: [string, string | null][] = [
    [l.drawLength, fit.drawLengthText],
    ...fit.readings.map(({ method, entered }): [string, string] => [method, entered]),
    [l.startWeight, fit.startText],
    ...fit.trials.map(({ entered, outcome }): [string, string] => [
      l.trial,
      `${entered}, ${outcome}`,
    ]),
    ...fit.notes.map((note): [string, string] => ['', note]),
  ];
  return block(
    'fit',
    l.fit,
    [0.34, 0.66],
    rows.flatMap(([name, value]) => (value === null ? [] : [[cell(name, 'soft'), cell(value)]])),
  );
}

const recordBlock = ({ record, settings }: SheetDocument, { when }: PageWishes) =>
  block(
    'record',
    l.record,
    [0.16, 0.26, 0.26, 0.2, 0.12],
    record.length > 0
      ? record.map(({ name, text, how, who, at }) => [
          cell(when(at), 'soft'),
          cell(name),
          cell(text, 'figure'),
          cell(how, 'soft'),
          cell(who, 'soft', true),
        ])
      : settings.map(({ name, text, who, at }) => [
          cell(when(at), 'soft'),
          cell(name),
          cell(text, 'figure'),
          cell('', 'soft'),
          cell(who, 'soft', true),
        ]),
  );

const papersBlock = ({ papers }: SheetDocument) =>
  block('papers', l.papers, [1], [], papers.length > 0 ? { papers } : {});

const photosBlock = ({ photos }: SheetDocument) =>
  block('photos', l.photos, [1], [], photos.length > 0 ? { photos } : {});

function signedBlock({ exceptions, open, openReason, settings }: SheetDocument): SheetBlock | null {
  const noted = settings.filter((setting) => markOf(setting) !== null);
  return block(
    'signed',
    l.signed,
    [0.36, 0.64],
    [
      ...exceptions.map(({ step, reason, who }) => [cell(step), cell(`${reason} (${who})`)]),
      ...noted.map(({ name, stale, standing, wanted }) => [
        cell(name),
        cell(stale ?? (standing === 'out' ? l.outOf(wanted ?? '') : '')),
      ]),
      ...open.map((text) => [cell(l.open), cell(text)]),
    ],
    openReason === null ? {} : { note: `${l.handedOver} ${openReason}` },
  );
}

const basisBlock = ({ marks }: SheetDocument) => listBlock('basis', l.basis, marks?.basis ?? []);

function partsBlock(sheet: SheetDocument, { prices }: PageWishes): SheetBlock | null {
  const { bow, parts, work, taxCents, taxPct } = sheet;
  const line = (name: string, label: string, price: string): SheetCell[] => [
    cell(name, 'soft'),
    cell(label),
    ...(prices ? [cell(price, 'figure', true)] : []),
  ];
  return block('parts', l.parts, prices ? [0.2, 0.6, 0.2] : [0.2, 0.8], [
    ...(bow ? [line(l.bow, bowLine(bow), writeMoney(sheet.bowPriceCents))] : []),
    ...parts.map(({ name, label, owned, priceCents }) =>
      line(
        name,
        owned && !prices ? `${label}, ${l.own}` : label,
        owned ? l.own : writeMoney(priceCents),
      ),
    ),
    ...(work && work.cents > 0
      ? [line(l.work, l.minutes(work.minutes), writeMoney(work.cents))]
      : []),
    ...(prices
      ? [
          ...sheet.extras.map(({ text, cents }) =>
            line(cents < 0 ? l.discount : l.extra, text, writeMoney(cents)),
          ),
          line(
            l.total,
            taxCents === undefined ? '' : l.tax(taxPct!, writeMoney(taxCents)),
            writeMoney(sheet.totalCents),
          ),
        ]
      : []),
  ]);
}

const toldBlock = ({ cautions }: SheetDocument) =>
  block(
    'told',
    l.told,
    [0.08, 0.92],
    cautions.map((text) => [cell(l.ticked, 'strong'), cell(text)]),
  );

const careBlock = ({ care }: SheetDocument) =>
  block(
    'care',
    l.care,
    [0.2, 0.8],
    care.map(({ day, text }) => [cell(spokenDay(day), 'strong'), cell(text)]),
  );

function growthBlock({ growth, units }: SheetDocument): SheetBlock | null {
  if (!growth) return null;
  return block(
    'growth',
    l.growth,
    [0.2, 0.8],
    growth.steps.map(({ day, peakN }) => [
      cell(spokenDay(day), 'strong'),
      cell(`${l.notBefore} ${write(peakN, 'force', units, { decimals: 0 })}`),
    ]),
    { note: growth.test },
  );
}
