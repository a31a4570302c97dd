/** After every test file of a calm run: which places it came by, a line for each file. */
const { appendFileSync } = require('node:fs');

afterAll(() => {
  // Each look at what is global goes through Jest: one is enough.
  const all = globalThis.__met;
  const met = [];
  for (let number = 0; number < all.length; number++) if (all[number] === 1) met.push(number);
  const line = JSON.stringify({ test: expect.getState().testPath, met });
  // Jest takes apart what is left on the global object, item by item.
  delete globalThis.__met;
  appendFileSync(process.env.WAFFENRAD_MET, `${line}\n`);
});
