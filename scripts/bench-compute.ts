import { derive } from '@/core/job';
import { examples } from '@/core/testing/examples';
import { openDb } from '@/data/db';
import { allJobs } from '@/data/jobs';
import { CALCULATIONS } from '@/server/compute';
import { loadSnapshot } from '@/server/snapshot';
import { seedDemo } from '../demo/seed';

/** Median of one call in milliseconds, after a warm-up; each sample is a batch long enough to time. */
function medianMs(run: () => unknown): number {
  const until = performance.now() + 100;
  let calls = 0;
  while (performance.now() < until) {
    run();
    calls++;
  }
  const batch = Math.max(1, Math.round(calls / 40));
  const samples = Array.from({ length: 25 }, () => {
    const started = performance.now();
    for (let i = 0; i < batch; i++) run();
    return (performance.now() - started) / batch;
  }).sort((a, b) => a - b);
  return samples[12]!;
}

const line = (name: string, ms: number, limitMs?: number) => {
  const figure = `${ms < 0.1 ? ms.toFixed(4) : ms.toFixed(2)} ms`;
  const ratio = limitMs ? `${(ms / limitMs).toFixed(3)} of the ${limitMs} ms wanted` : '';
  console.log(`${name.padEnd(34)}${figure.padStart(12)}   ${ratio}`);
};

console.log('Compute calls, in the process (median, schema check included)');
for (const [name, { run }] of Object.entries(CALCULATIONS)) {
  const { request } = examples(name)[0]!;
  const wanted = name === 'draw-length' || name === 'limb-bolts' ? 1 : undefined;
  line(
    name,
    medianMs(() => run(request)),
    wanted,
  );
}
const marks = {
  ...examples('sight-marks')[0]!.request,
  distancesM: Array.from({ length: 100 }, (_, i) => 5 + i),
};
line(
  'sight-marks, 100 distances',
  medianMs(() => CALCULATIONS['sight-marks']!.run(marks)),
  20,
);

console.log('\nA whole job derived (what every screen is computed from)');
const db = openDb(':memory:');
seedDemo(db);
for (const { id } of allJobs(db)) {
  const snapshot = loadSnapshot(id, db)!;
  line(
    snapshot.archer.name,
    medianMs(() => derive(snapshot)),
  );
}
line(
  'one job loaded from the database',
  medianMs(() => loadSnapshot(allJobs(db)[0]!.id, db)),
);
db.close();
