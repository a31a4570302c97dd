/** Whoever waits for the thread is served before the work goes on. */
export const othersFirst = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
