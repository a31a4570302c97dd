import PDFDocument from 'pdfkit';
import type { SheetItem, PaperSize } from '@/core/flight';
import type { SheetSketch } from '@/core/sheet';
import { MM_PER_INCH } from '@/core/units';
import { writeFractions } from './figures';
import { font } from './fonts';

export const INK = '#000000';
export const GREY = '#444444';
export const PT_PER_MM = 72 / MM_PER_INCH;

export type Face = 'text' | 'bold' | 'figure';

/** A document with the program's own fonts; everything on it is placed by whoever writes it. */
export function newPaper(size: PaperSize | [number, number], title: string, margin: number) {
  const doc = new PDFDocument({
    size,
    margins: { top: margin, bottom: 0, left: margin, right: margin },
    bufferPages: true,
    info: { Title: title, Creator: 'Waffenrad' },
  });
  for (const name of ['text', 'bold', 'figure'] as const) doc.registerFont(name, font(name));
  return doc;
}

/** The finished file. */
export function finished(doc: PDFKit.PDFDocument): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
    doc.end();
  });
}

export interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

export interface Manner {
  readonly face?: Face;
  readonly size: number;
  readonly colour?: string;
  readonly right?: boolean;
}

const dress = (doc: PDFKit.PDFDocument, { face = 'text', size, colour = INK }: Manner) =>
  doc.font(face).fontSize(size).fillColor(colour);

/** Height words take in a width. */
export const heightOf = (doc: PDFKit.PDFDocument, text: string, width: number, manner: Manner) =>
  dress(doc, manner).heightOfString(text || ' ', { width });

export const widthOf = (doc: PDFKit.PDFDocument, text: string, manner: Manner) =>
  dress(doc, manner).widthOfString(text);

/** Writes words in a place, fractions set as on the screen, and says how high they were. */
export function put(doc: PDFKit.PDFDocument, text: string, place: Place, manner: Manner): number {
  const height = heightOf(doc, text, place.width, manner);
  const right = manner.right ?? false;
  dress(doc, manner);
  if (!writeFractions(doc, text, { ...place, right }, manner.size))
    doc.text(text, place.x, place.y, {
      width: place.width,
      align: right ? 'right' : 'left',
    });
  return height;
}

export const hair = (
  doc: PDFKit.PDFDocument,
  x1: number,
  y: number,
  x2: number,
  weight = 0.3,
  colour = '#888888',
) => doc.moveTo(x1, y).lineTo(x2, y).lineWidth(weight).strokeColor(colour).stroke();

/** The measuring tape's ticks, the house's own mark. */
export function tapeRule(doc: PDFKit.PDFDocument, x: number, y: number, width: number): void {
  hair(doc, x, y, x + width, 1.1, INK);
  for (let i = 0; i <= 64; i++) {
    const at = x + (width * i) / 64;
    doc
      .moveTo(at, y)
      .lineTo(at, y + (i % 8 === 0 ? 5 : i % 4 === 0 ? 3.5 : 2))
      .lineWidth(0.5)
      .stroke();
  }
}

/** Draws lines and words given in millimetres, from a corner of the paper. */
export function drawItem(doc: PDFKit.PDFDocument, item: SheetItem, x = 0, y = 0): void {
  const [px, py] = [(mm: number) => x + mm * PT_PER_MM, (mm: number) => y + mm * PT_PER_MM];
  if (item.kind === 'line') {
    doc.lineWidth(item.widthMm * PT_PER_MM).strokeColor(INK);
    if (item.dashed) doc.dash(1.2 * PT_PER_MM, { space: 0.8 * PT_PER_MM });
    else doc.undash();
    doc.moveTo(px(item.x1), py(item.y1)).lineTo(px(item.x2), py(item.y2)).stroke().undash();
    return;
  }
  if (item.kind === 'box') {
    const [width, height] = [item.widthMm * PT_PER_MM, item.heightMm * PT_PER_MM];
    doc.rect(px(item.x), py(item.y), width, height).fillColor(INK).fill();
    return;
  }
  const size = item.sizeMm * PT_PER_MM;
  const manner: Manner = { face: item.bold ? 'bold' : 'text', size };
  const width = widthOf(doc, item.text, manner);
  const shift = item.anchor === 'middle' ? width / 2 : item.anchor === 'end' ? width : 0;
  const left = px(item.x) - shift;
  // A face stands 0.984 em under the top of its line; a fraction takes less room than its letters.
  const top = py(item.y) - 0.984 * size;
  const right = item.anchor === 'end';
  const place = { x: right ? px(item.x) - width : left, y: top, width, right };
  if (writeFractions(doc, item.text, place, size)) return;
  doc.text(item.text, left, py(item.y), { lineBreak: false, baseline: 'alphabetic' });
}

/** Draws the bow of a sheet, from the upper left corner of its place. */
export function drawSketch(doc: PDFKit.PDFDocument, sketch: SheetSketch, x: number, y: number) {
  doc
    .save()
    .translate(x + sketch.left * PT_PER_MM, y + sketch.top * PT_PER_MM)
    .scale(sketch.scale * PT_PER_MM);
  for (const { d, fill, lineMm } of sketch.paths) {
    doc.path(d);
    if (lineMm > 0) doc.lineWidth(lineMm).lineJoin('round').lineCap('round').strokeColor(INK);
    const colour = fill === 'ink' ? INK : '#ffffff';
    if (fill === 'none') doc.stroke();
    else if (lineMm > 0) doc.fillColor(colour).fillAndStroke();
    else doc.fillColor(colour).fill();
  }
  doc.restore();
  for (const item of sketch.items) drawItem(doc, item, x, y);
}
