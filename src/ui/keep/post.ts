import { reportLost } from './connection';
import { frame } from '../words';

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

/** Sends JSON and reads the answer or the problem; never throws for what a network can do. */
export async function post<T>(url: string, body: unknown, method = 'POST'): Promise<Posted<T>> {
  let response: Response;
  try {
    response = await fetch(url, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
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
