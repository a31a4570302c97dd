/**
 * Loaded before the program that is soaked or timed: tells on SIGUSR2 what memory it holds once all that is
 * unused is given back, and how long its thread was held at most since it was asked last.
 */
const { writeFileSync } = require('node:fs');
const { isMainThread } = require('node:worker_threads');
const { monitorEventLoopDelay } = require('node:perf_hooks');
const { setFlagsFromString } = require('node:v8');
const { runInNewContext } = require('node:vm');

if (isMainThread && process.env.SOAK_MEMORY) {
  setFlagsFromString('--expose-gc');
  const collect = runInNewContext('gc');
  const loop = monitorEventLoopDelay({ resolution: 2 });
  loop.enable();
  process.on('SIGUSR2', () => {
    const heldMs = { longest: loop.max / 1e6, p99: loop.percentile(99) / 1e6 };
    collect();
    collect();
    writeFileSync(process.env.SOAK_MEMORY, JSON.stringify({ ...process.memoryUsage(), heldMs }));
    loop.reset();
  });
}
