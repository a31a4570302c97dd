import { MM_PER_INCH } from '@/core/units';
import PDFDocument from 'pdfkit';
import { checker } from '@/contracts/ajv';
import { TapeQuery } from '@/contracts/tape';
import { USUAL_TAPE } from '@/contracts/usual-tape';
import type { SheetItem, TapeOptions, TapeSheet } from '@/core/flight';
import { derive, jobTape } from '@/core/job';
import { tapeSvg } from '@/core/sheet';
import { font } from './pdf/fonts';
import { invalid, notFound, refusedProblem } from './problem';
import { loadSnapshot } from './load-snapshot';

const PT_PER_MM = 72 / MM_PER_INCH;
const check = checker(TapeQuery);
const NUMBERS = new Set<string>(
  Object.entries(USUAL_TAPE).flatMap(([key, value]) => (typeof value === 'number' ? [key] : [])),
);

/** The query as a wish: what is not said is usual, what is said is checked. */
function wishOf(params: URLSearchParams): TapeQuery {
  const said = [...params].map(([key, text]) => [
    key,
    NUMBERS.has(key) && text.trim() !== '' ? Number(text) : text,
  ]);
  const checked = check({ ...USUAL_TAPE, ...Object.fromEntries(said) });
  if (!checked.ok) throw invalid(checked.errors);
  return checked.value;
}

interface TapeFile {
  readonly body: string | Uint8Array;
  readonly type: string;
  readonly name: string;
}

/** The tape of a job as a file, true to size. */
export async function tapeFile(jobId: string, params: URLSearchParams): Promise<TapeFile> {
  const wish = wishOf(params);
  const snapshot = loadSnapshot(jobId);
  if (!snapshot) throw notFound('job');
  const answer = jobTape(snapshot, derive(snapshot), {
    ...wish,
    numbersEvery: wish.numbersEvery as TapeOptions['numbersEvery'],
  });
  if (!answer.ok) throw refusedProblem(answer);
  const name = `tape-${snapshot.job.number}.${wish.format}`;
  return wish.format === 'svg'
    ? { body: tapeSvg(answer.sheet), type: 'image/svg+xml; charset=utf-8', name }
    : { body: await tapePdf(answer.sheet), type: 'application/pdf', name };
}

/** The sheet as PDF: one page, every millimetre a millimetre. */
function tapePdf(sheet: TapeSheet): Promise<Buffer> {
  const doc = new PDFDocument({
    size: [sheet.widthMm * PT_PER_MM, sheet.heightMm * PT_PER_MM],
    margin: 0,
    info: { Title: 'Sight tape', Creator: 'Waffenrad' },
  });
  doc.registerFont('text', font('text'));
  doc.registerFont('bold', font('bold'));
  const parts: Buffer[] = [];
  const whole = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (part: Buffer) => parts.push(part));
    doc.on('end', () => resolve(Buffer.concat(parts)));
    doc.on('error', reject);
  });
  for (const item of sheet.items) drawItem(doc, item);
  doc.end();
  return whole;
}

function drawItem(doc: PDFKit.PDFDocument, item: SheetItem): void {
  const pt = (mm: number) => mm * PT_PER_MM;
  if (item.kind === 'line') {
    doc.lineWidth(pt(item.widthMm)).strokeColor('#000000');
    if (item.dashed) doc.dash(pt(1.2), { space: pt(0.8) });
    else doc.undash();
    doc.moveTo(pt(item.x1), pt(item.y1)).lineTo(pt(item.x2), pt(item.y2)).stroke();
    return;
  }
  doc
    .font(item.bold ? 'bold' : 'text')
    .fontSize(pt(item.sizeMm))
    .fillColor('#000000');
  const width = doc.widthOfString(item.text);
  const shift = item.anchor === 'middle' ? width / 2 : item.anchor === 'end' ? width : 0;
  doc.text(item.text, pt(item.x) - shift, pt(item.y), { lineBreak: false, baseline: 'alphabetic' });
}
