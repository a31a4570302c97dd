/** Waits until it is so, however slow the machine: what never becomes so ends with the test’s own time. */
export async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) await new Promise((done) => setTimeout(done, 2));
}

/** Every callback that is due by now has run. */
export const turn = () => new Promise<void>((done) => setImmediate(done));
