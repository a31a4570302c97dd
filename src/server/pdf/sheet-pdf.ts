import PDFDocument from 'pdfkit';
import { bowLine, SHEET_LABELS as l, type SheetDocument } from '@/core/sheet';
import { writeMoney } from '@/core/units';
import { writeFractions } from './figures';
import { font } from './fonts';

const INK = '#000000';
const GREY = '#555555';
const MARGIN = 40;
const GAP = 14;

/** Writes top to bottom in one column of rows; opens a new page when a row would not fit. */
class SheetWriter {
  readonly doc: PDFKit.PDFDocument;
  private readonly width: number;

  constructor(paper: 'A4' | 'LETTER', title: string) {
    this.doc = new PDFDocument({
      size: paper,
      margins: { top: MARGIN, bottom: MARGIN + 14, left: MARGIN, right: MARGIN },
      bufferPages: true,
      info: { Title: title, Creator: 'Waffenrad' },
    });
    this.doc.registerFont('text', font('text'));
    this.doc.registerFont('bold', font('bold'));
    this.doc.registerFont('figure', font('figure'));
    this.width = this.doc.page.width - 2 * MARGIN;
  }

  private room(height: number): void {
    if (this.doc.y + height > this.doc.page.height - MARGIN - 16) this.doc.addPage();
  }

  title(text: string, right: string): void {
    const { doc } = this;
    doc
      .font('bold')
      .fontSize(20)
      .fillColor(INK)
      .text(text, MARGIN, MARGIN, { width: this.width * 0.68 });
    const below = doc.y;
    doc
      .font('figure')
      .fontSize(9)
      .text(right, MARGIN + this.width * 0.68, MARGIN + 4, {
        width: this.width * 0.32,
        align: 'right',
      });
    doc.y = Math.max(below, doc.y) + 4;
    this.rule(1.2);
  }

  heading(text: string): void {
    this.room(60);
    this.doc.y += GAP;
    this.doc.font('bold').fontSize(11.5).fillColor(INK).text(text, MARGIN, this.doc.y);
    this.doc.y += 2;
    this.rule(0.8);
  }

  rule(weight: number): void {
    const { doc } = this;
    doc
      .moveTo(MARGIN, doc.y)
      .lineTo(MARGIN + this.width, doc.y)
      .lineWidth(weight)
      .strokeColor(INK)
      .stroke();
    // The measuring tape's ticks, the house's own mark.
    for (let i = 0; weight > 1 && i <= 64; i++) {
      const x = MARGIN + (this.width * i) / 64;
      doc
        .moveTo(x, doc.y)
        .lineTo(x, doc.y + (i % 8 === 0 ? 6 : i % 4 === 0 ? 4 : 2.5))
        .lineWidth(0.5)
        .stroke();
    }
    doc.y += weight > 1 ? 10 : 4;
  }

  /** Columns as parts of the width; figures in the mono font. */
  row(
    cells: readonly {
      text: string;
      part: number;
      font?: string;
      grey?: boolean;
      right?: boolean;
    }[],
  ): void {
    const { doc } = this;
    const size = 9;
    const heights = cells.map((cell) =>
      doc
        .font(cell.font ?? 'text')
        .fontSize(size)
        .heightOfString(cell.text || ' ', { width: cell.part * this.width - 8 }),
    );
    const height = Math.max(...heights) + 4;
    this.room(height);
    const y = doc.y;
    let x = MARGIN;
    for (const cell of cells) {
      const width = cell.part * this.width - 8;
      doc
        .font(cell.font ?? 'text')
        .fontSize(size)
        .fillColor(cell.grey ? GREY : INK);
      if (!writeFractions(doc, cell.text, { x, y, width, right: cell.right ?? false }, size))
        doc.text(cell.text, x, y, { width, align: cell.right ? 'right' : 'left' });
      x += cell.part * this.width;
    }
    doc.y = y + height;
    doc
      .moveTo(MARGIN, doc.y - 2)
      .lineTo(MARGIN + this.width, doc.y - 2)
      .lineWidth(0.3)
      .strokeColor('#999999')
      .stroke();
  }

  paragraph(text: string): void {
    this.room(this.doc.font('text').fontSize(9).heightOfString(text, { width: this.width }) + 4);
    this.doc
      .font('text')
      .fontSize(9)
      .fillColor(INK)
      .text(text, MARGIN, this.doc.y, { width: this.width });
    this.doc.y += 3;
  }

  /** A line to sign on for each. */
  signatures(names: readonly string[]): void {
    this.room(70);
    const { doc } = this;
    const width = this.width / names.length;
    const y = doc.y + 44;
    names.forEach((name, i) => {
      const x = MARGIN + i * width;
      doc
        .moveTo(x, y)
        .lineTo(x + width - 30, y)
        .lineWidth(0.8)
        .strokeColor(INK)
        .stroke();
      doc
        .font('text')
        .fontSize(9)
        .fillColor(GREY)
        .text(name, x, y + 4);
    });
  }

  /** Page feet, then the finished file. */
  finish(foot: string): Promise<Buffer> {
    const { doc } = this;
    const { start, count } = doc.bufferedPageRange();
    for (let i = start; i < start + count; i++) {
      doc.switchToPage(i);
      doc.page.margins.bottom = 0;
      doc
        .font('text')
        .fontSize(8)
        .fillColor(GREY)
        .text(`${foot} · page ${i + 1} of ${count}`, MARGIN, doc.page.height - MARGIN, {
          width: this.width,
          lineBreak: false,
        });
    }
    return new Promise((resolve, reject) => {
      const chunks: Buffer[] = [];
      doc.on('data', (chunk: Buffer) => chunks.push(chunk));
      doc.on('end', () => resolve(Buffer.concat(chunks)));
      doc.on('error', reject);
      doc.end();
    });
  }
}

