import { checker } from '@/contracts/ajv';
import { TapeQuery } from '@/contracts/tape';
import { USUAL_TAPE } from '@/contracts/usual-tape';
import type { TapeOptions, TapeSheet } from '@/core/flight';
import { derive, jobTape } from '@/core/job';
import { tapeSvg } from '@/core/sheet';
import { drawItem, finished, newPaper, PT_PER_MM } from './pdf/paper';
import { invalid, notFound, refusedProblem } from './problem';
import { loadSnapshot } from './load-snapshot';

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
  const size: [number, number] = [sheet.widthMm * PT_PER_MM, sheet.heightMm * PT_PER_MM];
  const doc = newPaper(size, 'Sight tape', 0);
  for (const item of sheet.items) drawItem(doc, item);
  return finished(doc);
}
