import { VISIT_KINDS } from '../job';
import { writeMoney } from '../units';
import { block, cell, listBlock, type SheetBlock, type SheetCell } from './blocks';
import { SHEET_LABELS as l } from './labels';
import { markOf } from './page-one';
import { bowLine, type SheetDocument } from './sheet-document';

export interface PageWishes {
  readonly prices: boolean;
  /** An instant in the shop's time zone, as the reader writes it. */
  readonly when: (at: string) => string;
}

export function sinceBlock({ since }: SheetDocument): SheetBlock | null {
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

export const visitBlock = ({ visit }: SheetDocument) =>
  visit &&
  listBlock('visit', l.visit, [
    VISIT_KINDS.find(({ id }) => id === visit.kind)!.name,
    ...(visit.words ? [visit.words] : []),
  ]);

export function fitBlock({ fit }: SheetDocument): SheetBlock | null {
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

export const recordBlock = ({ record, settings }: SheetDocument, { when }: PageWishes) =>
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

export const papersBlock = ({ papers }: SheetDocument) =>
  block('papers', l.papers, [1], [], papers.length > 0 ? { papers } : {});

export const photosBlock = ({ photos }: SheetDocument) =>
  block('photos', l.photos, [1], [], photos.length > 0 ? { photos } : {});

export function signedBlock({
  exceptions,
  open,
  openReason,
  settings,
}: SheetDocument): SheetBlock | null {
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

export const basisBlock = ({ marks }: SheetDocument) =>
  listBlock('basis', l.basis, marks?.basis ?? []);

export function partsBlock(sheet: SheetDocument, { prices }: PageWishes): SheetBlock | null {
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
