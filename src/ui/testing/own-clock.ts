let spy: jest.SpyInstance | null = null;
afterEach(() => spy?.mockRestore());

/**
 * A clock that stands until the test says that time passes: two taps are as quick as they are meant to be, however
 * slow the machine. It goes again after the test.
 */
export function ownClock() {
  let nowMs = performance.now();
  spy = jest.spyOn(performance, 'now').mockImplementation(() => nowMs);
  return {
    /** What is drawn stands first: a question is counted from the frame that shows it. */
    async pass(ms: number): Promise<void> {
      await new Promise(requestAnimationFrame);
      nowMs += ms;
    },
  };
}
