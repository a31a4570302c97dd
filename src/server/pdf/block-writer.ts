import type { SheetBlock, SheetSignature } from '@/core/sheet';
import { GREY, hair, heightOf, INK, put, tapeRule, type Manner } from './paper';

export const MARGIN = 36;
const FOOT = 26;
const SIZE = 8.6;
const FINE = 7.4;
const GAP = 11;

type Doc = PDFKit.PDFDocument;

/** Writes tables top to bottom, on new pages where one is full. */
export class BlockWriter {
  private y = 0;
  private readonly width: number;

  constructor(
    private readonly doc: Doc,
    /** Stands at the head of every first page, to the right. */
    private readonly beside: string,
    private readonly pictures: ReadonlyMap<number, Uint8Array> = new Map(),
  ) {
    this.width = doc.page.width - 2 * MARGIN;
  }

  /** A page of its own, with what it is at its head. */
  begin(title: string): void {
    this.doc.addPage();
    this.title(title);
  }

  /** What the page is, at its head. */
  title(title: string): void {
    const { doc, beside, width } = this;
    put(doc, title, { x: MARGIN, y: MARGIN, width: width * 0.6 }, { face: 'bold', size: 15 });
    put(
      doc,
      beside,
      { x: MARGIN + width * 0.5, y: MARGIN + 6, width: width * 0.5 },
      { size: 8.6, right: true },
    );
    const high = Math.max(22, 9 + heightOf(doc, beside, width * 0.5, { size: 8.6 }));
    tapeRule(doc, MARGIN, MARGIN + high, width);
    this.y = MARGIN + high + 8;
  }

  private room(height: number): void {
    if (this.y + height <= this.doc.page.height - FOOT - 14) return;
    this.doc.addPage();
    this.y = MARGIN;
  }

  block(block: SheetBlock): void {
    const { doc, width } = this;
    this.room(46);
    this.y += GAP;
    this.y += put(doc, block.title, { x: MARGIN, y: this.y, width }, { face: 'bold', size: 10.6 });
    hair(doc, MARGIN, this.y + 1, MARGIN + width, 0.8, INK);
    this.y += 4;
    block.rows.forEach((row) => this.row(block, row));
    if (block.papers) this.papers(block.papers);
    if (block.photos) this.photos(block.photos);
    if (block.note) this.words(block.note);
  }

  private row({ id, parts }: SheetBlock, row: SheetBlock['rows'][number]): void {
    const { doc, width } = this;
    // The record is long and looked things up in: finer than what is read through.
    const fine = id === 'record';
    const manners = row.map((cell): Manner => ({
      size: fine ? FINE : SIZE,
      face: cell.as === 'figure' ? 'figure' : cell.as === 'strong' ? 'bold' : 'text',
      colour: cell.as === 'soft' ? GREY : INK,
      right: cell.right ?? false,
    }));
    const height =
      Math.max(
        ...row.map((cell, i) => heightOf(doc, cell.text, parts[i]! * width - 8, manners[i]!)),
      ) + (fine ? 1.4 : 3);
    this.room(height);
    let x = MARGIN;
    row.forEach((cell, i) => {
      put(doc, cell.text, { x, y: this.y, width: parts[i]! * width - 8 }, manners[i]!);
      x += parts[i]! * width;
    });
    this.y += height;
    hair(doc, MARGIN, this.y - (fine ? 0.8 : 1.6), MARGIN + width, 0.25);
  }

