import { barChoice, type BarChoiceInput } from '@/core/balance';
import { holdTrace } from '@/core/hold';
import { seeded } from '@/core/numerics';
import { degree, gram, kgMm2, milliradian, mm, second } from '@/core/units';

/** Figures of balance and aim; nothing here passes or fails. */
function timed<T>(run: () => T, rounds = 7): readonly [T, number] {
  const times: number[] = [];
  let result = run();
  for (let i = 0; i < rounds; i++) {
    const began = performance.now();
    result = run();
    times.push(performance.now() - began);
  }
  return [result, times.sort((a, b) => a - b)[rounds >> 1]!];
}
const line = (name: string, ms: number, more: string) =>
  console.log(`${name.padEnd(34)}${ms.toFixed(1).padStart(9)} ms   ${more}`);

const place = (forward: number, up: number, right: number) => ({
  forwardMm: mm(forward),
  upMm: mm(up),
  rightMm: mm(right),
});
const angles = (count: number, step: number) =>
  Array.from({ length: count }, (_, i) => degree(i * step));
const bars = (count: number) =>
  Array.from({ length: count }, (_, i) => ({
    id: `b${i}`,
    lengthMm: mm(150 + 26 * i),
    massG: gram(50 + 11 * i),
  }));
const weights = [
  { id: 'w28', massG: gram(28), most: 10 },
  { id: 'w56', massG: gram(56), most: 5 },
];
const big: BarChoiceInput = {
  hand: 'right',
  bare: {
    massG: gram(2300),
    centre: place(24, -8, 7),
    yawInertiaKgMm2: kgMm2(11_000),
    pitchInertiaKgMm2: kgMm2(60_000),
  },
  front: {
    mounts: [
      { id: 'front', at: place(22, -30, 0), downDeg: angles(3, 10) },
      { id: 'low', at: place(20, -90, 0), downDeg: angles(3, 10) },
    ],
    bars: bars(12),
    weights,
  },
  rear: {
    mounts: [
      { id: 'side', at: place(-8, -85, -18), sideDeg: angles(13, 5), downDeg: angles(7, 5) },
    ],
    bars: bars(4),
    weights,
  },
  pitchBandNmm: [100, 700],
  rollToleranceNmm: 25,
  rollTargetNmm: -40,
  massLimitG: gram(3200),
};
console.log('\nBalance and aim (median of 7)');
const [chosen, ms] = timed(() => barChoice(big));
if (!chosen.ok) throw new Error(chosen.message);
line(
  'bars, every way',
  ms,
  `${(chosen.combinations / 1e6).toFixed(2)} million ways, ${((100 * chosen.lookedAt) / chosen.combinations).toFixed(1)} % looked at, ${(ms / 100).toFixed(2)} of the 100 ms wanted`,
);
const [all, plain] = timed(() => barChoice({ ...big, rollToleranceNmm: 20_000 }), 3);
if (!all.ok) throw new Error(all.message);
line('the same, each one looked at', plain, `×${(plain / ms).toFixed(1)}`);

const random = seeded(4);
let [x, y] = [0, 0];
const samples = Array.from({ length: 12_000 }, (_, i) => {
  // Forgets quickly: the whole minute is one hold, which costs most.
  x = 0.8 * x + 0.1 * (random() - 0.5);
  y = 0.8 * y + 0.1 * (random() - 0.5);
  return { tS: second(i / 200), rightMrad: milliradian(x), upMrad: milliradian(y) };
});
const [trace, traceMs] = timed(() => holdTrace({ samples, releaseS: second(59.9) }));
if (!trace.ok) throw new Error(trace.message);
line(
  'a trace of 60 s at 200 a second',
  traceMs,
  `hold of ${trace.hold.durationS.toFixed(1)} s, ${(traceMs / 30).toFixed(2)} of the 30 ms wanted`,
);