/** "Mon 7 Dec 2026". */
const day = (iso: string) =>
  new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  })
    .format(new Date(`${iso}T12:00:00Z`))
    .replace(',', '');

const euro = writeMoney;

/** The build sheet on paper: black on white, no tint carries meaning, settings first. */
export function sheetPdf(sheet: SheetDocument, paper: 'A4' | 'LETTER'): Promise<Buffer> {
  const title = `Build sheet · ${sheet.archer.name}`;
  const w = new SheetWriter(paper, title);
  w.title(
    sheet.archer.name,
    `ticket ${sheet.job.number}\nrevision ${sheet.revision}\n${day(sheet.madeDay)}\n${sheet.madeBy}`,
  );
  facts(w, sheet);
  w.heading(l.settings);
  for (const s of sheet.settings) {
    const mark = s.stale ? 'again' : s.standing === 'out' ? 'out' : s.standing === 'in' ? 'in' : '';
    w.row([
      { text: s.name, part: 0.25 },
      { text: s.text, part: 0.28, font: 'figure' },
      { text: s.wanted ? `wanted ${s.wanted}` : '', part: 0.26, grey: true },
      { text: mark, part: 0.08, font: 'bold' },
      { text: s.who, part: 0.13, grey: true, right: true },
    ]);
  }
  if (sheet.marks) marks(w, sheet.marks);
  if (sheet.balance) {
    w.heading(l.balance);
    sheet.balance.text.forEach((line) => w.row([{ text: line, part: 1 }]));
  }
  parts(w, sheet);
  if (sheet.exceptions.length + sheet.open.length > 0) openWork(w, sheet);
  w.heading(l.told);
  sheet.cautions.forEach((caution) => w.row([{ text: caution, part: 1 }]));
  w.paragraph(l.comeBack(day(sheet.comeBackDay)));
  w.signatures([sheet.archer.guardianName === null ? l.archer : l.guardianSigns, l.shop]);
  return w.finish(`${sheet.shop.name} · ${title}, revision ${sheet.revision}`);
}

function facts(w: SheetWriter, { archer, bow, fit, shop }: SheetDocument): void {
  const pair = (name: string, value: string) =>
    w.row([
      { text: name, part: 0.27 },
      { text: value, part: 0.73, font: 'bold' },
    ]);
  pair(l.shop, [shop.name, shop.address].filter(Boolean).join(', '));
  if (bow) {
    const limit = bow.maxTurns === null ? l.noLimit : l.limit(bow.maxTurns);
    pair(l.bow, bowLine(bow));
    pair('Limit', limit);
    if (bow.overruled) pair(l.overruled, bow.overruled);
  }
  pair(
    l.archer,
    `${archer.hand} hand, ${archer.dominantEye} eye${archer.guardianName === null ? '' : `, ${l.guardian(archer.guardianName)}`}`,
  );
  if (fit.drawLengthText) pair(l.drawLength, fit.drawLengthText);
  if (fit.startText) pair(l.startWeight, fit.startText);
  for (const note of fit.notes ?? []) pair('', note);
}

function marks(
  w: SheetWriter,
  { rows, basis, furthestClearM }: NonNullable<SheetDocument['marks']>,
): void {
  w.heading(l.marks);
  const first = rows[0]?.pinAboveArrowMm ?? 0;
  for (let i = 0; i < rows.length; i += 4) {
    const four = rows.slice(i, i + 4).flatMap((row) => [
      { text: row.distanceText, part: 0.12, font: 'bold' },
      { text: `${(first - row.pinAboveArrowMm).toFixed(1)} mm`, part: 0.13, font: 'figure' },
    ]);
    w.row(four);
  }
  w.paragraph(
    `${l.restsOn} ${basis.join('; ')}.${furthestClearM === null ? '' : ` ${l.clearTo(`${furthestClearM.toFixed(0)} m`)}`}`,
  );
}

function parts(w: SheetWriter, sheet: SheetDocument): void {
  w.heading(l.parts);
  const line = (name: string, label: string, price: string) =>
    w.row([
      { text: name, part: 0.2 },
      { text: label, part: 0.6 },
      { text: price, part: 0.2, font: 'figure', right: true },
    ]);
  if (sheet.bow) line(l.bow, sheet.bow.name, euro(sheet.bowPriceCents));
  sheet.parts.forEach((part) =>
    line(part.name, part.label, part.owned ? l.own : euro(part.priceCents)),
  );
  if (sheet.work && sheet.work.cents > 0)
    line(l.work, l.minutes(sheet.work.minutes), euro(sheet.work.cents));
  const tax = sheet.taxCents === undefined ? '' : l.tax(sheet.taxPct!, euro(sheet.taxCents));
  line(l.total, tax, euro(sheet.totalCents));
}

function openWork(w: SheetWriter, sheet: SheetDocument): void {
  w.heading(l.signed);
  sheet.exceptions.forEach((e) =>
    w.row([
      { text: e.step, part: 0.4 },
      { text: `${e.reason} (${e.who})`, part: 0.6 },
    ]),
  );
  sheet.open.forEach((text) => w.row([{ text, part: 1 }]));
  if (sheet.openReason) w.paragraph(`${l.handedOver} ${sheet.openReason}`);
}
