/** Read before every test file of a calm run: an array in which each place that is come by is noted. */
globalThis.__met = new Uint8Array(Number(process.env.WAFFENRAD_FAULTS));
