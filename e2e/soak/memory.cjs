/** Loaded before the program that is soaked: tells on SIGUSR2 what memory it holds once all that is unused is given back. */
const { writeFileSync } = require('node:fs');
const { isMainThread } = require('node:worker_threads');
const { setFlagsFromString } = require('node:v8');
const { runInNewContext } = require('node:vm');

if (isMainThread && process.env.SOAK_MEMORY) {
  setFlagsFromString('--expose-gc');
  const collect = runInNewContext('gc');
  process.on('SIGUSR2', () => {
    collect();
    collect();
    writeFileSync(process.env.SOAK_MEMORY, JSON.stringify(process.memoryUsage()));
  });
}
