import { reportLost } from './connection';
import { frame } from '../words';
import { askShop } from './ask-shop';

type Posted<T> =
  | { readonly ok: true; readonly body: T }
  | {
      readonly ok: false;
      readonly message: string;
      /** JSON pointer of the field it hangs on; '' when it hangs on none. */
      readonly pointer: string;
      readonly status: number;
      readonly problem: Readonly<Record<string, unknown>>;
    };

/** Why an entry was not taken, for the field it hangs on. */
export interface Trouble {
  readonly message: string;
  readonly pointer: string;
  /** The refusal's own name; empty where the network failed. */
  readonly reason?: string;
}

interface ProblemJson {
  readonly detail?: string;
  readonly title?: string;
  readonly errors?: readonly { readonly pointer: string; readonly detail: string }[];
}

/** Asked again so often where the answer says when: whoever waits longer is told. */
const MOST_TRIES = 4;
const LONGEST_WAIT_S = 5;

/** Seconds until it may be asked again; null where that would not help. */
const retryAfter = (status: number, problem: unknown): number | null => {
  if (status !== 429 && status !== 503) return null;
  const said = (problem as { retryAfterS?: unknown }).retryAfterS;
  return typeof said === 'number' && said <= LONGEST_WAIT_S ? said : null;
};

interface Patience {
  /** After so long without an answer there is none; only for what may be sent twice. */
  readonly patienceMs?: number;
}

/**
 * Sends JSON and reads the answer or the problem; never throws for what a network can do. An answer that it is too
 * much just now was not taken, and is asked for again when it says.
 */
export async function post<T>(
  url: string,
  body: unknown,
  method = 'POST',
  { patienceMs }: Patience = {},
): Promise<Posted<T>> {
  for (let tries = 1; ; tries++) {
    const posted = await postOnce<T>(url, body, method, patienceMs);
    const seconds = posted.ok ? null : retryAfter(posted.status, posted.problem);
    if (seconds === null || tries === MOST_TRIES) return posted;
    await new Promise((resolve) => setTimeout(resolve, seconds * 1000));
  }
}

async function postOnce<T>(
  url: string,
  body: unknown,
  method: string,
  patienceMs: number | undefined,
): Promise<Posted<T>> {
  let response: Response;
  try {
    response = await askShop(url, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      ...(patienceMs === undefined ? {} : { signal: AbortSignal.timeout(patienceMs) }),
    });
  } catch {
    reportLost();
    return { ok: false, message: frame.notSaved, pointer: '', status: 0, problem: {} };
  }
  const answer = (await response.json().catch(() => ({}))) as unknown;
  if (response.ok) return { ok: true, body: answer as T };
  const problem = answer as ProblemJson & Record<string, unknown>;
  const first = problem.errors?.[0];
  return {
    ok: false,
    message: problem.detail ?? problem.title ?? frame.notSaved,
    pointer: first?.pointer ?? '',
    status: response.status,
    problem,
  };
}
