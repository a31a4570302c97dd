const { rmSync } = require('node:fs');

module.exports = async () => {
  const { folder, browsers } = globalThis.waffenradE2e;
  await Promise.all(browsers.map((browser) => browser.close()));
  rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
};
