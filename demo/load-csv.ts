import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readBowFile } from '@/contracts/bow-csv';
import { readPartFile } from '@/contracts/part-csv';
import type { BowRecord } from '@/core/bow';
import type { AnyPart } from '@/core/kit';

const folder = join(process.cwd(), 'demo');
const read = (name: string) => readFileSync(join(folder, name), 'utf8');

/** The demo shop's bows, in the format every shop's bows come in. */
export function demoBows(): BowRecord[] {
  const { bows, faults } = readBowFile(read('bows.csv'));
  if (faults.length > 0) throw new Error(`bows.csv: ${JSON.stringify(faults)}`);
  return bows.map(({ bow }) => bow);
}

/** The demo shop's parts: one file for each slot, in the format every shop's parts come in. */
export const demoCatalogue = (): AnyPart[] =>
  readdirSync(join(folder, 'parts'))
    .sort()
    .flatMap((name) => {
      const { rows, faults } = readPartFile(read(`parts/${name}`));
      if (faults.length > 0) throw new Error(`${name}: ${JSON.stringify(faults.slice(0, 5))}`);
      return rows.map(({ record }) => record);
    });
