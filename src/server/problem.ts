import type { InputError } from '@/contracts/faults';
import type { ProblemBody } from '@/contracts/compute';
import type { Refused } from '@/core/outcome';

/** Pages and threads are bundled apart: the same class is there more than once. */
const MARK = Symbol.for('waffenrad.problem');

/** An outcome the caller is told of as problem+json; not a fault of the program. */
export class Problem extends Error {
  readonly [MARK] = true;
  static override [Symbol.hasInstance](value: unknown): boolean {
    return typeof value === 'object' && value !== null && MARK in value;
  }

  constructor(
    readonly status: number,
    readonly reason: string,
    readonly title: string,
    readonly more: {
      readonly detail?: string;
      readonly errors?: readonly InputError[];
      readonly [key: string]: unknown;
    } = {},
  ) {
    super(more.detail ?? title);
  }

  body(): ProblemBody & Record<string, unknown> {
    return {
      type: `urn:waffenrad:problem:${this.reason}`,
      title: this.title,
      status: this.status,
      ...this.more,
      errors: this.more.errors ? [...this.more.errors] : undefined,
    };
  }
}

export const invalid = (errors: readonly InputError[]) =>
  new Problem(400, 'invalid-input', 'The input is not valid', {
    detail: errors.map((e) => `${e.pointer || 'body'} ${e.detail}`).join('; '),
    errors,
  });

export const refusedProblem = ({ reason, message, field }: Refused) =>
  new Problem(422, reason, 'The model refuses this', {
    detail: message,
    ...(field ? { errors: [{ pointer: `/${field}`, detail: message }] } : {}),
  });

export const notFound = (what: string) =>
  new Problem(404, 'not-found', `There is no such ${what}`, {
    detail: `There is no such ${what}. It may have been mistyped.`,
  });
