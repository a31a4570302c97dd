import {
  comeBackLine,
  deliveryNote,
  SHEET_LABELS as l,
  sheetPages,
  type DeliveryMoney,
  type SheetDocument,
} from '@/core/sheet';
import type { PaperSize } from '@/core/flight';
import { spokenInstant } from '@/core/units';
import { BlockWriter, feet, MARGIN } from './block-writer';
import { pageOne, PAGE_ONE_MARGIN } from './page-one';
import { finished, newPaper } from './paper';

/** What of a sheet is printed, and how. */
interface SheetPrint {
  readonly paper: PaperSize;
  readonly prices: boolean;
  readonly timeZone: string;
  /** Pictures of the record by their number; one that is not there is left out. */
  readonly pictures?: ReadonlyMap<number, Uint8Array>;
}

/** The build sheet on paper: black on white, page one to rebuild from, the record, what the archer is told. */
export function sheetPdf(
  sheet: SheetDocument,
  { paper, prices, timeZone, pictures = new Map() }: SheetPrint,
) {
  const title = `${l.title} · ${sheet.archer.name}`;
  const doc = newPaper(paper, title, PAGE_ONE_MARGIN);
  const pages = sheetPages(sheet, { prices, when: (at) => spokenInstant(at, timeZone) });
  pageOne(doc, sheet, pages);
  const writer = new BlockWriter(
    doc,
    `${sheet.archer.name}, ${l.ticket(sheet.job.number)}, ${l.revision(sheet.revision)}`,
    pictures,
  );
  writer.begin(l.pageTwo);
  pages.two.forEach((block) => writer.block(block));
  writer.begin(l.pageThree);
  pages.three.forEach((block) => writer.block(block));
  writer.words(comeBackLine(sheet));
  writer.signatures(signers(sheet), sheet.signature);
  feet(doc, `${sheet.shop.name} · ${title}, ${l.revision(sheet.revision)}`, PAGE_ONE_MARGIN);
  return finished(doc);
}

const signers = ({ archer }: SheetDocument) => [
  archer.guardianName === null ? l.archer : l.guardianSigns,
  l.shop,
];

/** The delivery note of a handover: what went, with its number, what was paid, and who signed. */
export function deliveryPdf(
  sheet: SheetDocument,
  money: DeliveryMoney,
  { paper, prices }: Pick<SheetPrint, 'paper' | 'prices'>,
) {
  const note = deliveryNote(sheet, money, prices);
  const doc = newPaper(paper, `${note.title} · ${sheet.archer.name}`, MARGIN);
  const writer = new BlockWriter(doc, note.beside);
  writer.title(note.title);
  note.blocks.forEach((block) => writer.block(block));
  writer.words(note.received);
  writer.signatures(signers(sheet), sheet.signature);
  feet(doc, `${sheet.shop.name} · ${note.title} ${note.number}`);
  return finished(doc);
}
