import { readBowFile, writeBowFile } from '@/contracts/bow-csv';
import { DRAW_OFF_ASPECTS, pairsOf, rankDrawOff } from '@/core/bow';
import {
  bowCover,
  drawLength,
  drawWeight,
  type DrawLengthReading,
  type WeightTrial,
} from '@/core/fit';
import { derive } from '@/core/job';
import { examples } from '@/core/testing/examples';
import { mm, newton, TRADE_UNITS } from '@/core/units';
import { openDb } from '@/data/db';
import { allJobs } from '@/data/jobs';
import { CALCULATIONS } from '@/server/compute';
import { loadSnapshot } from '@/server/load-snapshot';
import { demoBows } from '../demo/load-csv';
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
  // The package is chosen in the solver's thread and timed apart.
  if (name === 'kit') continue;
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

const readings: DrawLengthReading[] = [
  { method: 'armSpan', valueMm: mm(1753) },
  { method: 'wallToMouth', valueMm: mm(703) },
  { method: 'markedArrow', valueMm: mm(654) },
];
const stepsMm = Array.from({ length: 11 }, (_, i) => mm(635 + 12.7 * i));
line(
  'draw length, 1,000 consensus calls',
  medianMs(() => {
    for (let i = 0; i < 1000; i++) drawLength(readings, { moduleStepsMm: stepsMm });
  }),
);
const trials: WeightTrial[] = [178, 200, 222, 214, 218].map((n, i) => ({
  peakN: newton(n),
  outcome: i === 2 ? 'strained' : 'smooth',
}));
line(
  'draw weight, posterior of 5 trials',
  medianMs(() => drawWeight({ priorMedianN: newton(230), trials })),
  10,
);
const shopBows = demoBows();
const herd = Array.from({ length: 500 }, (_, i) => ({
  ...shopBows[i % shopBows.length]!,
  id: `bow-${i}`,
}));
line(
  '500 bows filtered by a fit',
  medianMs(() =>
    herd.map((bow) =>
      bowCover(bow, {
        drawLengthMm: mm(698.5),
        startN: newton(200),
        hand: 'right',
        wall: 'firm',
        budgetCents: 90000,
        today: '2026-11-24',
        promisedDay: '2026-12-04',
        shop: TRADE_UNITS,
      }),
    ),
  ),
  10,
);
const bowFile = writeBowFile(herd);
line(
  'bow file of 500 rows read',
  medianMs(() => readBowFile(bowFile)),
);
const five = ['a', 'b', 'c', 'd', 'e'];
line(
  'draw-off of 5 bows, 50 marks ranked',
  medianMs(() =>
    rankDrawOff({
      bowIds: five,
      speedCounts: false,
      marks: pairsOf(five).flatMap(([first, second]) =>
        DRAW_OFF_ASPECTS.map(({ id }) => ({ aspect: id, first, second, better: first })),
      ),
    }),
  ),
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
