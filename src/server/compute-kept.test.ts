import { examples } from '@/core/testing/examples';
import { CALCULATIONS, compute } from './compute';
import { Problem } from './problem';

/*
 * What each calculation answers when one figure of a worked case is another: kept as it was when somebody
 * last read it, so that a change shows where it reaches. Whether a formula is right is asked by the worked
 * cases themselves, and by the tables beside each formula. A difference is read before it is kept
 * (`npx jest compute-kept -u`, then `git diff`).
 */
const PARTS = [0.9, 1.15];
/** Of a long list these alone. */
const MOST_OF_LIST = 5;
const MOST_CHANGES = 60;
const MOST_LETTERS = 420;

type Path = readonly (string | number)[];

/** Where figures, flags and words stand in a request. */
function leaves(value: unknown, at: Path = []): Path[] {
  if (['number', 'boolean', 'string'].includes(typeof value)) return [at];
  if (Array.isArray(value)) {
    const step = Math.max(1, Math.ceil(value.length / MOST_OF_LIST));
    return value.flatMap((one, i) => (i % step === 0 ? leaves(one, [...at, i]) : []));
  }
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, one]) => leaves(one, [...at, key]));
}

const valueAt = (request: unknown, at: Path): unknown =>
  at.reduce((value, key) => (value as Record<string | number, unknown>)[key], request);

function replaced(request: unknown, [head, ...rest]: Path, by: unknown): unknown {
  if (head === undefined) return by;
  const copy = (Array.isArray(request) ? [...request] : { ...(request as object) }) as Record<
    string | number,
    unknown
  >;
  copy[head] = replaced(copy[head], rest, by);
  return copy;
}

/** What else can stand there: a tenth less, a seventh more, not so, a word that stands there in another case. */
function others(name: string, value: unknown, key: string | number): unknown[] {
  if (typeof value === 'boolean') return [!value];
  if (typeof value === 'number')
    return PARTS.map((part) =>
      Number.isInteger(value)
        ? Math.round(value * part + (part > 1 ? 0.5 : -0.5))
        : Number((value * part).toPrecision(6)),
    );
  const words = examples(name).flatMap(({ request }) =>
    leaves(request)
      .filter((at) => at.at(-1) === key)
      .map((at) => valueAt(request, at)),
  );
  return [...new Set(words)]
    .filter((word) => typeof word === 'string' && word !== value)
    .slice(0, 3);
}

/** An answer on a line, figures to four digits. */
function said(answer: unknown): string {
  // What is left of a difference of equals is noise.
  if (typeof answer === 'number')
    return Math.abs(answer) < 1e-9 ? '0' : Number(answer.toPrecision(4)).toString();
  if (Array.isArray(answer)) return `[${answer.map(said).join(' ')}]`;
  if (typeof answer !== 'object' || answer === null) return String(answer);
  return Object.entries(answer)
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) => `${key} ${said(value)}`)
    .join(', ');
}

async function answered(name: string, request: unknown): Promise<string> {
  try {
    return said(await compute(name, request)).slice(0, MOST_LETTERS);
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    return `refused, ${error.reason}: ${error.message}`.slice(0, 160);
  }
}

describe.each(Object.keys(CALCULATIONS))('%s', (name) => {
  test.each(examples(name).map(({ title, request }) => [title, request] as const))(
    '%s, with one figure another',
    async (_, request) => {
      const all = leaves(request).flatMap((at) =>
        others(name, valueAt(request, at), at.at(-1)!).map((by) => ({ at, by })),
      );
      const step = Math.max(1, Math.ceil(all.length / MOST_CHANGES));
      const lines = [`as it is: ${await answered(name, request)}`];
      for (const { at, by } of all.filter((__, i) => i % step === 0)) {
        const answer = await answered(name, replaced(request, at, by));
        lines.push(`${at.join('.')} = ${String(by)}: ${answer}`);
      }
      expect(`\n${lines.join('\n')}`).toMatchSnapshot();
    },
  );
});
