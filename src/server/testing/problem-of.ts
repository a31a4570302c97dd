import { Problem } from '../problem';

/** The problem a use case refuses with; anything else, or no refusal, fails the test. */
export function problemOf(run: () => unknown): Problem {
  try {
    run();
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('It was not refused');
}

/** The same of work that takes its time. */
export const problemComing = (run: () => Promise<unknown>): Promise<Problem> =>
  run().then(
    () => {
      throw new Error('It was not refused');
    },
    (problem: unknown) => {
      if (problem instanceof Problem) return problem;
      throw problem;
    },
  );