  /** Papers side by side, at their own size: the cross is where the point went, the ring the nock. */
  private papers(papers: NonNullable<SheetBlock['papers']>): void {
    const { doc, width } = this;
    const box = 62;
    const each = (width + 12) / Math.floor((width + 12) / (box + 40));
    const perRow = Math.floor((width + 12) / each);
    for (let from = 0; from < papers.length; from += perRow) {
      const row = papers.slice(from, from + perRow);
      const words = row.map(({ moved, text }) => `${moved ? `${moved}\n` : ''}${text}`);
      const under = Math.max(
        ...words.map((text) => heightOf(doc, text, each - 12, { size: SIZE - 1.4 })),
      );
      this.room(box + under + 10);
      row.forEach((paper, i) => {
        const x = MARGIN + i * each;
        const middle = { x: x + box / 2, y: this.y + box / 2 };
        doc.rect(x, this.y, box, box).lineWidth(0.5).strokeColor(INK).stroke();
        doc
          .moveTo(middle.x - 4, middle.y)
          .lineTo(middle.x + 4, middle.y)
          .moveTo(middle.x, middle.y - 4)
          .lineTo(middle.x, middle.y + 4)
          .stroke();
        // A millimetre of tear is a point here; what is larger than the box stands at its edge.
        const inside = (mm: number) => Math.max(-box / 2 + 4, Math.min(box / 2 - 4, mm));
        const nock = { x: middle.x + inside(paper.rightMm), y: middle.y - inside(paper.upMm) };
        doc.moveTo(middle.x, middle.y).lineTo(nock.x, nock.y).lineWidth(1.6).stroke();
        doc.circle(nock.x, nock.y, 3).lineWidth(0.9).stroke();
        put(
          doc,
          `${from + i + 1}`,
          { x: x + 3, y: this.y + 2, width: 20 },
          { size: 7, face: 'bold' },
        );
        put(doc, words[i]!, { x, y: this.y + box + 2, width: each - 12 }, { size: SIZE - 1.4 });
      });
      this.y += box + under + 10;
    }
  }

  /** Photographs two beside each other, each with what it shows. */
  private photos(photos: NonNullable<SheetBlock['photos']>): void {
    const { doc, width, pictures } = this;
    const each = (width - 14) / 2;
    const most = 190;
    for (let from = 0; from < photos.length; from += 2) {
      const row = photos.slice(from, from + 2).map((photo) => {
        const scale = Math.min(each / photo.width, most / photo.height);
        return { photo, wide: photo.width * scale, high: photo.height * scale };
      });
      const high = Math.max(...row.map((one) => one.high));
      const under = Math.max(
        ...row.map(({ photo }) => heightOf(doc, photo.text, each, { size: SIZE - 0.8 })),
      );
      this.room(high + under + 12);
      row.forEach(({ photo, wide, high: own }, i) => {
        const x = MARGIN + i * (each + 14);
        const bytes = pictures.get(photo.id);
        if (bytes) doc.image(Buffer.from(bytes), x, this.y + 3, { width: wide, height: own });
        put(doc, photo.text, { x, y: this.y + own + 5, width: each }, { size: SIZE - 0.8 });
      });
      this.y += high + under + 12;
    }
  }

  words(text: string): void {
    const { doc, width } = this;
    const manner = { size: SIZE };
    this.room(heightOf(doc, text, width, manner) + 4);
    this.y += put(doc, text, { x: MARGIN, y: this.y + 2, width }, manner) + 4;
  }

  /** A line to sign on for each; what was signed on the screen stands on the first. */
  signatures(names: readonly string[], signature: SheetSignature | null): void {
    const { doc } = this;
    this.room(76);
    const width = this.width / names.length;
    const y = this.y + 54;
    if (signature) {
      const scale = Math.min((width - 60) / signature.width, 46 / signature.height);
      doc
        .save()
        .translate(MARGIN, y - signature.height * scale)
        .scale(scale)
        .path(signature.path)
        .lineWidth(1.2 / scale)
        .lineCap('round')
        .lineJoin('round')
        .strokeColor(INK)
        .stroke()
        .restore();
    }
    names.forEach((name, i) => {
      const x = MARGIN + i * width;
      hair(doc, x, y, x + width - 30, 0.8, INK);
      const text = i === 0 && signature ? `${name}: ${signature.name}` : name;
      put(doc, text, { x, y: y + 3, width: width - 30 }, { size: 8.6, colour: GREY });
    });
    this.y = y + 20;
  }
}

/** Foot of every page: what it is, and which of how many. */
export function feet(doc: Doc, foot: string, first = MARGIN): void {
  const { start, count } = doc.bufferedPageRange();
  for (let i = start; i < start + count; i++) {
    doc.switchToPage(i);
    doc
      .font('text')
      .fontSize(7.5)
      .fillColor(GREY)
      .text(
        `${foot} · page ${i + 1} of ${count}`,
        i === start ? first : MARGIN,
        doc.page.height - FOOT + 6,
        { lineBreak: false },
      );
  }
}
