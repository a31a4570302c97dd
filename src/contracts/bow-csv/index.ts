import type { BowRecord } from '@/core/bow';
import { columnLines, writeTable } from '../csv';
import { BOW_FORMAT } from './read';

export * from './columns';
export * from './read';

/** The bows as a file that reads back to the same. */
export const writeBowFile = (bows: readonly BowRecord[]): string => writeTable(bows, BOW_FORMAT);

/** The format's page: every column with what stands in it, from the columns themselves. */
export const bowFormatPage = (): string =>
  [
    '# Bows',
    '',
    'One row a bow, one header line; comma, semicolon or tab between the columns, which may stand in any',
    'order. A row with a known `id` changes that bow, bows not named stay as they are. Text is UTF-8, at',
    'most 900 kB and 1,000 rows. A measure may be written as it is spoken (`6 1/2`, `165 mm`, `13/16`); a bare number is',
    'in the unit of the column’s name. Written by `npm run schemas` from the columns the program reads by.',
    '',
    'A row with a fault is named by line and column. Whoever reads the file in chooses: the good rows are',
    'kept, or all of it is refused.',
    '',
    ...columnLines(BOW_FORMAT),
    '',
  ].join('\n');
export * from './pieces';
