import type { BowRecord } from '@/core/bow';
import { readTable, type Fault, type RowFault, type TableFormat } from '../csv';
import type { BowField } from './column';
import { BOW_COLUMNS } from './columns';

export type { RowFault } from '../csv';

export interface BowFile {
  readonly bows: readonly { readonly line: number; readonly bow: BowRecord }[];
  readonly faults: readonly RowFault[];
  readonly faultCount: number;
}

const BOW_FILE_LIMIT = 900_000;
/** Written in one go while nobody else is served: more comes in two files. */
const MOST_BOW_ROWS = 1_000;

const header = (field: BowField) => BOW_COLUMNS.find((column) => column.field === field)!.header;

export const BOW_FORMAT: TableFormat<BowRecord> = {
  columns: BOW_COLUMNS,
  blank: () => ({}),
  faults: bowFaults,
  idOf: ({ id }) => id,
};

/**
 * Reads a bow file: comma, semicolon or tab between the columns, one header line. A row with a
 * fault is left out and every fault of it is named; a header that does not do is one fault at
 * line 1 and no bows.
 */
export function readBowFile(text: string): BowFile {
  if (text.length > BOW_FILE_LIMIT) {
    const message = 'The file is larger than 900 kB; a bow is about 300 letters. Split it.';
    return { bows: [], faults: [{ line: 1, column: '', message }], faultCount: 1 };
  }
  const { rows, faults, faultCount } = readTable(text, BOW_FORMAT, MOST_BOW_ROWS);
  return { bows: rows.map(({ line, record }) => ({ line, bow: record })), faults, faultCount };
}

/** What single cells cannot tell: figures of one bow that contradict each other. */
function bowFaults(bow: BowRecord): Fault[] {
  const faults: Fault[] = [];
  const fault = (field: BowField, message: string) =>
    faults.push({ column: header(field), message });
  if (bow.minPeakN >= bow.maxPeakN) fault('minPeakN', 'must be lighter than the heaviest weight');
  if (bow.modules.length === 0 && bow.fixedDrawLengthMm === null)
    fault('modules', 'has neither module positions nor a fixed draw length');
  if (bow.modules.length > 0 && bow.fixedDrawLengthMm !== null)
    fault('fixedDrawLengthMm', 'cannot stand beside module positions');
  if (bow.modules.length > 0 && bow.moduleCams.length === 0)
    fault('moduleCams', 'names no cam for the module positions');
  const lengths = bow.modules.map(({ drawLengthMm }) => Math.round(drawLengthMm * 10));
  if (new Set(lengths).size !== lengths.length) fault('modules', 'names one length twice');
  if (bow.stockTurns !== null && bow.maxTurns !== null && bow.stockTurns > bow.maxTurns)
    fault('stockTurns', 'is past the limit of turns');
  const own = bow.letOffChoices.some((choice) => Math.abs(choice - bow.letOff) < 1e-6);
  if (bow.letOffChoices.length > 0 && !own)
    fault('letOffChoices', 'does not hold the let-off the bow comes with');
  return faults;
}
