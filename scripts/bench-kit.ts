import { writePartFile } from '@/contracts/part-csv';
import {
  searchPackages,
  viaSolver,
  type AnyPart,
  type CandidateSlot,
  type ChooserInput,
} from '@/core/kit';
import { seeded } from '@/core/numerics';
import { openDb } from '@/data/db';
import { allJobs } from '@/data/jobs';
import { stagePiece, takeImport } from '@/server/part-imports';
import { lookAtImport } from '@/server/part-looks';
import { findParts } from '@/server/part-stock';
import { packagesFor } from '@/server/packages';
import { solve, stopSolver } from '@/server/solver';
import { readPieces, type FileRead } from '@/workers/part-file';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoCatalogue } from '../demo/load-csv';
import { seedDemo } from '../demo/seed';

const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`;
const line = (name: string, figure: string, note = '') =>
  console.log(`${name.padEnd(46)}${figure.padStart(12)}   ${note}`);
async function timed<T>(run: () => T | Promise<T>): Promise<[T, number]> {
  const started = performance.now();
  const answer = await run();
  return [answer, performance.now() - started];
}
const median = (values: number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Dearer is mostly better, as in a shop; budget and mass both bind. */
function catalogue(seed: number, slots: number, items: number, conflicts: number): ChooserInput {
  const random = seeded(seed);
  const whole = (most: number) => Math.floor(random() * most);
  const made = Array.from({ length: slots }, (_, s): CandidateSlot => ({
    name: `slot ${s}`,
    required: s < slots - 2,
    items: Array.from({ length: items }, (__, i) => {
      const well = random();
      return {
        id: `${s}/${i}`,
        priceCents: 1000 + Math.floor(well * well * 40000) + whole(4000),
        massG: whole(300),
        worth: Math.round(well * 800 + random() * 200) / 10,
      };
    }),
  }));
  const ids = made.flatMap((slot) => slot.items.map(({ id }) => id));
  const pairs: [string, string][] = [];
  while (pairs.length < conflicts) {
    const [a, b] = [ids[whole(ids.length)]!, ids[whole(ids.length)]!];
    if (a.split('/')[0] !== b.split('/')[0]) pairs.push([a, b]);
  }
  const tight = 0.4 + random() * 0.4;
  return {
    slots: made,
    conflicts: pairs,
    budgetCents: Math.round(slots * 20000 * tight),
    massLimitG: slots * 150 * tight,
    // One programme against one search: the general solver needs a second one for the cheapest of equals.
    anyOfEqual: true,
  };
}

async function chooser(name: string, items: number, conflicts: number, wantedMs?: number) {
  const ours: number[] = [];
  const general: number[] = [];
  for (let seed = 0; seed < 7; seed++) {
    const input = catalogue(seed, 8, items, conflicts);
    searchPackages(input);
    const [found, mine] = await timed(() => searchPackages(input));
    const [solved, theirs] = await timed(() => viaSolver(input, solve));
    ours.push(mine);
    general.push(theirs);
    const best = found.status === 'proven' ? found.packages[0] : undefined;
    const same =
      solved.ok &&
      solved.status === 'optimal' &&
      best &&
      Math.abs(best.worth - solved.worth) < 1e-6;
    if (!same) throw new Error(`Seed ${seed}: the two do not agree`);
  }
  line(`${name}, our search`, ms(median(ours)), wantedMs ? `of the ${wantedMs} ms wanted` : '');
  line(`${name}, highs on the same model`, ms(median(general)));
  line(
    '',
    `${(median(general) / median(ours)).toFixed(0)} : 1`,
    'medians of 7; worst of ours ' + ms(Math.max(...ours)),
  );
}

console.log('\nChooser, budget and mass and conflicts, proven optimal by both');
await solve({ maximise: true, objective: [], rows: [], binaries: ['x'] });
await chooser('8 slots × 40, 100 conflicts', 40, 100, 100);
await chooser('8 slots × 200, 500 conflicts', 200, 500);

console.log('\nWhole packages of the demo jobs, with runner-up and what turns each part');
const shop = openDb(':memory:');
seedDemo(shop);
for (const { id, number } of allJobs(shop)) {
  await packagesFor(id, shop);
  const [{ packages }, took] = await timed(() => packagesFor(id, shop));
  line(`ticket ${number}, ${packages.length} packages`, ms(took), 'of the 500 ms wanted');
}
shop.close();

console.log('\nA catalogue of 50,000 parts');
const folder = mkdtempSync(join(tmpdir(), 'waffenrad-bench-'));
const db = openDb(join(folder, 'shop.sqlite'));
const sights = demoCatalogue().filter(({ slot }) => slot === 'sight');
const words = ['Lampe', 'Licht', 'Stern', 'Mond', 'Ufer', 'Steg', 'Kiel', 'Segel'];
const many = Array.from({ length: 50_000 }, (_, i): AnyPart => ({
  ...sights[i % sights.length]!,
  id: `p-${i}`,
  model: `${words[i % words.length]} ${words[(i * 7) % words.length]} ${i}`,
}));
const text = writePartFile('sight', many);
const [said, readMs] = await timed(
  () => [...readPieces(text)].at(-1) as Extract<FileRead, { say: 'read' }>,
);
line(`file of ${(text.length / 1e6).toFixed(1)} MB read and checked`, ms(readMs));
const pieces: number[] = [];
let importId: string | undefined;
for (let at = 0; at < many.length; at += 500) {
  const body = {
    ...(importId ? { importId } : {}),
    kind: 'sight',
    parts: said.parts.slice(at, at + 500),
  };
  const [answer, took] = await timed(() => stagePiece(body, db));
  importId = answer.importId;
  pieces.push(took);
}
line('put aside in 100 pieces, each', ms(median(pieces)), `longest ${ms(Math.max(...pieces))}`);
line('looked at', ms((await timed(() => lookAtImport(importId!, db)))[1]));
line(
  'taken, slice by slice',
  ms((await timed(() => takeImport(importId!, { only: null }, db)))[1]),
);
for (const query of ['licht', 'stern steg 77', 'einton', 'lumen lot licht', 'p-4', 'kie', '']) {
  const params = new URLSearchParams({ q: query, kind: 'sight' });
  findParts(params, db);
  const times: number[] = [];
  let count = 0;
  for (let i = 0; i < 15; i++) {
    const [found, took] = await timed(() => findParts(params, db));
    count = found.count;
    times.push(took);
  }
  line(`search “${query}”, ${count} found`, ms(median(times)), 'of the 20 ms wanted');
}
db.close();
rmSync(folder, { recursive: true, force: true });
await stopSolver();
