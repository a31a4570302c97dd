import { airDensity, dragPerMetre, fly, sightMarks, type SightMarksInput } from '@/core/flight';
import { examples } from '@/core/testing/examples';
import { gram, metre, mm, mps } from '@/core/units';
import { normal, seeded } from '@/core/numerics';
import { paperTune, type PaperEvent } from '@/core/tuning';
import { sightFit, slopeTable, sightTape } from '@/core/flight';

/** Median of one call in milliseconds, after a warm-up. */
function medianMs(run: () => unknown, rounds = 41): number {
  for (let i = 0; i < 12; i++) run();
  const samples = Array.from({ length: rounds }, () => {
    const started = performance.now();
    run();
    return performance.now() - started;
  }).sort((a, b) => a - b);
  return samples[Math.floor(rounds / 2)]!;
}
const line = (name: string, text: string) => console.log(`${name.padEnd(44)}${text}`);

console.log('\nThe lane');
const marks: SightMarksInput = {
  speedMps: mps(70),
  arrowG: gram(24.6),
  shaftOuterMm: mm(6.9),
  dragCoefficient: 2.2,
  airDensityKgM3: airDensity({ temperatureC: 20, pressureHpa: 990, humidity: 0.5 }),
  peepHeightMm: mm(120),
  peepToPinMm: mm(760),
  distancesM: Array.from({ length: 101 }, (_, i) => metre(10 + i)),
};
const ms = medianMs(() => sightMarks(marks));
line(
  '101 marks from 10 to 110 m',
  `${ms.toFixed(2)} ms, ${(ms / 10).toFixed(2)} of the 10 ms wanted`,
);

/** Pin heights with steps of a centimetre instead of metres, by bisection: slow, and simple. */
function finePins(input: SightMarksInput): number[] {
  const flight = {
    speedMps: input.speedMps,
    dragPerM: dragPerMetre(
      input.arrowG,
      input.shaftOuterMm,
      input.dragCoefficient!,
      input.airDensityKgM3!,
    ),
    slopeRad: 0,
  };
  return input.distancesM.map((distance) => {
    const pin = (angle: number) => input.peepHeightMm - input.peepToPinMm * Math.tan(angle);
    let [low, high] = [-0.05, 0.5];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      const end = fly(flight, middle, distance, 0.01);
      if (!end || end.riseM * 1000 > pin(middle)) high = middle;
      else low = middle;
    }
    return pin(low);
  });
}
const some = { ...marks, distancesM: [10, 25, 40, 55, 70, 85, 110].map(metre) };
const fast = sightMarks(some);
if (!fast.ok) throw new Error(fast.message);
const started = performance.now();
const fine = finePins(some);
const fineMs = performance.now() - started;
const worst = Math.max(...fast.marks.map((mark, i) => Math.abs(mark.pinAboveArrowMm - fine[i]!)));
const fastMs = medianMs(() => sightMarks(some));
line(
  'against steps of a centimetre',
  `worst ${worst.toExponential(1)} mm at the pin, ${(worst / 0.005).toExponential(1)} of the 0.005 mm allowed; ${(fineMs / fastMs).toFixed(0)} times as fast`,
);

const random = seeded(3);
const sixDistances = [18, 25, 32, 40, 50, 60].map(metre);
const six = sightMarks({ ...marks, distancesM: sixDistances });
if (!six.ok) throw new Error(six.message);
const shots = six.marks.map((mark) => ({
  distanceM: mark.distanceM,
  dropMm: mm(six.marks[0]!.pinAboveArrowMm - mark.pinAboveArrowMm + 0.15 * normal(random)),
}));
const { speedMps: _speed, distancesM: _distances, ...geometry } = marks;
for (const fitDrag of [false, true]) {
  const fitMs = medianMs(() => sightFit({ ...geometry, shots, fitDrag }));
  line(
    `fit of 6 distances${fitDrag ? ', drag too' : ''}, odd one looked for`,
    `${fitMs.toFixed(2)} ms, ${(fitMs / 50).toFixed(2)} of the 50 ms wanted`,
  );
}
line(
  'tape of 51 lines',
  `${medianMs(() => sightTape(geometryTape(), { unit: 'm', numbersEvery: 5, side: 'left', lineMm: 0.25, widthMm: 12, from: 10, to: 60, ratio: 1 })).toFixed(2)} ms`,
);
function geometryTape() {
  return { ...geometry, speedMps: mps(70) };
}
line(
  'slope table of 8 slopes, 5 distances',
  `${medianMs(() => slopeTable(geometryTape(), [20, 30, 40, 50, 60].map(metre), [-40, -30, -20, -10, 10, 20, 30, 40])).toFixed(2)} ms`,
);
const longHistory: PaperEvent[] = Array.from({ length: 24 }, (_, i) =>
  i % 3 === 2
    ? { kind: 'move' as const, adjustment: 'restSideways' as const, amount: i % 2 ? 0.5 : -0.5 }
    : { kind: 'shot' as const, rightMm: 6 * normal(random), upMm: 4 * normal(random) },
);
line(
  'paper advice after 16 papers and 8 moves',
  `${medianMs(() => paperTune({ hand: 'right', school: 'rest', history: longHistory })).toFixed(2)} ms`,
);
line(
  'worked cases of the lane',
  `${examples('sight-fit').length + examples('paper-tune').length + examples('group').length + examples('sight-marks').length}`,
);
