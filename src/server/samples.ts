import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readBowFile } from '@/contracts/bow-csv';
import { readPartFile } from '@/contracts/part-csv';
import type { BowRecord } from '@/core/bow';
import type { AnyPart } from '@/core/kit';
import type { By } from '@/core/people';
import { db, type Db } from '@/data/db';
import { putSamples, removeSamples, sampleIds, samplesOf, type Samples } from '@/data/samples';
import { note } from './access/note';

const folder = join(/* turbopackIgnore: true */ process.cwd(), 'demo');
const read = (name: string) => readFileSync(join(folder, name), 'utf8');

/** Invented bows, in the format every shop's bows come in. */
export function sampleBows(): BowRecord[] {
  const { bows, faults } = readBowFile(read('bows.csv'));
  if (faults.length > 0) throw new Error(`bows.csv: ${JSON.stringify(faults)}`);
  return bows.map(({ bow }) => bow);
}

/** Invented parts: one file for each slot, in the format every shop's parts come in. */
export const sampleParts = (): AnyPart[] =>
  readdirSync(join(folder, 'parts'))
    .sort()
    .flatMap((name) => {
      const { rows, faults } = readPartFile(read(`parts/${name}`));
      if (faults.length > 0) throw new Error(`${name}: ${JSON.stringify(faults.slice(0, 5))}`);
      return rows.map(({ record }) => record);
    });

/** The sample catalogue, marked, to learn with. */
export function addSamples(by: By, on: Db = db()): Samples {
  const [bows, parts] = [sampleBows(), sampleParts()];
  return on
    .transaction(() => {
      const now = putSamples(on, bows, parts);
      note(by, 'stock', `The sample catalogue was put in: ${now.bows} bows, ${now.parts} parts`, {
        on,
      });
      return now;
    })
    .immediate();
}

/** It goes in one go; what jobs speak of stays. */
export function dropSamples(by: By, on: Db = db()): Samples {
  return on
    .transaction(() => {
      const left = removeSamples(on);
      note(
        by,
        'stock',
        `The sample catalogue was taken off; left in jobs: ${left.bows + left.parts}`,
        { on },
      );
      return left;
    })
    .immediate();
}

export const samples = (on: Db = db()): Samples => samplesOf(on);

/** Which of the stock is of the sample. */
export const samplesNamed = (on: Db = db()) => sampleIds(on);
