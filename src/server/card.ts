import QRCode from 'qrcode';
import type { PaperSize } from '@/core/flight';
import {
  cardFaces,
  cardPair,
  cardSheet,
  codeItems,
  codeText,
  paperSvg,
  type CardSize,
  type CodeMatrix,
  type SheetDocument,
} from '@/core/sheet';
import { drawItem, finished, newPaper, PT_PER_MM } from './pdf/paper';

/** What a card is wanted as. */
export interface CardWish {
  readonly size: CardSize;
  readonly format: 'pdf' | 'svg';
  readonly paper: PaperSize;
}

/** A text as the squares of a code; level Q, of which a quarter may be soiled (ISO/IEC 18004). */
export function codeMatrix(text: string): CodeMatrix {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'Q' });
  return Array.from({ length: modules.size }, (_, row) =>
    Array.from({ length: modules.size }, (_unused, column) =>
      modules.get(row, column) === 1 ? '1' : '0',
    ).join(''),
  );
}

/** A card of a sheet as a file: the pair alone as SVG, a sheet of paper of them as PDF. */
export async function cardFile(
  sheet: SheetDocument,
  { size, format, paper }: CardWish,
): Promise<{ readonly body: string | Uint8Array; readonly type: string; readonly name: string }> {
  const text = codeText(sheet);
  const faces = cardFaces(sheet, size, text === null ? null : codeMatrix(text));
  const name = `${size}-card-${sheet.job.number}-${sheet.revision}.${format}`;
  if (format === 'svg')
    return { body: paperSvg(cardPair(faces)), type: 'image/svg+xml; charset=utf-8', name };
  const { widthMm, heightMm, items } = cardSheet(faces, paper);
  const doc = newPaper(
    [widthMm * PT_PER_MM, heightMm * PT_PER_MM],
    `Card · ${sheet.archer.name}`,
    0,
  );
  for (const item of items) drawItem(doc, item);
  return { body: await finished(doc), type: 'application/pdf', name };
}

/** The code alone, as a drawing that is scanned from a screen. */
export function codeSvg(sheet: SheetDocument): string | null {
  const text = codeText(sheet);
  if (text === null) return null;
  const side = 60;
  return paperSvg({
    widthMm: side,
    heightMm: side,
    items: codeItems(codeMatrix(text), 0, 0, side),
  });
}
