import { moneyOf, PAYMENT_WAYS, type Accepted, type Payment } from '../job';
import { spokenDay, writeMoney } from '../units';
import { SHEET_LABELS as l } from './labels';
import { cell, type SheetBlock, type SheetCell } from './blocks';
import { bowLine, type SheetDocument } from './sheet-document';

/** What was agreed and paid, as it stands on the day the note is printed. */
export interface DeliveryMoney {
  readonly accepted: Accepted | null;
  readonly payments: readonly Payment[];
  /** Day of an instant in the shop's time zone. */
  readonly dayOf: (at: string) => string;
}

interface DeliveryNote {
  readonly title: string;
  /** "1001.2": ticket and revision. */
  readonly number: string;
  readonly beside: string;
  readonly blocks: readonly SheetBlock[];
  /** Over the signatures. */
  readonly received: string;
}

/**
 * What left the shop with a sheet: bow with its number, every part, arrows by their count, what is open and
 * why; with prices what it cost, was paid and is left. Pure: the same sheet and payments make the same note.
 */
export function deliveryNote(
  sheet: SheetDocument,
  money: DeliveryMoney,
  prices: boolean,
): DeliveryNote {
  const { archer, shop, job } = sheet;
  const number = `${job.number}.${sheet.revision}`;
  const from = [shop.name, shop.address, shop.phone].filter(Boolean).join(', ');
  const to = archer.guardianName
    ? `${archer.name}, ${l.guardian(archer.guardianName)}`
    : archer.name;
  return {
    title: l.delivery,
    number,
    beside: `${number}, ${spokenDay(sheet.madeDay)}`,
    blocks: [
      {
        id: 'who',
        title: l.fromTo,
        parts: [0.2, 0.8],
        rows: [
          [cell(l.from, 'soft'), cell(from)],
          [cell(l.to, 'soft'), cell(to, 'strong')],
          [cell(l.handedBy, 'soft'), cell(sheet.madeBy)],
        ],
      },
      goods(sheet, prices),
      ...(prices ? [bill(sheet, money)] : []),
      ...openBlock(sheet),
    ],
    received: l.received,
  };
}

function goods(sheet: SheetDocument, prices: boolean): SheetBlock {
  const { bow, parts, arrow } = sheet;
  const line = (count: string, name: string, label: string, price: string): SheetCell[] => [
    cell(count, 'figure'),
    cell(name, 'soft'),
    cell(label),
    ...(prices ? [cell(price, 'figure', true)] : []),
  ];
  return {
    id: 'goods',
    title: l.goods,
    parts: prices ? [0.08, 0.18, 0.56, 0.18] : [0.08, 0.18, 0.74],
    rows: [
      ...(bow ? [line('1', l.bow, bowLine(bow), writeMoney(sheet.bowPriceCents))] : []),
      ...parts.map(({ slot, name, label, owned, priceCents }) =>
        line(
          slot === 'arrows' && arrow?.count ? String(arrow.count) : '1',
          name,
          owned ? `${label}, ${l.own}` : label,
          owned ? '' : writeMoney(priceCents),
        ),
      ),
    ],
  };
}

function bill(sheet: SheetDocument, { accepted, payments, dayOf }: DeliveryMoney): SheetBlock {
  const { leftCents } = moneyOf(payments, sheet.totalCents);
  const row = (name: string, about: string, cents: number, as?: SheetCell['as']) => [
    cell(name, as ?? 'soft'),
    cell(about),
    cell(writeMoney(cents), 'figure', true),
  ];
  const way = (id: Payment['way']) => PAYMENT_WAYS.find((one) => one.id === id)!.name;
  const { work, taxCents, taxPct } = sheet;
  return {
    id: 'bill',
    title: l.bill,
    parts: [0.24, 0.58, 0.18],
    rows: [
      ...(work && work.cents > 0 ? [row(l.work, l.minutes(work.minutes), work.cents)] : []),
      ...sheet.extras.map(({ text, cents }) => row(cents < 0 ? l.discount : l.extra, text, cents)),
      row(
        l.total,
        taxCents === undefined ? '' : l.tax(taxPct!, writeMoney(taxCents)),
        sheet.totalCents,
        'strong',
      ),
      ...payments.map(({ kind, way: by, cents, at }) =>
        row(l.paid[kind], `${spokenDay(dayOf(at))}, ${way(by)}`, -cents),
      ),
      row(leftCents < 0 ? l.tooMuch : l.left, '', Math.abs(leftCents), 'strong'),
    ],
    ...(accepted
      ? {
          note: l.acceptedQuote(
            accepted.revision,
            spokenDay(accepted.day),
            writeMoney(accepted.totalCents),
          ),
        }
      : {}),
  };
}

function openBlock({ open, openReason }: SheetDocument): SheetBlock[] {
  if (open.length === 0) return [];
  return [
    {
      id: 'open',
      title: l.leftOpen,
      parts: [1],
      rows: open.map((text) => [cell(text)]),
      ...(openReason === null ? {} : { note: `${l.handedOver} ${openReason}` }),
    },
  ];
}
